/** Whether somebody is regularly active, as it is chosen. */
export const TRAINED = [
  { value: false, name: 'Not regularly active' },
  { value: true, name: 'Regularly active' },
]
