import { idField, type Id } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** Which place's equipment "at home" means. */
export const home = defineFact<{ place: Id }, { home: Id }>({
  kind: 'home',
  shape: factShape({ place: idField('a place').required() }),
  none: { home: 'home' },
  learn: (_, { place }) => ({ home: place }),
  examples: [{ say: 'the boathouse is home', fact: { place: 'boathouse' }, want: { home: 'boathouse' } }],
})
