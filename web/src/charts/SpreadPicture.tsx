import { scaleLinear } from 'd3'
import {
  formulaOf,
  isDoubtful,
  mostReps,
  mostRepsWarned,
  spread,
  type FormulaKind,
} from '@young-oak/core/maxes'
import { formatLoad, formatNumber, type Load } from '@young-oak/core/units'

type Props = {
  load: Load
  reps: number
  inReserve?: number
  chosen: FormulaKind
  onChoose: (kind: FormulaKind) => void
}

/** What each formula makes of a set, on one scale, lowest first: how far they part is seen, and one of them is chosen. */
export function SpreadPicture({ load, reps, inReserve: rir = 0, chosen, onChoose }: Props) {
  if (reps + rir === 1) return <p>A single is the 1RM itself: {formatLoad(load)}.</p>
  const made = spread(load, reps, rir)
  if (!made) return <p className="text-acorn">No estimate from more than {mostRepsWarned} reps.</p>
  const { estimates, percent } = made
  const [lowest, highest] = [estimates[0]?.load.value ?? 0, estimates.at(-1)?.load.value ?? 1]
  const place = scaleLinear([lowest, highest], [2, 98])
  return (
    <fieldset>
      <legend className="text-sm font-medium">
        Estimated 1RM, by{' '}
        <span className="font-normal text-bark">
          (the formulas differ by {formatNumber(Math.round(percent * 10) / 10)}%)
        </span>
      </legend>
      <div className="mt-1 grid gap-1">
        {estimates.map(({ kind, load: estimate }) => (
          <label
            key={kind}
            title={formulaOf[kind].domain}
            className={`grid min-h-11 grid-cols-[auto_5rem_1fr_5.5rem] items-center gap-2 rounded-md border px-3 sm:min-h-9 ${chosen === kind ? 'border-leaf bg-leaf-wash' : 'border-transparent hover:border-line'}`}
          >
            <input
              type="radio"
              name="formula"
              checked={chosen === kind}
              onChange={() => onChoose(kind)}
              className="accent-leaf"
            />
            <span>{formulaOf[kind].title}</span>
            <svg viewBox="0 0 100 10" preserveAspectRatio="none" className="h-3 w-full" aria-hidden>
              <line x1="0" x2="100" y1="5" y2="5" stroke="var(--line)" vectorEffect="non-scaling-stroke" />
              <line
                x1={place(estimate.value)}
                x2={place(estimate.value)}
                y1="0"
                y2="10"
                stroke={chosen === kind ? 'var(--leaf)' : 'var(--bark)'}
                strokeWidth={chosen === kind ? 4 : 2}
                vectorEffect="non-scaling-stroke"
              />
            </svg>
            <strong className="text-right whitespace-nowrap">{formatLoad(estimate)}</strong>
          </label>
        ))}
      </div>
      {isDoubtful(reps, rir) && (
        <p className="mt-2 rounded bg-acorn-wash px-3 py-2 text-sm text-acorn">
          Above {mostReps} reps the formulas differ too much to rely on: a heavier set tells more.
        </p>
      )}
    </fieldset>
  )
}
