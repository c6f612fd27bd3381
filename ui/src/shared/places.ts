/** The places of the application, in the order of the rail and of the number keys. */
export const PLACES = [
  { id: 'today', name: 'Today', to: '/today' },
  { id: 'clients', name: 'Clients', to: '/clients' },
  { id: 'desk', name: 'Desk', to: '/desk/pulse' },
  { id: 'methods', name: 'Methods', to: '/methods' },
]
