import { idField, type Id } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** Which place's equipment "at home" means. */
export const home = defineFact<{ location: Id }, { home: Id }>({
  kind: 'home',
  shape: factShape({ location: idField('a location').required() }),
  none: { home: 'home' },
  learn: (_, { location: place }) => ({ home: place }),
  examples: [{ say: 'the boathouse is home', fact: { location: 'boathouse' }, want: { home: 'boathouse' } }],
})
