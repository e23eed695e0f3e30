import { useSearchParams } from 'react-router'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { GiveMax } from './GiveMax.tsx'
import { MaxList } from './MaxList.tsx'
import { Proposals } from './Proposals.tsx'

/** The member's maxes: which are in force, what training suggests, and a form to give one. */
export default function MaxesPage() {
  const { data, error, isLoading, refetch } = api.useMaxesQuery(today())
  const [search] = useSearchParams()
  if (isLoading) return <p className="p-6 text-bark">Loading …</p>
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
        <h1 className="text-3xl">Maxes</h1>
        <p className="mt-1 text-bark">Every load of your program is worked out from these.</p>
        <MaxList view={data} />
        {data.proposals.length > 0 && <Proposals proposals={data.proposals} />}
      </section>
      <section>
        <GiveMax key={wanted} unit={data.unit} exercise={wanted} />
      </section>
      <Toasts />
    </main>
  )
}
