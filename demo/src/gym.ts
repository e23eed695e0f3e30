import type { Rack } from '@young-oak/core/units'

/** An invented rowing-and-strength club in an invented estuary town. Every name in this folder is made up. */
export const gym = { name: 'Saltmarsh Rowing & Strength', zone: 'Europe/London', unit: 'kg' as const }

export const place = { id: 'home', name: 'The boathouse gym' }

export const racks: Rack[] = [
  {
    unit: 'kg',
    bar: 20,
    plates: [
      { weight: 25, pairs: 4 },
      { weight: 20, pairs: 2 },
      { weight: 15, pairs: 2 },
      { weight: 10, pairs: 2 },
      { weight: 5, pairs: 2 },
      { weight: 2.5, pairs: 2 },
      { weight: 1.25, pairs: 1 },
    ],
  },
  {
    unit: 'lb',
    bar: 45,
    plates: [
      { weight: 45, pairs: 5 },
      { weight: 25, pairs: 1 },
      { weight: 10, pairs: 2 },
      { weight: 5, pairs: 1 },
      { weight: 2.5, pairs: 1 },
    ],
  },
]

export const staff = [
  { email: 'perrin@demo.example', name: 'Perrin Lock', role: 'owner' },
  { email: 'wren@demo.example', name: 'Wren Harrow', role: 'writer' },
  { email: 'odell@demo.example', name: 'Odell Marsh', role: 'writer' },
] as const

/** Strength of a member in kilos on the day they start, and how they train. */
export type Person = {
  name: string
  email: string
  squat: number
  bench: number
  deadlift: number
  press: number
  /** Percent that strength grows in a week. */
  growth: number
  /** Chance of turning up. */
  keen: number
  unit?: 'lb'
  /** Came without a squat max. */
  noSquatMax?: true
}

const person = (
  name: string,
  squat: number,
  bench: number,
  deadlift: number,
  press: number,
  growth: number,
  keen: number,
): Person => ({
  name,
  email: `${(name.split(' ')[0] ?? name).toLowerCase()}@demo.example`,
  squat,
  bench,
  deadlift,
  press,
  growth,
  keen,
})

export const beginners: Person[] = [
  person('Isla Fenwater', 82, 52, 100, 36, 3.4, 1),
  { ...person('Tomas Quill', 105, 80, 130, 52, 2.6, 0.95), unit: 'lb' },
  { ...person('Juno Reedham', 70, 42, 90, 30, 1.5, 0.9), noSquatMax: true },
  person('Bram Oxley', 96, 72, 120, 48, 0.3, 0.95),
  person('Nell Saltby', 64, 40, 84, 28, 3.2, 1),
  person('Corin Vale', 110, 84, 140, 55, 1.2, 0.7),
  person('Maud Tern', 58, 38, 78, 27, 1.5, 0.85),
  person('Edrik Shoal', 120, 90, 150, 58, 0.2, 0.9),
  person('Lio Marram', 76, 48, 98, 34, 1.4, 0.95),
  person('Sabe Wick', 88, 60, 115, 42, 1, 0.6),
  person('Ona Creek', 66, 44, 86, 31, 1.6, 0.95),
  person('Fitch Larkin', 102, 78, 132, 50, 0.9, 0.9),
]

export const rowers: Person[] = [
  person('Hesper Dunlin', 118, 76, 145, 52, 0.5, 0.95),
  person('Rafe Otterby', 150, 112, 185, 72, 0.4, 0.95),
  person('Ilse Brack', 104, 66, 130, 46, 0.6, 0.9),
  person('Jory Haven', 165, 120, 205, 78, 0.3, 0.85),
  person('Thea Samphire', 96, 60, 122, 42, 0.7, 1),
  person('Kester Ford', 140, 104, 178, 68, 0.1, 0.9),
  person('Willa Strand', 110, 70, 138, 49, 0.6, 0.65),
  person('Otis Weir', 158, 118, 198, 76, 0.3, 0.95),
  person('Greta Holme', 100, 64, 126, 45, 0.5, 0.95),
  person('Anselm Pike', 145, 108, 182, 70, 0.4, 0.8),
  person('Dilys Sluice', 92, 58, 118, 40, 0.7, 0.95),
  person('Hal Tideman', 170, 126, 210, 82, 0.2, 0.9),
]
