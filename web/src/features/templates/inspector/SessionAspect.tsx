import { useLibrary } from '../../library/useLibrary.ts'
import { addSession, copySession, moveSession, removeSession } from '@young-oak/core/editing'
import type { Section, Template } from '@young-oak/core/template'
import { Button } from '../../../ui/Button.tsx'
import { mint } from '../mint.ts'
import { Answers } from './Answers.tsx'
import { DefaultsFields } from './DefaultsFields.tsx'
import { sayDefaults } from './sayDefaults.ts'
import { sayWhole, Tiny } from './PhaseAspect.tsx'
import { SavedField } from './SavedField.tsx'
import { usePut } from './usePut.ts'

type Props = { draft: Template; phase?: string; session?: string }

/** A session: its name, its parts with their minutes, and what its slots inherit. */
export function SessionAspect({ draft, phase = '', session: id = '' }: Props) {
  const library = useLibrary()
  const { put, fault } = usePut(draft)
  const session = draft.sessions[id]
  if (!session) return <p className="text-bark">Select a line of the sheet to see its session.</p>
  const putParts = (to: Section[]) => put({ do: 'setSections', session: id, from: session.sections, to })
  const putPart = (at: number, change: Partial<Section>) =>
    putParts(session.sections.map((part, i) => (i === at ? cleaned({ ...part, ...change }) : part)))
  const swap = (at: number, by: number) => {
    const next = [...session.sections]
    const [one] = next.splice(at, 1)
    next.splice(at + by, 0, one as Section)
    putParts(next)
  }
  return (
    <section aria-label={`Session ${session.name}`} className="grid gap-4">
      <SavedField
        label="Name of the session"
        value={session.name}
        onSave={(to) => {
          if (!to) return 'A session needs a name.'
          put({ do: 'setSession', session: id, field: 'name', from: session.name, to })
        }}
      />
      <fieldset className="grid gap-2">
        <legend className="mb-1 text-sm font-medium">Sections, in order</legend>
        {session.sections.map((part, i) => (
          <div key={part.name} className="grid gap-2 border-b border-line pb-2">
            <div className="grid grid-cols-[1fr_5rem] gap-2">
              <SavedField
                label={`Section ${i + 1}`}
                value={part.name}
                onSave={(to) => {
                  if (!to) return 'A section needs a name.'
                  if (session.sections.some((one, j) => j !== i && one.name === to))
                    return 'Another section has this name.'
                  putPart(i, { name: to })
                }}
              />
              <SavedField
                label="Minutes"
                inputMode="numeric"
                placeholder="open"
                value={part.minutes ? String(part.minutes) : ''}
                onSave={(to) =>
                  (to ? sayWhole(to, 1, 240) : undefined) ??
                  void putPart(i, { minutes: to ? Number(to) : undefined })
                }
              />
            </div>
            <div className="flex flex-wrap items-center gap-3 text-sm">
              <span className="text-bark">
                {part.slots.length} {part.slots.length === 1 ? 'exercise' : 'exercises'}
              </span>
              <Tiny label={`${part.name}, earlier`} isOff={i === 0} onClick={() => swap(i, -1)}>
                up
              </Tiny>
              <Tiny
                label={`${part.name}, later`}
                isOff={i === session.sections.length - 1}
                onClick={() => swap(i, 1)}
              >
                down
              </Tiny>
              <Tiny
                label={`Remove ${part.name}`}
                isOff={part.slots.length > 0 || session.sections.length < 2}
                onClick={() => putParts(session.sections.filter((_, j) => j !== i))}
              >
                remove
              </Tiny>
              {part.slots.length > 1 && (
                <label className="flex items-center gap-2">
                  Rotate exercises
                  <select
                    value={part.rotation ? `${part.rotation.by}/${part.rotation.every}` : ''}
                    onChange={(event) => {
                      const [by, every] = event.target.value.split('/')
                      putPart(i, {
                        rotation: by ? { by: by as 'week' | 'day', every: Number(every) } : undefined,
                      })
                    }}
                    className="min-h-8 rounded-md border border-edge bg-sheet px-1"
                  >
                    <option value="">never</option>
                    <option value="day/1">each day of the week</option>
                    {[1, 2, 3, 4].map((every) => (
                      <option key={every} value={`week/${every}`}>
                        {every === 1 ? 'each week' : `every ${every} weeks`}
                      </option>
                    ))}
                  </select>
                </label>
              )}
            </div>
          </div>
        ))}
        <Button
          look="quiet"
          className="-ml-3.5 justify-self-start text-sm"
          onClick={() => putParts([...session.sections, { name: freeName(session.sections), slots: [] }])}
        >
          Add a section
        </Button>
      </fieldset>
      <Answers
        key={id}
        answers={[
          {
            name: 'defaults for its exercises',
            said: sayDefaults(session.defaults, 'session'),
            field: (
              <DefaultsFields
                defaults={session.defaults}
                of="session"
                onSave={(to) =>
                  put({
                    do: 'setSession',
                    session: id,
                    field: 'defaults',
                    from: session.defaults ?? null,
                    to,
                  })
                }
              />
            ),
          },
        ]}
      />
      {fault && (
        <p role="alert" className="rounded bg-brick-wash px-2 py-1 text-sm text-brick">
          {fault}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {(
          [
            [
              'Add a session',
              () => addSession(draft, phase, `Session ${Object.keys(draft.sessions).length + 1}`, mint),
            ],
            ['Copy session', () => copySession(draft, id, phase, mint)],
            ['Earlier', () => moveSession(draft, phase, id, -1)],
            ['Later', () => moveSession(draft, phase, id, 1)],
            ['Remove session', () => removeSession(library, draft, id)],
          ] as const
        ).map(([say, build]) => (
          <Button key={say} look="plain" className="text-sm" onClick={() => put(build())}>
            {say}
          </Button>
        ))}
      </div>
    </section>
  )
}

/** Without what is not said. */
const cleaned = (part: Section): Section =>
  Object.fromEntries(Object.entries(part).filter(([, value]) => value !== undefined)) as Section

function freeName(parts: Section[]): string {
  const usual = ['After', 'Before', 'Conditioning']
  return usual.find((name) => !parts.some((part) => part.name === name)) ?? `Section ${parts.length + 1}`
}
