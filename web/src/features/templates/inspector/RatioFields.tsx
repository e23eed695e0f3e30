import { useLibrary } from '../../library/useLibrary.ts'
import { Plus, X } from 'lucide-react'
import { liftName, takesMax, type ExerciseId } from '@young-oak/core/library'
import type { Ratio } from '@young-oak/core/template'
import { ExercisePicker } from '../../library/ExercisePicker.tsx'
import { Alert } from '../../../ui/Alert.tsx'
import { Button } from '../../../ui/Button.tsx'
import { IconButton } from '../../../ui/IconButton.tsx'
import { draftRatios, type RatioDraft } from './loadSettings.ts'

type Props = {
  ratios: RatioDraft[]
  /** What the library has to begin with. */
  offered: Ratio[]
  error?: string
  onChange: (ratios: RatioDraft[]) => void
}

/** Lifts that read a percent of another lift's max until they have one of their own. */
export function RatioFields({ ratios, offered, error, onChange }: Props) {
  const library = useLibrary()
  const isTied = ({ lift }: Ratio) =>
    ratios.some(({ exercise, variant }) => exercise === lift.exercise && !variant)
  const more = offered.filter((one) => !isTied(one))
  const change = (at: number, own: Partial<RatioDraft>) =>
    onChange(ratios.map((ratio, i) => (i === at ? { ...ratio, ...own } : ratio)))
  return (
    <fieldset className="sm:col-span-2">
      <legend className="mb-1 text-sm font-medium">
        Lifts tied to another’s max until they have their own
      </legend>
      <ul className="grid gap-2">
        {ratios.map((ratio, i) => (
          <RatioLine
            key={i}
            ratio={ratio}
            n={i + 1}
            onChange={(own) => change(i, own)}
            onRemove={() => onChange(ratios.filter((_, k) => k !== i))}
          />
        ))}
      </ul>
      <Button
        look="quiet"
        onClick={() =>
          onChange([...ratios, { exercise: '', variant: '', percent: '85', of: '', ofVariant: '' }])
        }
      >
        <Plus size={16} className="inline" /> Tie a lift
      </Button>
      {more.length > 0 && (
        <Button look="quiet" onClick={() => onChange([...ratios, ...draftRatios(more)])}>
          Add usual ratios: {more.map(({ lift }) => liftName(library, lift).toLowerCase()).join(', ')}
        </Button>
      )}
      <Alert>{error}</Alert>
    </fieldset>
  )
}

const box = 'h-11 min-w-0 rounded-md border border-edge bg-paper px-2'

type LineProps = {
  ratio: RatioDraft
  n: number
  onChange: (own: Partial<RatioDraft>) => void
  onRemove: () => void
}

/** One lift at so many percent of another. */
function RatioLine({
  ratio: { exercise, variant, percent, of, ofVariant },
  n,
  onChange,
  onRemove,
}: LineProps) {
  const library = useLibrary()
  const fits = (id: ExerciseId) => takesMax(library, { exercise: id })
  return (
    <li className="flex flex-wrap items-center gap-2">
      <ExercisePicker
        label={`Lift ${n}`}
        isBare
        placeholder="choose a lift"
        value={exercise}
        fits={fits}
        onChoose={(id) => onChange({ exercise: id })}
      />
      <input
        aria-label={`Variant of lift ${n}`}
        placeholder="variant"
        value={variant}
        onChange={(event) => onChange({ variant: event.target.value })}
        className={`${box} w-24`}
      />
      <span>at</span>
      <input
        aria-label={`Percent ${n}`}
        inputMode="decimal"
        value={percent}
        onChange={(event) => onChange({ percent: event.target.value })}
        className={`${box} w-16 text-right`}
      />
      <span>% of</span>
      <ExercisePicker
        label={`Of lift ${n}`}
        isBare
        placeholder="choose a lift"
        value={of}
        fits={fits}
        onChoose={(id) => onChange({ of: id })}
      />
      <input
        aria-label={`Variant of the other lift ${n}`}
        placeholder="variant"
        value={ofVariant}
        onChange={(event) => onChange({ ofVariant: event.target.value })}
        className={`${box} w-24`}
      />
      <IconButton label={`Remove ratio ${n}`} onClick={onRemove}>
        <X size={16} />
      </IconButton>
    </li>
  )
}
