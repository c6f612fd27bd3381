import { createRouter, createWebHistory } from 'vue-router'
import ClientListPage from './clients/ClientListPage.vue'
import ClientPage from './clients/ClientPage.vue'
import { titleOf } from './shared/title'

/** The pages. What a page is for stands in its title; `keys` names its list of keys. */
export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (to, from, saved) =>
    saved ?? (to.hash || to.meta.step || to.path === from.path ? false : { top: 0 }),
  routes: [
    { path: '/', redirect: '/today' },
    {
      path: '/today',
      component: () => import('./today/TodayPage.vue'),
      meta: { title: 'Today', place: 'today', keys: 'today' },
    },
    {
      path: '/clients',
      component: ClientListPage,
      meta: { title: 'Clients', place: 'clients', keys: 'clients' },
    },
    {
      path: '/clients/new',
      component: () => import('./clients/NewClientPage.vue'),
      meta: { title: 'New client', place: 'clients', keys: 'details' },
    },
    {
      path: '/clients/:id',
      component: ClientPage,
      props: true,
      meta: { place: 'clients' },
      children: [
        { path: '', redirect: (to) => ({ path: `${to.path.replace(/\/$/, '')}/bands` }) },
        {
          path: 'screening',
          component: () => import('./screening/ScreeningStep.vue'),
          meta: { title: 'Screening', step: 'screening', keys: 'screening' },
        },
        {
          path: 'details',
          component: () => import('./clients/DetailsPage.vue'),
          meta: { title: 'Details', keys: 'details' },
        },
        {
          path: 'check-in',
          component: () => import('./checkin/CheckInPage.vue'),
          meta: { title: 'Check-in', keys: 'checkin' },
        },
        {
          path: 'pulse',
          component: () => import('./pulse/PulseStep.vue'),
          meta: { title: 'Pulse', step: 'pulse', keys: 'pulse' },
        },
        {
          path: 'maximum',
          component: () => import('./maximum/MaximumStep.vue'),
          meta: { title: 'Maximum', step: 'maximum', keys: 'maximum' },
        },
        {
          path: 'maximum/tests',
          component: () => import('./fieldtest/FieldTestStep.vue'),
          meta: { title: 'Field tests', step: 'maximum', keys: 'tests' },
        },
        {
          path: 'bands',
          component: () => import('./zone/BandsStep.vue'),
          meta: { title: 'Bands', step: 'bands', keys: 'bands' },
        },
        {
          path: 'bands/schools',
          component: () => import('./zone/SchoolsPage.vue'),
          meta: { title: 'Every school', step: 'bands', keys: 'bands' },
        },
        {
          path: 'prescription',
          component: () => import('./prescription/PrescriptionStep.vue'),
          meta: { title: 'Prescription', step: 'prescription', keys: 'prescription' },
        },
        {
          path: 'sessions',
          component: () => import('./programme/SessionsStep.vue'),
          meta: { title: 'Sessions', step: 'sessions', keys: 'sessions' },
        },
        {
          path: 'progress',
          component: () => import('./progress/ProgressStep.vue'),
          meta: { title: 'Progress', step: 'progress', keys: 'progress' },
        },
      ],
    },
    {
      path: '/clients/:id/hand-out',
      component: () => import('./programme/HandOutPage.vue'),
      props: true,
      meta: { title: 'Hand-out', place: 'clients', keys: 'card' },
    },
    {
      path: '/calendar',
      component: () => import('./calendar/CalendarPage.vue'),
      meta: { title: 'Calendar', place: 'calendar', keys: 'calendar' },
    },
    {
      path: '/log',
      component: () => import('./session/LogPage.vue'),
      meta: { title: 'Log', place: 'calendar', keys: 'log' },
    },
    {
      path: '/clients/:id/card/:version',
      component: () => import('./prescription/CardPage.vue'),
      props: true,
      meta: { title: 'Card', place: 'clients', keys: 'card' },
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
      meta: { title: 'Field test', place: 'clients', keys: 'run' },
    },
    {
      path: '/compare',
      component: () => import('./effort/ComparePage.vue'),
      meta: { title: 'Compare', place: 'clients', keys: 'compare' },
    },
    {
      path: '/cards',
      component: () => import('./sheet/ClassCardsPage.vue'),
      meta: { title: 'Cards for a class', place: 'clients', keys: 'cards' },
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
      meta: { title: 'Floor', place: 'floor', keys: 'floor' },
    },
    {
      path: '/floor/classes/:id',
      component: () => import('./floor/ClassCountPage.vue'),
      props: true,
      meta: { title: 'Class count', place: 'floor', keys: 'class' },
    },
    {
      path: '/floor/clock',
      component: () => import('./floor/RoomClockPage.vue'),
      meta: { title: 'Clock for the room', keys: 'roomClock', bare: true },
    },
    {
      path: '/practice',
      component: () => import('./practice/PracticePage.vue'),
      meta: { title: 'Practice', place: 'practice', keys: 'practice' },
    },
    {
      path: '/studio',
      component: () => import('./studio/StudioPage.vue'),
      meta: { title: 'Studio', place: 'studio', keys: 'studio' },
    },
    {
      path: '/studio/schemes/:scheme',
      component: () => import('./studio/SchemeEditorPage.vue'),
      props: true,
      meta: { title: 'A scheme', place: 'studio', keys: 'scheme' },
    },
    {
      path: '/studio/outlines/:outline',
      component: () => import('./outline/OutlineEditorPage.vue'),
      props: true,
      meta: { title: 'A session outline', place: 'studio', keys: 'outline' },
    },
    { path: '/desk', redirect: '/desk/pulse' },
    {
      path: '/desk/bands/wall',
      component: () => import('./desk/BandsWall.vue'),
      meta: { title: 'Bands on the wall', keys: 'wall', bare: true },
    },
    {
      path: '/desk/:tool',
      component: () => import('./desk/DeskPage.vue'),
      props: true,
      meta: { title: 'Desk', place: 'desk', keys: 'desk' },
    },
    {
      path: '/methods',
      component: () => import('./methods/MethodsPage.vue'),
      meta: { title: 'Methods', place: 'methods', keys: 'methods' },
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
