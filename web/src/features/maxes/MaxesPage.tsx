import { useTitle } from '../../app/useTitle.ts'
import { Link, useParams, useSearchParams } from 'react-router'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { BodyWeight } from './BodyWeight.tsx'
import { GiveMax } from './GiveMax.tsx'
import { MaxList } from './MaxList.tsx'
import { Proposals } from './Proposals.tsx'

/** Maxes of the signed-in member, or, for a writer, of one of theirs: which are in force, what training suggests, a form to give one. */
export default function MaxesPage() {
  const { id: member } = useParams()
  const { data, error, isLoading, refetch } = api.useMaxesQuery({ day: today(), member })
  const { data: members } = api.useMembersQuery(undefined, { skip: member === undefined })
  const [search] = useSearchParams()
  const name = members?.find(({ id }) => id === member)?.name
  useTitle(name ? `Maxes of ${name}` : 'Maxes')
  if (isLoading) return <p className="p-6 text-bark">Loading…</p>
  if (!data) {
    return (
      <main className="mx-auto max-w-lg p-6">
        <h1 className="text-2xl">Maxes</h1>
        <p className="my-3 text-bark">{sayError(error)}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  }
  const wanted = search.get('lift') ?? data.needed[0]?.exercise ?? ''
  return (
    <main className="mx-auto grid w-full max-w-5xl gap-10 px-4 py-6 md:grid-cols-2">
      <section>
        {member !== undefined && (
          <Link to="/max-table" className="text-sm underline underline-offset-4">
            All members’ maxes
          </Link>
        )}
        <h1 className="text-3xl">{name ? `Maxes of ${name}` : 'Maxes'}</h1>
        <p className="mt-1 text-bark">
          Every load of {name ? 'their' : 'your'} program is worked out from these.{' '}
          <Link to="/calculator" className="inline-block py-1 underline underline-offset-4 sm:hidden">
            Calculator
          </Link>
        </p>
        <MaxList view={data} whose={name ? 'Their' : 'Your'} />
        {data.proposals.length > 0 && <Proposals proposals={data.proposals} member={member} />}
      </section>
      <section className="grid content-start gap-6">
        <GiveMax key={wanted} unit={data.unit} exercise={wanted} member={member} body={data.body} />
        <BodyWeight unit={data.unit} body={data.body} member={member} />
      </section>
      <Toasts />
    </main>
  )
}
