import Papa from 'papaparse'
import { toString as drawQr } from 'qrcode'
import { useEffect, useState } from 'react'
import type { InvitationLink } from '@young-oak/api/people'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { toast } from '../../ui/toast.ts'

/** The links that have just been made. The server keeps none of them, so here is where they are handed on. */
export function Links({ links, onClose }: { links: InvitationLink[]; onClose: () => void }) {
  const [shown, setShown] = useState<InvitationLink | null>(null)
  const [one] = links
  return (
    <section aria-label="New links" className="mt-8 rounded-lg border border-leaf bg-sheet p-4">
      <h2 className="text-xl">
        {links.length === 1 ? `The link for ${one?.name}` : `${links.length} links`}
      </h2>
      <p className="mt-1 text-sm text-bark">
        {links.length === 1 ? 'It is' : 'They are'} shown now and not again. Lost? Make a new link below.
      </p>
      <ul className="mt-3 max-h-80 divide-y divide-line overflow-y-auto border-y border-line">
        {links.map((link) => (
          <li key={link.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
            <span className="min-w-32 font-medium">{link.name}</span>
            <code className="min-w-0 grow basis-60 truncate text-sm">{link.link}</code>
            <Button
              look="plain"
              aria-label={`Copy the link for ${link.name}`}
              onClick={() => copy(link.link)}
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
          <Button look="plain" onClick={() => copy(table(links))}>
            Copy all names and links
          </Button>
        )}
        <Button look="quiet" onClick={onClose}>
          Close the links
        </Button>
      </div>
      {shown && <QrCode link={shown} onClose={() => setShown(null)} />}
    </section>
  )
}

const copy = (text: string): void =>
  void navigator.clipboard.writeText(text).then(
    () => toast('Copied.'),
    () => toast.error('This browser does not let the page copy. Select the link and copy it.'),
  )

const table = (links: InvitationLink[]): string =>
  Papa.unparse(
    links.map(({ name, link }) => [name, link]),
    { delimiter: '\t', newline: '\n', escapeFormulae: true },
  )

/** The link as a picture, for a phone that is held against the screen. */
function QrCode({ link, onClose }: { link: InvitationLink; onClose: () => void }) {
  const [drawn, setDrawn] = useState('')
  useEffect(() => {
    void drawQr(link.link, { type: 'svg', margin: 2 }).then(setDrawn)
  }, [link])
  return (
    <Modal
      isOpen
      title={`QR code for ${link.name}`}
      about="Open the phone’s camera and point it here."
      onClose={onClose}
    >
      {drawn && (
        <img
          alt={`QR code of the link for ${link.name}`}
          src={`data:image/svg+xml;utf8,${encodeURIComponent(drawn)}`}
          className="mx-auto w-full max-w-72"
        />
      )}
    </Modal>
  )
}
