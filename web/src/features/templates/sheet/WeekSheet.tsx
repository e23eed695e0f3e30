import { memo, startTransition, useEffect, useLayoutEffect, useRef, useState, type RefObject } from 'react'
import type { Id } from '@young-oak/core/parsing'
import type { Command, Template } from '@young-oak/core/template'
import { Button } from '../../../ui/Button.tsx'
import { Modal } from '../../../ui/Modal.tsx'
import type { Preview } from '../../../workers/planner.ts'
import { ExerciseForm } from '../../library/ExerciseForm.tsx'
import type { Selected } from '../inspector/selected.ts'
import type { ActName, Asked } from './acts/index.ts'
import { CircuitDialog } from './CircuitDialog.tsx'
import { PasteFaults } from './PasteFaults.tsx'
import type { Column } from './sheet.ts'
import { SheetColumn } from './SheetColumn.tsx'
import { useColumns, usePlanned, useSelected } from './useColumns.ts'
import { useLineActs } from './useLineActs.ts'
import { useSheet } from './useSheet.ts'

type Props = {
  draft: Template
  week: number
  weeks: number
  onWeek: (week: number) => void
  /** What is being typed, as the command it would be, or null. */
  onTry: (command: Command | null) => void
  preview: Preview | null
  memberName?: string
  /** A track whose differences are marked. */
  track: string
  /** What the keyboard stands on, for the inspector. */
  onSelect: (selected: Selected) => void
  /** Opens the inspector on it. */
  onInspect: (selected: Selected) => void
  /** Where the palette finds how to act on the cell under the keyboard. */
  runnerRef: RefObject<((name: ActName) => void) | null>
}

/** The week's sessions side by side, edited in place by keyboard. */
export const WeekSheet = memo(function WeekSheet({
  draft,
  week,
  weeks,
  onWeek,
  onTry,
  preview,
  memberName,
  track,
  onSelect,
  onInspect,
  runnerRef,
}: Props) {
  const columns = useColumns(draft, week, track)
  const planned = usePlanned(draft, columns, preview)
  const sheet = useRef<HTMLDivElement>(null)
  const [circuit, setCircuit] = useState<Id[] | null>(null)
  const [fresh, setFresh] = useState<string | null>(null)
  const state = useSheet({
    draft,
    columns,
    week,
    weeks,
    sheet,
    onWeek,
    onTry,
    onCircuit: setCircuit,
    onNewExercise: setFresh,
  })
  const { at, range, typing } = state
  const selected = useSelected(columns, at)
  useEffect(() => startTransition(() => onSelect(selected)), [selected, onSelect])
  useLayoutEffect(() => {
    runnerRef.current = state.act
  })
  const onAct = useLineActs(state, setFresh)
  return (
    <>
      <div
        ref={sheet}
        role="group"
        aria-label={`Week ${week}`}
        className="grid gap-x-4 gap-y-6 overflow-x-auto pb-2"
        style={{
          gridTemplateColumns: `repeat(${Math.min(Math.max(columns.length, 1), 6)}, minmax(16.5rem, ${columns.length > 2 ? '1fr' : '30rem'}))`,
        }}
        onKeyDown={state.onKeyDown}
        onCopy={state.onCopy}
        onCut={state.onCut}
        onPaste={state.onPaste}
      >
        {columns.map((one, c) => (
          <SheetColumn
            key={one.position}
            column={one}
            index={c}
            week={week}
            twin={twinOf(columns, one)}
            at={at.column === c ? at : null}
            range={range.column === c ? range : null}
            typing={at.column === c ? typing : null}
            planned={planned[c]?.session}
            minutes={planned[c]?.minutes ?? 0}
            isPreviewed={memberName !== undefined}
            table={draft.maxes.table}
            onAct={onAct}
            onInspect={onInspect}
          />
        ))}
      </div>
      <Legend />
      {fresh !== null && (
        <ExerciseForm
          name={fresh}
          onClose={() => {
            setFresh(null)
            onAct({ do: 'seeAgain' })
          }}
        />
      )}
      {state.asked && <FillOver asked={state.asked} onAnswer={state.answer} />}
      {state.pasted && <PasteFaults pasted={state.pasted} onClose={state.closePasted} />}
      {circuit && (
        <CircuitDialog draft={draft} slots={circuit} onPut={state.put} onClose={() => setCircuit(null)} />
      )}
    </>
  )
})

type FillProps = { asked: Asked; onAnswer: (isYes: boolean) => void }

/** Filling over what a progression computes asks once. */
const FillOver = ({ asked, onAnswer }: FillProps) => (
  <Modal title="Fill over computed cells?" isOpen onClose={() => onAnswer(false)}>
    <p>
      {asked.byRule} {asked.byRule === 1 ? 'cell is' : 'cells are'} computed by a progression in the later
      weeks. Filling replaces those cells.
    </p>
    <div className="mt-4 flex gap-3">
      <Button autoFocus onClick={() => onAnswer(true)}>
        Fill
      </Button>
      <Button look="plain" onClick={() => onAnswer(false)}>
        {asked.otherwise ? 'Only this week' : 'Leave computed cells'}
      </Button>
    </div>
  </Modal>
)

/** The first place of the week that has the same session, where this is a later one. */
const twinOf = (columns: Column[], { session, position }: Column): number | undefined =>
  columns.find((one) => one.session === session && one.position < position)?.inWeek

const Legend = () => (
  <p className="flex flex-wrap gap-x-5 text-xs text-bark">
    <span>
      <span className="text-ink">3:00</span> written
    </span>
    <span>
      <span className="underline decoration-edge decoration-dotted underline-offset-4">3:00</span> inherited
      from the session or phase
    </span>
    <span>
      <span className="text-mist italic">progression</span> computed by a progression
    </span>
    <span>
      <span className="font-semibold text-ink underline decoration-acorn decoration-2 underline-offset-4">
        4
      </span>{' '}
      fixed in place of the progression; Delete removes the fix
    </span>
    <span>Type over a cell, or a whole line: back squat 5 x 5 @ 75% R2 rest 3:00</span>
  </p>
)
