import { slotsOf, type Session, type Template } from '../template/index.ts'
import { liftName, type Library } from '../library/index.ts'
import { defineCheck, type Found } from './check.ts'

/** Exercises with the letter of a superset whose neighbours have another: alone, or torn apart from those that share it. */
export const loneSuperset = defineCheck({
  kind: 'loneSuperset',
  title: 'Supersets of one exercise, or torn apart',
  sure: 'rule',
  ofEnrolment: ({ library, template }) =>
    Object.entries(template.sessions).flatMap(([id, session]) => lonesIn(library, template, id, session)),
  messages: {
    alone: {
      what: '{exercise} has the letter {value} of a superset, and no exercise beside it has it.',
      next: 'Join the exercises that alternate, or remove the exercise from the superset.',
    },
    tornApart: {
      what: '{exercise} has the letter {value} of a superset, but other exercises stand between it and the rest of the superset.',
      next: 'Move the exercises of the superset together, or remove the exercise from the superset.',
    },
  },
})

function lonesIn(
  library: Library,
  { slots }: Template,
  id: string,
  session: Session,
): Found<'alone' | 'tornApart'>[] {
  const ids = slotsOf(session)
  const letterAt = (i: number) => slots[ids[i] ?? '']?.superset
  return ids.flatMap((slot, i): Found<'alone' | 'tornApart'>[] => {
    const letter = letterAt(i)
    if (letter === undefined || letterAt(i - 1) === letter || letterAt(i + 1) === letter) return []
    const isElsewhere = ids.some((_, j) => j !== i && letterAt(j) === letter)
    const own = slots[slot]
    const exercise = own ? (own.circuit?.name ?? liftName(library, own)) : slot
    return [
      {
        message: isElsewhere ? 'tornApart' : 'alone',
        subject: `${id}/${slot}`,
        where: session.name,
        value: letter,
        data: { exercise },
        forWriter: true,
      },
    ]
  })
}
