import type { ProgressView } from '@young-oak/api/progress'
import { Button } from '../../ui/Button.tsx'
import { useGive } from './useGive.ts'

/** Lifts that have outgrown their rule, and what they may go on to. */
export function Offers({ offers, member }: { offers: ProgressView['offers']; member?: string }) {
  const { give, isBusy } = useGive(member)
  return (
    <ul className="grid gap-3">
      {offers.map(({ progression, stage, say, next }) => (
        <li
          key={`${progression}/${stage}/${say}`}
          className="rounded-lg border border-acorn bg-acorn-wash p-4"
        >
          <p className="font-medium">{say}</p>
          <p className="mt-1 text-sm">Next: {next}</p>
          <Button
            className="mt-2 min-h-11"
            disabled={isBusy}
            onClick={() =>
              void give(
                { kind: 'handover', progression, stage },
                'The progression changes with the next session.',
              )
            }
          >
            Use the next progression
          </Button>
        </li>
      ))}
    </ul>
  )
}
