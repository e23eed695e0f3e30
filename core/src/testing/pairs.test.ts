// Ten thousand random templates with random members: no crash, no NaN, no load that cannot be made.
import { expect, test } from '@jest/globals'
import { advise, readSignals } from '../advice/index.ts'
import { explain } from '../explain/index.ts'
import { exerciseOf } from '../library/index.ts'
import { formatIssue } from '../parsing/index.ts'
import { planMember, type Planned } from '../plan/index.ts'
import { readTemplate } from '../template/index.ts'
import { addDays, makeable, partsFor, usualRack } from '../units/index.ts'
import { diceOf } from './dice.ts'
import { pairOf } from './pairs.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const count = 10_000
const seed = Number(process.env.PAIRS_SEED ?? Math.floor(Date.now() % 1_000_000))

test(`seed ${seed}: ${count} pairs are planned, and every load can be made`, () => {
  const racks = { kg: makeable(usualRack.kg), lb: makeable(usualRack.lb) }
  for (let i = 0; i < count; i++) {
    const dice = diceOf(seed + i)
    const { template: file, member, enrolment, doing } = pairOf(dice)
    const where = `PAIRS_SEED=${seed + i}, pair 0: ${JSON.stringify(file)}`
    const { template, issues } = readTemplate(file)
    if (!template) throw new Error(`${issues.map(formatIssue).join('\n')}\n${where}`)
    const today = addDays('2026-03-02', dice.upTo(60))
    let planned: Planned
    try {
      planned = planMember({
        library,
        member,
        enrolments: [enrolment],
        versions: { v: template },
        when: { today, through: 'end', doing },
      })
      advise(library, readSignals(member, planned, 'e', template, today))
    } catch (error) {
      throw new Error(`${String(error)}\n${where}`, { cause: error })
    }
    const fault = faultOf(planned, racks)
    if (fault) throw new Error(`${fault}\n${where}\n${JSON.stringify(member)}`)
  }
  expect(count).toBeGreaterThan(9_999)
})

/** The first thing in a plan that must not be, in words. */
function faultOf({ plans }: Planned, racks: Record<'kg' | 'lb', ReturnType<typeof makeable>>): string | null {
  for (const { week, places } of Object.values(plans).flatMap(({ weeks }) => weeks))
    for (const { slots, inWeek } of places)
      for (const { slot, exercise, sets: prescriptions } of slots)
        for (const { sets, load, target, reps, rir, why, lift } of prescriptions) {
          const at = `week ${week}, day ${inWeek}, ${slot}`
          if (!(sets >= 1) || !Number.isInteger(sets)) return `${at}: ${sets} sets`
          if (JSON.stringify([load, target, reps, rir]).includes('NaN')) return `${at}: NaN`
          if (load && !(load.value >= 0 && Number.isFinite(load.value)))
            return `${at}: a load of ${load.value}`
          if (target && !(target.value >= 0 && Number.isFinite(target.value)))
            return `${at}: meant ${target.value}`
          const words = why.map(explain).join('; ')
          if (/NaN|undefined|\{/.test(words)) return `${at}: ${words}`
          const isBar = exerciseOf(library, lift ?? { exercise }).tool === 'barbell'
          if (load && isBar && !partsFor(load, racks[load.unit]))
            return `${at}: ${load.value} ${load.unit} cannot be made`
        }
  return null
}
