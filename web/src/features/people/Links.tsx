import Papa from 'papaparse'
import { useState } from 'react'
import type { InvitationLink } from '@young-oak/api/people'
import { Button } from '../../ui/Button.tsx'
import { copyText } from '../../ui/copyText.ts'
import { QrCode } from '../../ui/QrCode.tsx'

/** The links that have just been made. The server keeps none of them but in a message that was not sent, so here is where they are handed on. */
export function Links({ links, onClose }: { links: InvitationLink[]; onClose: () => void }) {
  const [shown, setShown] = useState<InvitationLink | null>(null)
  const [one] = links
  return (
    <section aria-label="New links" className="mt-8 rounded-lg border border-leaf bg-sheet p-4">
      <h2 className="text-xl">
        {links.length === 1 ? `The link for ${one?.name}` : `${links.length} links`}
      </h2>
      <p className="mt-1 text-sm text-bark">
        {links.length === 1 ? 'It is' : 'They are'} shown here now and not again. Lost? Make a new link below.
      </p>
      <ul className="mt-3 max-h-80 divide-y divide-line overflow-y-auto border-y border-line">
        {links.map((link) => (
          <li key={link.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
            <span className="min-w-32 font-medium">{link.name}</span>
            <code className="min-w-0 grow basis-60 truncate text-sm">{link.link}</code>
            <Button
              look="plain"
              aria-label={`Copy the link for ${link.name}`}
              onClick={() => copyText(link.link)}
            >
              Copy
            </Button>
            <Button
              look="plain"
              aria-label={`Show the QR code for ${link.name}`}
              onClick={() => setShown(link)}
            >
              QR code
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap gap-3">
        {links.length > 1 && (
          <Button look="plain" onClick={() => copyText(table(links))}>
            Copy all names and links
          </Button>
        )}
        <Button look="quiet" onClick={onClose}>
          Close the links
        </Button>
      </div>
      {shown && <QrCode link={shown.link} whose={shown.name} onClose={() => setShown(null)} />}
    </section>
  )
}

const table = (links: InvitationLink[]): string =>
  Papa.unparse(
    links.map(({ name, link }) => [name, link]),
    { delimiter: '\t', newline: '\n', escapeFormulae: true },
  )
