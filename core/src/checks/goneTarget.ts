import { changeOf, type Adjustment } from '../adjustments/index.ts'
import type { Template } from '../template/index.ts'
import { defineCheck } from './check.ts'

/** Adjustments that name a slot, a session or a phase which the version no longer has are kept, and do nothing. */
export const goneTarget = defineCheck({
  kind: 'goneTarget',
  title: 'Changes whose target is gone',
  sure: 'rule',
  ofEnrolment({ template, track, evidence }) {
    const all: [whose: string, changes: Adjustment[]][] = [
      [`track ${track}`, template.tracks[track ?? '']?.changes ?? []],
      ['deload', template.phases.flatMap(({ deloads: deload }) => deload)],
      ['custom change', evidence.own],
    ]
    return all.flatMap(([whose, changes]) =>
      changes.flatMap((change) => {
        const gone = goneIn(template, change)
        if (!gone.length) return []
        const where = `${whose}, ${change.id}`
        return [{ message: 'gone' as const, subject: change.id, where, value: gone.join('", "') }]
      }),
    )
  },
  messages: {
    gone: {
      what: '"{value}" is not in this version: the change is kept, but has no effect.',
      next: 'Choose another target for the change, or remove the change.',
    },
  },
})

function goneIn({ slots, sessions, phases, tracks }: Template, { do: change, where }: Adjustment): string[] {
  const known = (id: string): boolean => Object.hasOwn(slots, id)
  return [
    ...(where.slots ?? []).filter((one) => !known(one)),
    ...(changeOf[change.kind].names?.(change) ?? []).filter((one) => !known(one)),
    ...(where.tracks ?? []).filter((one) => one !== 'none' && !tracks[one]),
    ...(where.sessions ?? []).filter((one) => !sessions[one]),
    ...(where.phases ?? []).filter((one) => !phases.some((phase) => phase.id === one)),
  ]
}
