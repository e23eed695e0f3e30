import { exerciseIds, exercises } from '@young-oak/core/library'
import type { SetPrescription, Template } from '@young-oak/core/template'

/** 24 weeks × 6 days × 8 slots × 3 tracks: half of the slots with a top set and back-offs, six lifts with a rule. */
export function largeTemplate(): Template {
  const lifts = exerciseIds.filter((id) => exercises[id].tool === 'barbell')
  const days = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat']
  const phases = [1, 2, 3, 4].map((n) => ({
    id: `phase-${n}`,
    name: `Phase ${n}`,
    weeks: 6,
    rotation: days,
    perWeek: 6,
    deloads: [
      {
        id: `light-${n}`,
        do: { kind: 'scaleSets' as const, by: -40, round: 'down' as const },
        where: { weeks: [6] },
      },
    ],
    defaults: { rest: 120 },
  }))
  const slots: Template['slots'] = {}
  const sessions: Template['sessions'] = {}
  const progressions: Template['progressions'] = {}
  days.forEach((day, d) => {
    const ids = Array.from({ length: 8 }, (_, i) => `${day}-${i}`)
    sessions[day] = {
      name: `Day ${d + 1}`,
      sections: [
        { name: 'Main', slots: ids.slice(0, 5) },
        { name: 'After', slots: ids.slice(5) },
      ],
    }
    ids.forEach((id, i) => {
      const exercise = lifts[(d * 8 + i) % lifts.length] ?? 'backSquat'
      const isRuled = i === 1
      if (isRuled)
        progressions[id] = {
          stages: [
            {
              id: 'one',
              rule: 'linear',
              params: { startPercent: 60, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
            },
          ],
        } as Template['progressions'][string]
      const row = (week: number): SetPrescription[] => {
        const work: SetPrescription = {
          id: 'work',
          sets: 3 + (week % 2),
          goal: { reps: 8 - (week % 3) },
          load: isRuled ? { of: 'progression' } : { of: 'max', percent: 65 + week },
          rir: 2,
        }
        const back: SetPrescription = {
          id: 'back',
          sets: 2,
          goal: { reps: 8 },
          load: { of: 'topSet', percent: 90 },
          rir: 3,
        }
        return i % 2 || isRuled ? [work] : [work, back]
      }
      const rows = Object.fromEntries(
        phases.map((phase) => [phase.id, Array.from({ length: 6 }, (_, week) => row(week))]),
      )
      slots[id] = { exercise, by: 'week', uses: isRuled ? [{ progression: id, role: 'main' }] : [], rows }
    })
  })
  const scale = (id: string, name: string, by: number) => ({
    name,
    changes: [{ id, do: { kind: 'scaleLoad' as const, by }, where: {} }],
  })
  return {
    format: 2,
    name: 'The largest',
    maxes: { use: 'newest' },
    missed: 'hold',
    rounding: 'nearest',
    phases,
    sessions,
    slots,
    progressions,
    tracks: {
      lighter: scale('a', 'Lighter', -10),
      heavier: scale('b', 'Heavier', 5),
      short: {
        name: 'Short',
        changes: [
          {
            id: 'c',
            do: { kind: 'drop' },
            where: { slots: days.flatMap((day) => [`${day}-6`, `${day}-7`]) },
          },
        ],
      },
    },
  }
}
