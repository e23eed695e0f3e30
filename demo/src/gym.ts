import type { Fixed, Rack } from '@young-oak/core/units'

/** An invented rowing-and-strength club in an invented estuary town. Every name in this folder is made up. */
export const gym = { name: 'Saltmarsh Rowing & Strength', zone: 'Europe/London', unit: 'kg' as const }

export const place = { id: 'home', name: 'The boathouse gym' }

/** Where those who travel train: one bar and few plates. */
export const hotel = { id: 'hotel', name: 'A hotel on the road' }
export const hotelRacks: Rack[] = [
  {
    unit: 'kg',
    bar: 20,
    plates: [
      { weight: 15, pairs: 1 },
      { weight: 10, pairs: 1 },
      { weight: 5, pairs: 1 },
    ],
  },
]

export const fixed: Fixed[] = [
  { tool: 'dumbbells', unit: 'kg', loads: Array.from({ length: 19 }, (_, i) => 4 + 2 * i) },
  { tool: 'dumbbells', unit: 'lb', loads: [10, 15, 20, 25, 30, 35, 40, 45, 50, 60, 70] },
  { tool: 'machine', unit: 'kg', loads: [5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 75, 80] },
  { tool: 'machine', exercise: 'legCurl', unit: 'kg', loads: [7, 12, 19, 26, 33, 40, 47, 54, 61] },
  { tool: 'assistance', unit: 'kg', loads: [5, 10, 15, 20, 25, 30, 35, 40] },
]

export const racks: Rack[] = [
  {
    unit: 'kg',
    bar: 20,
    bars: [15],
    special: { 'trap bar': 28 },
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
  /** Brought maxes from long ago. */
  oldMaxes?: true
  /** Weeks, from 0, in which they did not come, or trained in the hotel. */
  away?: number[]
  travels?: number[]
  /** A track of their template. */
  track?: string
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
  { ...person('Corin Vale', 110, 84, 140, 55, 1.2, 0.8), away: [3, 4] },
  person('Maud Tern', 58, 38, 78, 27, 1.5, 0.85),
  { ...person('Edrik Shoal', 120, 90, 150, 58, 0.2, 0.9), oldMaxes: true },
  person('Lio Marram', 76, 48, 98, 34, 1.4, 0.95),
  { ...person('Sabe Wick', 88, 60, 115, 42, 1, 0.7), away: [6, 7] },
  person('Ona Creek', 66, 44, 86, 31, 1.6, 0.95),
  { ...person('Fitch Larkin', 102, 78, 132, 50, 0.9, 0.9), travels: [5] },
  person('Brina Saltash', 68, 44, 92, 31, 2.4, 0.95),
  person('Dov Ketch', 98, 74, 126, 49, 0.2, 0.95),
  person('Elowen Gant', 62, 40, 82, 28, 2.8, 1),
  { ...person('Farid Skene', 94, 70, 122, 46, 1.8, 0.9), travels: [2, 3] },
  person('Gwil Penhale', 108, 82, 138, 54, 0.6, 0.85),
  person('Hetty Rusk', 56, 36, 74, 26, 2, 0.9),
  { ...person('Ivo Scarth', 116, 88, 146, 57, 0.4, 0.95), unit: 'lb' },
  person('Jess Tolland', 72, 46, 96, 33, 1.6, 0.9),
  { ...person('Kit Aldous', 86, 62, 112, 42, 1.1, 0.75), away: [5] },
  person('Lark Munday', 60, 39, 80, 27, 3, 1),
  { ...person('Mose Hythe', 112, 86, 142, 56, 0.1, 0.9), noSquatMax: true },
  person('Nia Sparrow', 65, 43, 88, 30, 2.1, 0.95),
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
  { ...person('Isolde Carr', 98, 62, 124, 43, 0.6, 0.95), travels: [4] },
  person('Jem Rowan', 148, 110, 186, 71, 0.3, 0.9),
  person('Keziah Lunt', 106, 68, 134, 47, 0.5, 1),
  { ...person('Lowen Strake', 155, 116, 194, 75, 0.2, 0.85), away: [4, 5] },
  person('Mina Oarsby', 94, 60, 120, 41, 0.8, 0.95),
  person('Ned Fairlead', 162, 122, 202, 80, 0.1, 0.9),
  person('Opal Thwaite', 102, 65, 128, 45, 0.6, 0.9),
  person('Piers Gunwale', 144, 106, 180, 69, 0.4, 0.95),
]

export const lifters: Person[] = [
  person('Una Brackwater', 78, 50, 98, 35, 1.6, 1),
  person('Perran Holm', 124, 94, 160, 60, 0.1, 0.95),
  person('Sorrel Dyke', 70, 45, 90, 32, 1.2, 0.95),
  person('Teague Sandry', 136, 102, 172, 66, 0.5, 0.9),
  { ...person('Wenna Slip', 66, 42, 88, 30, 1.4, 0.9), away: [4] },
]

export const racers: Person[] = [
  person('Runa Eddy', 112, 72, 140, 50, 0.9, 1),
  { ...person('Silas Coble', 156, 114, 192, 74, 0.7, 0.95), track: 'heavier' },
  { ...person('Tamsin Rill', 90, 56, 114, 40, 1.1, 0.95), track: 'lighter' },
  { ...person('Ulric Thole', 148, 110, 184, 72, 0.2, 0.9), track: 'twoDays' },
  { ...person('Vesper Loam', 104, 66, 132, 46, 0.8, 0.95), away: [3, 4] },
  { ...person('Wim Dredge', 164, 120, 204, 79, 0.5, 0.95), track: 'heavier', travels: [6] },
  person('Xanthe Mere', 98, 62, 124, 44, 0.9, 0.9),
  { ...person('Yorick Bight', 140, 104, 176, 68, 0, 0.95), track: 'twoDays' },
  { ...person('Zella Frome', 86, 54, 110, 38, 1.2, 1), track: 'lighter' },
  { ...person('Aled Spindle', 152, 112, 188, 73, 0.6, 0.9), unit: 'lb' },
  person('Bryony Sedge', 100, 64, 128, 45, 0.8, 0.95),
  { ...person('Cass Wherry', 134, 98, 170, 64, 0.3, 0.8), away: [7] },
  { ...person('Delphine Oake', 94, 60, 118, 42, 1, 0.95), track: 'lighter' },
  person('Evander Staithe', 158, 118, 196, 76, 0.1, 0.95),
  { ...person('Fern Tillery', 88, 56, 112, 39, 1.1, 0.9), track: 'twoDays' },
  { ...person('Gorran Quay', 146, 108, 182, 70, 0.5, 0.95), track: 'heavier' },
]
