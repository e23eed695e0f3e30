import { muscles, type Muscle } from '../library/index.ts'
import { choiceField, wholeField } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** The most sets of a muscle a week that the member is to be asked, until another limit or none. */
export const mostSets = defineFact<
  { muscle: Muscle; sets: number | null },
  { mostSets: Record<string, number> }
>({
  kind: 'mostSets',
  isGiven: true,
  shape: factShape({
    muscle: choiceField(muscles).required(),
    sets: wholeField('sets a week, or null for no limit', 1, 60).nullable().defined(),
  }),
  none: { mostSets: {} },
  learn({ mostSets }, { muscle, sets }) {
    const { [muscle]: _, ...others } = mostSets
    return { mostSets: sets === null ? others : { ...others, [muscle]: sets } }
  },
  examples: [
    {
      say: 'none any more',
      fact: { muscle: 'quads', sets: null },
      known: { mostSets: { quads: 10, back: 12 } },
      want: { mostSets: { back: 12 } },
    },
  ],
})
