import { useLibrary } from '../../library/useLibrary.ts'
import { addSession, copySession, moveSession, removeSession, type Built } from '@young-oak/core/editing'
import type { Section, Template } from '@young-oak/core/template'
import { Alert } from '../../../ui/Alert.tsx'
import { Button } from '../../../ui/Button.tsx'
import { Select, type Option } from '../../../ui/Select.tsx'
import { mint } from '../mint.ts'
import { ActButtons } from './ActButtons.tsx'
import { Answers } from './Answers.tsx'
import { defaultsAnswer } from './defaultsAnswer.tsx'
import { sayWhole } from './PhaseAspect.tsx'
import { Tiny } from './Tiny.tsx'
import { SavedField } from './SavedField.tsx'
import { usePut } from './usePut.ts'

type Props = { draft: Template; phase?: string; session?: string }

/** A session: its name, its sections with their minutes, and what its slots inherit. */
export function SessionAspect({ draft, phase = '', session: id = '' }: Props) {
  const { put, fault } = usePut(draft)
  const session = draft.sessions[id]
  if (!session) return <p className="text-bark">Select a line of the sheet to see its session.</p>
  const putSections = (to: Section[]) => put({ do: 'setSections', session: id, from: session.sections, to })
  const putSection = (at: number, change: Partial<Section>) =>
    putSections(
      session.sections.map((section, i) => (i === at ? cleaned({ ...section, ...change }) : section)),
    )
  const swap = (at: number, by: number) => {
    const next = [...session.sections]
    const [one] = next.splice(at, 1)
    next.splice(at + by, 0, one as Section)
    putSections(next)
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
        {session.sections.map((section, i) => (
          <SectionFields
            key={section.name}
            sections={session.sections}
            at={i}
            onPut={(change) => putSection(i, change)}
            onMove={(by) => swap(i, by)}
            onRemove={() => putSections(session.sections.filter((_, other) => other !== i))}
          />
        ))}
        <Button
          look="quiet"
          className="-ml-3.5 justify-self-start text-sm"
          onClick={() => putSections([...session.sections, { name: freeName(session.sections), slots: [] }])}
        >
          Add a section
        </Button>
      </fieldset>
      <Answers
        key={id}
        answers={[
          defaultsAnswer({
            defaults: session.defaults,
            of: 'session',
            onSave: (to) =>
              put({ do: 'setSession', session: id, field: 'defaults', from: session.defaults ?? null, to }),
          }),
        ]}
      />
      <Alert className="rounded bg-brick-wash px-2 py-1">{fault}</Alert>
      <SessionActs draft={draft} phase={phase} id={id} put={put} />
    </section>
  )
}

type ActsProps = { draft: Template; phase: string; id: string; put: ReturnType<typeof usePut>['put'] }

/** What can be done with a session as a whole. */
function SessionActs({ draft, phase, id, put }: ActsProps) {
  const library = useLibrary()
  const name = `Session ${Object.keys(draft.sessions).length + 1}`
  const acts: [string, () => Built | null][] = [
    ['Add a session', () => addSession(draft, phase, name, mint)],
    ['Copy session', () => copySession(draft, id, phase, mint)],
    ['Move session earlier', () => moveSession(draft, phase, id, -1)],
    ['Move session later', () => moveSession(draft, phase, id, 1)],
    ['Remove session', () => removeSession(library, draft, id)],
  ]
  return <ActButtons acts={acts} put={put} />
}

type SectionProps = {
  sections: Section[]
  at: number
  onPut: (change: Partial<Section>) => void
  onMove: (by: -1 | 1) => void
  onRemove: () => void
}

/** One section: its name, its minutes, and its place among the others. */
function SectionFields({ sections, at, onPut, onMove, onRemove }: SectionProps) {
  const section = sections[at] as Section
  return (
    <div className="grid gap-2 border-b border-line pb-2">
      <div className="grid grid-cols-[1fr_5rem] gap-2">
        <SavedField
          label={`Section ${at + 1}`}
          value={section.name}
          onSave={(to) => {
            if (!to) return 'A section needs a name.'
            if (sections.some((one, i) => i !== at && one.name === to))
              return 'Another section has this name.'
            onPut({ name: to })
          }}
        />
        <SavedField
          label="Minutes"
          inputMode="numeric"
          placeholder="open"
          value={section.minutes ? String(section.minutes) : ''}
          onSave={(to) =>
            (to ? sayWhole(to, 1, 240) : undefined) ?? void onPut({ minutes: to ? Number(to) : undefined })
          }
        />
      </div>
      <div className="flex flex-wrap items-center gap-3 text-sm">
        <span className="text-bark">
          {section.slots.length} {section.slots.length === 1 ? 'exercise' : 'exercises'}
        </span>
        <Tiny label={`${section.name}, earlier`} isOff={at === 0} onClick={() => onMove(-1)}>
          up
        </Tiny>
        <Tiny label={`${section.name}, later`} isOff={at === sections.length - 1} onClick={() => onMove(1)}>
          down
        </Tiny>
        <Tiny
          label={`Remove ${section.name}`}
          isOff={section.slots.length > 0 || sections.length < 2}
          onClick={onRemove}
        >
          remove
        </Tiny>
        {section.slots.length > 1 && <RotationField section={section} onPut={onPut} />}
      </div>
    </div>
  )
}

const rotationChoices: Option<string>[] = [
  ['', 'never'],
  ['day/1', 'each day of the week'],
  ['week/1', 'each week'],
  ['week/2', 'every 2 weeks'],
  ['week/3', 'every 3 weeks'],
  ['week/4', 'every 4 weeks'],
]

type RotationProps = { section: Section; onPut: (change: Partial<Section>) => void }

/** Whether the exercises of a section rotate, and after how many weeks or days. */
const RotationField = ({ section, onPut }: RotationProps) => (
  <label className="flex items-center gap-2">
    Rotate exercises
    <Select
      value={section.rotation ? `${section.rotation.by}/${section.rotation.every}` : ''}
      options={rotationChoices}
      onChoose={(to) => {
        const [by, every] = to.split('/')
        onPut({ rotation: by ? { by: by as 'week' | 'day', every: Number(every) } : undefined })
      }}
      className="min-h-8 px-2"
    />
  </label>
)

/** Without what is not said. */
const cleaned = (section: Section): Section =>
  Object.fromEntries(Object.entries(section).filter(([, value]) => value !== undefined)) as Section

function freeName(sections: Section[]): string {
  const usual = ['After', 'Before', 'Conditioning']
  return (
    usual.find((name) => !sections.some((section) => section.name === name)) ??
    `Section ${sections.length + 1}`
  )
}
