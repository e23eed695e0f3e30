/** The accounts that the demo fills in, and that demo mode alone offers on its sign-in page. */
export const demoAccounts = [
  { email: 'wren@demo.example', password: 'tideway-demo', who: 'Wren Harrow, program writer' },
  { email: 'odell@demo.example', password: 'tideway-demo', who: 'Odell Marsh, program writer' },
  { email: 'isla@demo.example', password: 'tideway-demo', who: 'Isla Fenwater, member' },
  { email: 'tomas@demo.example', password: 'tideway-demo', who: 'Tomas Quill, member, in pounds' },
  { email: 'tamsin@demo.example', password: 'tideway-demo', who: 'Tamsin Rill, member, a test ahead' },
  { email: 'perrin@demo.example', password: 'tideway-demo', who: 'Perrin Lock, owner' },
]
