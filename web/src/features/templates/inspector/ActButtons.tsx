import type { Built } from '@young-oak/core/editing'
import { Button } from '../../../ui/Button.tsx'

type Props = {
  /** What each button says, and the step that it comes to. */
  acts: [say: string, build: () => Built | null][]
  put: (built: Built | null) => boolean
}

/** What can be done with a whole, one button each. */
export const ActButtons = ({ acts, put }: Props) => (
  <div className="flex flex-wrap gap-2">
    {acts.map(([say, build]) => (
      <Button key={say} look="plain" className="text-sm" onClick={() => put(build())}>
        {say}
      </Button>
    ))}
  </div>
)
