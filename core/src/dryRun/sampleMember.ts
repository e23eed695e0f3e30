import { exerciseOf, liftKey, type Exercise, type Lift, type Tool, type Library } from '../library/index.ts'
import type { Fact, Member } from '../facts/index.ts'
import type { Template } from '../template/index.ts'
import type { Day } from '../units/index.ts'

/** Somebody made up, to see what a template asks of a light and of a strong member. */
export type Strength = 'light' | 'strong'

/** One-rep maxes in kilos by what is lifted (common practice, no source); body-weight lifts in percent of the body. */
const bars: Record<Exercise['pattern'], Record<Strength, number>> = {
  squat: { light: 60, strong: 180 },
  hinge: { light: 70, strong: 210 },
  'horizontal push': { light: 40, strong: 130 },
  'vertical push': { light: 28, strong: 85 },
  'horizontal pull': { light: 40, strong: 120 },
  'vertical pull': { light: 40, strong: 110 },
  'single leg': { light: 30, strong: 90 },
  trunk: { light: 20, strong: 60 },
  arms: { light: 18, strong: 55 },
  shoulders: { light: 10, strong: 30 },
  legs: { light: 35, strong: 110 },
  calves: { light: 50, strong: 160 },
  carry: { light: 40, strong: 140 },
  jump: { light: 20, strong: 60 },
  conditioning: { light: 20, strong: 60 },
}
const share: Record<Exclude<Tool, 'body weight'>, number> = { barbell: 1, dumbbells: 0.4, machine: 0.9 }
const bodies: Record<Strength, number> = { light: 60, strong: 95 }
const onTop: Record<Strength, number> = { light: 0, strong: 40 }

/** A member of that strength on the day, with a max of every lift that a template holds. */
export function sampleMember(library: Library, template: Template, strength: Strength, date: Day): Member {
  const lifts = new Map<string, Lift>()
  for (const { rows, ...slot } of Object.values(template.slots)) {
    lifts.set(liftKey(slot), slot)
    for (const { lift } of Object.values(rows).flat(2)) if (lift) lifts.set(liftKey(lift), lift)
  }
  const entry = (id: string) => ({ id, rev: 1, date, actsFrom: date })
  const body: Fact = { ...entry('body'), kind: 'bodyWeight', load: { value: bodies[strength], unit: 'kg' } }
  const maxes = [...lifts].map(([key, { exercise, variant }]): Fact => {
    const { tool, pattern } = exerciseOf(library, { exercise })
    const value = tool === 'body weight' ? onTop[strength] : bars[pattern][strength] * share[tool]
    return {
      ...entry(key),
      kind: 'max',
      exercise,
      ...(variant && { variant }),
      load: { value, unit: 'kg' },
      reps: 1,
      how: 'tested',
    }
  })
  return { facts: [body, ...maxes], logs: [] }
}
