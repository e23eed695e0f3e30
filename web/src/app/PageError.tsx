import { useTitle } from './useTitle.ts'
import { Link } from 'react-router'
import { Button } from '../ui/Button.tsx'

/** What stands where a page failed: never a blank one. */
export function PageError() {
  useTitle('This page did not work')
  return (
    <main className="mx-auto max-w-lg p-8">
      <h1 className="text-2xl">This page did not work</h1>
      <p className="mt-2 text-bark">
        What you saved is safe. Load the page again; if the error stays, go to the start page.
      </p>
      <p className="mt-4 flex gap-3">
        <Button onClick={() => location.reload()}>Load again</Button>
        <Link className="self-center underline" to="/">
          Go to the start page
        </Link>
      </p>
    </main>
  )
}
