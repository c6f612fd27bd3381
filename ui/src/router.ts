import { createRouter, createWebHistory } from 'vue-router'

import { titleOf } from './shared/title'

/** The pages. What a page is for stands in its title. */
export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (to, from, saved) =>
    saved ?? (to.hash || to.meta.step || to.path === from.path ? false : { top: 0 }),
  routes: [
    { path: '/', redirect: '/today' },
    {
      path: '/today',
      component: () => import('./today/TodayPage.vue'),
      meta: { title: 'Today', place: 'today' },
    },
    {
      path: '/clients',
      component: () => import('./clients/ClientListPage.vue'),
      meta: { title: 'Clients', place: 'clients' },
    },
    {
      path: '/clients/new',
      component: () => import('./clients/NewClientPage.vue'),
      meta: { title: 'New client', place: 'clients' },
    },
    {
      path: '/clients/:id',
      component: () => import('./clients/ClientPage.vue'),
      props: true,
      meta: { place: 'clients' },
      children: [
        { path: '', redirect: (to) => ({ path: `${to.path.replace(/\/$/, '')}/bands` }) },
        {
          path: 'screening',
          component: () => import('./screening/ScreeningStep.vue'),
          meta: { title: 'Screening', step: 'screening' },
        },
        {
          path: 'details',
          component: () => import('./clients/DetailsPage.vue'),
          meta: { title: 'Details' },
        },
        {
          path: 'check-in',
          component: () => import('./checkin/CheckInPage.vue'),
          meta: { title: 'Check-in' },
        },
        {
          path: 'pulse',
          component: () => import('./pulse/PulseStep.vue'),
          meta: { title: 'Pulse', step: 'pulse' },
        },
        {
          path: 'maximum',
          component: () => import('./maximum/MaximumStep.vue'),
          meta: { title: 'Maximum', step: 'maximum' },
        },
        {
          path: 'maximum/tests',
          component: () => import('./fieldtest/FieldTestStep.vue'),
          meta: { title: 'Field tests', step: 'maximum' },
        },
        {
          path: 'tests',
          component: () => import('./assessment/TestsStep.vue'),
          meta: { title: 'Tests', step: 'progress' },
        },
        {
          path: 'bands',
          component: () => import('./zone/ZonesStep.vue'),
          meta: { title: 'Zones', step: 'bands' },
        },
        {
          path: 'bands/schools',
          component: () => import('./zone/ZoneSystemsPage.vue'),
          meta: { title: 'Every zone system', step: 'bands' },
        },
        {
          path: 'bands/talk',
          component: () => import('./talk/TalkStep.vue'),
          meta: { title: 'Talk checks', step: 'bands' },
        },
        {
          path: 'prescription',
          component: () => import('./prescription/PrescriptionStep.vue'),
          meta: { title: 'Prescription', step: 'prescription' },
        },
        {
          path: 'sessions',
          component: () => import('./programme/SessionsStep.vue'),
          meta: { title: 'Sessions', step: 'sessions' },
        },
        {
          path: 'recordings',
          component: () => import('./recording/RecordingsStep.vue'),
          meta: { title: 'Recordings', step: 'sessions' },
        },
        {
          path: 'recordings/:session/compared',
          component: () => import('./recording/ComparedStep.vue'),
          meta: { title: 'Two recordings', step: 'sessions' },
        },
        {
          path: 'months',
          component: () => import('./progress/MonthsStep.vue'),
          meta: { title: 'Months', step: 'progress' },
        },
        {
          path: 'progress',
          component: () => import('./progress/ProgressStep.vue'),
          meta: { title: 'Progress', step: 'progress' },
        },
      ],
    },
    {
      path: '/clients/:id/hand-out',
      component: () => import('./programme/HandOutPage.vue'),
      props: true,
      meta: { title: 'Hand-out', place: 'clients' },
    },
    {
      path: '/calendar',
      component: () => import('./calendar/CalendarPage.vue'),
      meta: { title: 'Calendar', place: 'calendar' },
    },
    {
      path: '/log',
      component: () => import('./session/LogPage.vue'),
      meta: { title: 'Log', place: 'calendar' },
    },
    {
      path: '/clients/:id/card/:version',
      component: () => import('./prescription/CardPage.vue'),
      props: true,
      meta: { title: 'Card', place: 'clients' },
    },
    {
      path: '/clients/:id/device-sheet',
      component: () => import('./zone/DeviceSheetPage.vue'),
      props: true,
      meta: { title: 'Values for a device', place: 'clients' },
    },
    {
      path: '/field-tests/:test',
      component: () => import('./fieldtest/FieldTestRunPage.vue'),
      props: true,
      meta: { title: 'Field test', place: 'clients' },
    },
    {
      path: '/compare',
      component: () => import('./effort/ComparePage.vue'),
      meta: { title: 'Compare', place: 'clients' },
    },
    {
      path: '/cards',
      component: () => import('./sheet/ClassCardsPage.vue'),
      meta: { title: 'Cards for a class', place: 'clients' },
    },
    {
      path: '/clients/:id/papers/:paper(summary|letter)',
      component: () => import('./screening/PaperPage.vue'),
      props: true,
      meta: { title: 'For the doctor', place: 'clients' },
    },
    {
      path: '/floor',
      component: () => import('./floor/FloorPage.vue'),
      meta: { title: 'Floor', place: 'floor' },
    },
    {
      path: '/floor/classes/:id',
      component: () => import('./floor/ClassCountPage.vue'),
      props: true,
      meta: { title: 'Class count', place: 'floor' },
    },
    {
      path: '/clients/:id/session',
      component: () => import('./live/LiveStartPage.vue'),
      props: true,
      meta: { title: 'Start a session', place: 'floor' },
    },
    {
      path: '/floor/sessions/:session',
      component: () => import('./live/LivePage.vue'),
      props: true,
      meta: { title: 'Session', bare: true },
    },
    {
      path: '/floor/sessions/:session/recovery',
      component: () => import('./room/RecoveryPage.vue'),
      props: true,
      meta: { title: 'Recovery', bare: true },
    },
    {
      path: '/floor/tests/:test',
      component: () => import('./assessment/TestPage.vue'),
      props: true,
      meta: { title: 'Test', bare: true },
    },
    {
      path: '/floor/rooms/new',
      component: () => import('./room/RoomStartPage.vue'),
      meta: { title: 'Open a room', place: 'floor' },
    },
    {
      path: '/floor/rooms/:room',
      component: () => import('./room/RoomPage.vue'),
      props: true,
      meta: { title: 'Room', bare: true },
    },
    {
      path: '/floor/rooms/:room/wall',
      component: () => import('./room/RoomWallPage.vue'),
      props: true,
      meta: { title: 'Wall', bare: true },
    },
    {
      path: '/floor/rooms/:room/recovery',
      component: () => import('./room/RecoveryPage.vue'),
      props: true,
      meta: { title: 'Recovery', bare: true },
    },
    {
      path: '/clients/:id/recoveries',
      component: () => import('./room/RecoveriesPage.vue'),
      props: true,
      meta: { title: 'Recoveries', place: 'clients' },
    },
    {
      path: '/floor/clock',
      component: () => import('./floor/RoomClockPage.vue'),
      meta: { title: 'Clock for the room', bare: true },
    },
    {
      path: '/practice/session',
      component: () => import('./practice/SessionPracticePage.vue'),
      meta: { title: 'A session to try', place: 'practice' },
    },
    {
      path: '/practice',
      component: () => import('./practice/PracticePage.vue'),
      meta: { title: 'Practice', place: 'practice' },
    },
    {
      path: '/studio',
      component: () => import('./studio/StudioPage.vue'),
      meta: { title: 'Studio', place: 'studio' },
    },
    {
      path: '/studio/about',
      component: () => import('./studio/AboutPage.vue'),
      meta: { title: 'About Korvel', place: 'studio' },
    },
    {
      path: '/studio/schemes/:scheme',
      component: () => import('./studio/SchemeEditorPage.vue'),
      props: true,
      meta: { title: 'A zone system', place: 'studio' },
    },
    {
      path: '/studio/protocols/:protocol',
      component: () => import('./assessment/ProtocolEditorPage.vue'),
      props: true,
      meta: { title: 'A protocol', place: 'studio' },
    },
    {
      path: '/studio/outlines/:outline',
      component: () => import('./outline/OutlineEditorPage.vue'),
      props: true,
      meta: { title: 'A session outline', place: 'studio' },
    },
    {
      path: '/clients/list',
      component: () => import('./clients/PeopleListPage.vue'),
      meta: { title: 'Add several clients', place: 'clients' },
    },
    { path: '/calculators', redirect: '/calculators/pulse' },
    // Bookmarks from before the calculators had their name.
    { path: '/desk/:rest(.*)*', redirect: (to) => to.fullPath.replace(/^\/desk/, '/calculators') },
    {
      path: '/calculators/bands/wall',
      component: () => import('./calculators/ZonesWall.vue'),
      meta: { title: 'Zones on the wall', bare: true },
    },
    {
      path: '/calculators/:tool',
      component: () => import('./calculators/CalculatorsPage.vue'),
      props: true,
      meta: { title: 'Calculators', place: 'calculators' },
    },
    {
      path: '/methods',
      component: () => import('./methods/MethodsPage.vue'),
      meta: { title: 'Methods', place: 'methods' },
    },
    {
      path: '/:rest(.*)*',
      component: () => import('./shared/NotFoundPage.vue'),
      meta: { title: 'Not found' },
    },
  ],
})

router.afterEach((to, from) => {
  // Where a page goes on within a client, their name stays in the title.
  if (to.path !== from.path) document.title = titleOf(to.meta.title)
})
