import { addPhase } from '@young-oak/core/editing'
import { sayLater, type Command, type LaterPhase, type Template } from '@young-oak/core/template'
import { Button } from '../../../ui/Button.tsx'
import { mint } from '../mint.ts'
import { SavedField } from './SavedField.tsx'
import { usePut } from './usePut.ts'

/** Phases that are left open on purpose: named, with their length where it is known, and written when their time comes. */
export function LaterPhases({ draft }: { draft: Template }) {
  const { put, fault } = usePut(draft)
  const { later: from = null } = draft
  const phases = from ?? []
  const set = (to: LaterPhase[]): Command => ({
    do: 'setHead',
    field: 'later',
    from,
    to: to.length ? to : null,
  })
  const change = (i: number, to: LaterPhase) => void put(set(phases.map((one, j) => (i === j ? to : one))))
  const write = ({ name, weeks = 4 }: LaterPhase) => {
    const last = draft.phases.at(-1)
    const built = last && addPhase(draft, last.id, { name, weeks }, mint)
    if (!built || 'fault' in built) return
    const commands = [...('commands' in built ? built.commands : [built]), set(phases.slice(1))] as Command[]
    put({ do: 'several', commands, name: `Phase added: ${name}` })
  }
  return (
    <section aria-label="Phases still to be written" className="grid gap-2">
      <h3 className="text-lg">Phases still to be written</h3>
      <p className="text-sm text-bark">
        They come after the last phase. Members see the name, and train on once the phase is published.
      </p>
      {phases.map((phase, i) => (
        <div key={i} className="grid grid-cols-[1fr_5rem] items-end gap-x-3 gap-y-1">
          <SavedField
            label="Name"
            value={phase.name}
            onSave={(to) => {
              if (!to) return 'A phase needs a name.'
              change(i, { ...phase, name: to.slice(0, 80) })
              return undefined
            }}
          />
          <SavedField
            label="Weeks"
            inputMode="numeric"
            placeholder="open"
            value={phase.weeks === undefined ? '' : String(phase.weeks)}
            onSave={(to) => {
              const weeks = to ? Number(to) : undefined
              if (weeks !== undefined && !(Number.isInteger(weeks) && weeks >= 1 && weeks <= 60))
                return '1 to 60, or empty.'
              change(i, { name: phase.name, ...(weeks !== undefined && { weeks }) })
              return undefined
            }}
          />
          <span className="col-span-2 flex gap-3">
            {i === 0 && (
              <Button look="plain" className="text-sm" onClick={() => write(phase)}>
                Write it now
              </Button>
            )}
            <Button
              look="quiet"
              className="text-sm"
              aria-label={`Remove: ${sayLater(phase)}`}
              onClick={() => void put(set(phases.filter((_, j) => j !== i)))}
            >
              Remove
            </Button>
          </span>
        </div>
      ))}
      <Button
        look="quiet"
        className="-ml-3.5 justify-self-start text-sm"
        onClick={() => void put(set([...phases, { name: phases.length ? 'Next phase' : 'Peak' }]))}
      >
        Leave a phase open
      </Button>
      {fault && <p className="text-sm text-brick">{fault}</p>}
    </section>
  )
}
