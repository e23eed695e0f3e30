import { liftName, setCounts, type Muscle } from '../library/index.ts'
import { ruleOf, type RuleKind } from '../progressions/index.ts'
import { rulesOf } from '../template/index.ts'
import { defineCheck, type Found } from './check.ts'

/** Exercises that have the sets of a muscle which they do not work, neither by their library entry nor by what the writer says they count. */
export const otherMuscle = defineCheck({
  kind: 'otherMuscle',
  title: 'Sets of a muscle on an exercise that does not work it',
  sure: 'rule',
  ofEnrolment({ library, template }) {
    return Object.entries(template.slots).flatMap(([id, slot]): Found<'other'>[] =>
      slot.uses.flatMap(({ progression }) =>
        rulesOf(template.progressions[progression]).flatMap(({ rule, params }) => {
          const { muscle } = params as { muscle?: Muscle }
          if (ruleOf[rule as RuleKind].of !== 'muscle' || !muscle) return []
          if (setCounts(library, slot, muscle, slot.counts) > 0) return []
          const exercise = liftName(library, slot)
          return [
            {
              message: 'other',
              subject: `${id}/${muscle}`,
              where: exercise,
              value: muscle,
              data: { exercise },
              forWriter: true,
            },
          ]
        }),
      ),
    )
  },
  messages: {
    other: {
      what: '{exercise} has sets of {value} by its progression and does not work that muscle: each set counts as a whole one all the same.',
      next: 'Choose another exercise, or say how much a set of it counts for the muscle.',
    },
  },
})
