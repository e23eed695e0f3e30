import type { ProgressView } from '@young-oak/api/progress'
import { PhoneSelect } from '../../ui/Field.tsx'
import { useGive } from './useGive.ts'

type Props = { program: ProgressView['programs'][number]; member: string | undefined }

/** What stands for the track that the writer has published. */
const published = ' published'

/** Which track of a program this member trains: a writer may choose it, and the member where the writer lets them. */
export function TrackChoice({ program, member }: Props) {
  const { give, isBusy } = useGive(member)
  const { enrolment, name, track, tracks, choosesTrack } = program
  if (!tracks.length || (member === undefined && !choosesTrack)) return null
  const choose = (to: string) =>
    void give(
      { kind: 'track', enrolment, ...(to !== published && { track: to || null }) },
      'Saved. The track changes with the next plan week.',
    )
  return (
    <div className="my-1 max-w-xs">
      <PhoneSelect
        label={`Track of ${name}`}
        value={track ?? ''}
        disabled={isBusy}
        hint="From the next plan week on."
        onChange={({ target }) => choose(target.value)}
      >
        <option value="">as written</option>
        {tracks.map(({ id, name: said }) => (
          <option key={id} value={id}>
            {said}
          </option>
        ))}
        <option value={published}>back to the published track</option>
      </PhoneSelect>
    </div>
  )
}
