import { exerciseOf, muscles, setCounts, type Muscle } from '@young-oak/core/library'
import type { Slot } from '@young-oak/core/template'
import { asSaid, Select } from '../../../ui/Select.tsx'
import { useLibrary } from '../../library/useLibrary.ts'

type Props = { slot: Slot; onSave: (to: Partial<Record<Muscle, number>> | null) => void }

/** What a set of the slot counts for each muscle: 1, 0.5 or nothing, as the exercise says or otherwise. */
export function SetCounts({ slot, onSave }: Props) {
  const library = useLibrary()
  const { direct, indirect } = exerciseOf(library, slot)
  const works = muscles.filter(
    (one) => direct.includes(one) || indirect.includes(one) || slot.counts?.[one] !== undefined,
  )
  const set = (muscle: Muscle, to: number) => {
    const { [muscle]: _, ...others } = slot.counts ?? {}
    const own = setCounts(library, slot, muscle) === to ? others : { ...others, [muscle]: to }
    onSave(Object.keys(own).length ? own : null)
  }
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-medium">A set counts for</legend>
      <ul className="grid grid-cols-2 gap-x-4 gap-y-1 text-sm">
        {works.map((muscle) => (
          <li key={muscle} className="flex items-center justify-between gap-2">
            <label className="flex w-full items-center justify-between gap-2">
              {muscle}
              <Select
                value={String(setCounts(library, slot, muscle, slot.counts))}
                options={[1, 0.5, 0].map((count) => [
                  String(count),
                  `${count}${count === setCounts(library, slot, muscle) ? ' (usual)' : ''}`,
                ])}
                onChoose={(count) => set(muscle, Number(count))}
                className="min-h-8 px-2"
              />
            </label>
          </li>
        ))}
      </ul>
      <Select
        aria-label="Count sets for another muscle"
        placeholder="Another muscle…"
        value=""
        options={asSaid(muscles.filter((one) => !works.includes(one)))}
        onChoose={(muscle: Muscle | '') => muscle && set(muscle, 0.5)}
        className="mt-1 min-h-8 px-2 text-sm"
      />
    </fieldset>
  )
}
