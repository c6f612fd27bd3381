/** The places of the application, in the order of the rail and of the number keys: what is used most first. */
export const PLACES = [
  { id: 'today', name: 'Today', to: '/today' },
  { id: 'clients', name: 'Clients', to: '/clients' },
  { id: 'calendar', name: 'Calendar', to: '/calendar' },
  { id: 'floor', name: 'Floor', to: '/floor' },
  { id: 'calculators', name: 'Calculators', to: '/calculators/pulse' },
  { id: 'practice', name: 'Practice', to: '/practice' },
  { id: 'methods', name: 'Methods', to: '/methods' },
  { id: 'studio', name: 'Studio', to: '/studio' },
]

/** How many of them a phone shows; the others are under “More”. */
export const ON_A_PHONE = 4
