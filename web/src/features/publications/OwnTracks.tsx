import { useWatch, type Control } from 'react-hook-form'
import type { Publication } from '@young-oak/api/forms/publication'
import type { MemberLine } from '@young-oak/api/members'
import { Button } from '../../ui/Button.tsx'
import { Finder } from '../../ui/Finder.tsx'
import type { Option } from '../../ui/Select.tsx'
import { chosenOn } from './publication.ts'
import { countOf } from './sayPublication.ts'

type Props = {
  control: Control<Publication>
  tracks: Option<string>[]
  chosen: readonly MemberLine[]
  /** Puts members on a track; null: back where the rules have them. */
  onTrack: (members: string[], track: string | null) => void
}

/** As many names are found, and shown, at once. */
const mostFound = 50
const mostNamed = 12

/** Members put on a track by hand, track by track, whatever the rules say of them. */
export function OwnTracks({ control, tracks, chosen, onTrack }: Props) {
  const given = useWatch({ control, name: 'ownTracks' })
  const own = chosenOn(
    given,
    chosen.map(({ id }) => id),
  )
  const names = new Map(chosen.map(({ id, name }) => [id, name]))
  return (
    <section aria-label="Tracks by hand" className="grid gap-3">
      <p className="text-sm text-bark">Members can be put on a track by hand, whatever the rules say.</p>
      {tracks.map(([track, said]) => {
        const on = own.find((one) => one.track === track)?.members ?? []
        const find = (words: string) =>
          chosen
            .filter(({ id, name }) => !on.includes(id) && name.toLowerCase().includes(words.toLowerCase()))
            .slice(0, mostFound)
            .map(({ id, name }) => ({ value: id, said: name }))
        return (
          <div key={track} className="grid items-start gap-x-3 gap-y-1 sm:grid-cols-[12rem_minmax(0,1fr)]">
            <Finder
              label={track ? `Put on ${said}` : 'Put on the template as written'}
              chosen={null}
              placeholder="Add a member"
              typing="part of a name"
              nothing="No other chosen member has this name."
              find={find}
              onChoose={(member) => member && onTrack([member], track)}
            />
            {on.length > 0 && (
              <div className="flex flex-wrap items-center gap-x-3 text-sm sm:pt-7">
                <span>{sayNames(on.map((id) => names.get(id) ?? ''))}</span>
                <Button
                  look="quiet"
                  className="text-sm"
                  aria-label={`Take ${countOf(on.length)} off ${track ? said : 'the template as written'}`}
                  onClick={() => onTrack(on, null)}
                >
                  Take off
                </Button>
              </div>
            )}
          </div>
        )
      })}
    </section>
  )
}

const sayNames = (names: string[]): string =>
  names.length > mostNamed
    ? `${names.slice(0, mostNamed).join(', ')} and ${names.length - mostNamed} more`
    : names.join(', ')
