import { useState } from 'react'
import { Link } from 'react-router'
import type { MailLine } from '@young-oak/api/mail'
import { api } from '../../app/api.ts'
import { NotRead } from '../../app/NotRead.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { Button } from '../../ui/Button.tsx'
import { copyText } from '../../ui/copyText.ts'
import { QrCode } from '../../ui/QrCode.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { peopleApi } from './peopleApi.ts'

/** What was written to people of the gym: sent, waiting, or to be handed over by the owner where the server sends no mail. */
export function MailPage() {
  useTitle('Messages')
  const { data: session } = api.useSessionQuery()
  const { data, error, isLoading, refetch } = peopleApi.useMailQuery(undefined, {
    refetchOnMountOrArgChange: true,
  })
  return (
    <main className="mx-auto w-full max-w-3xl px-4 py-6">
      <Link to="/people" className="text-sm underline underline-offset-4">
        People
      </Link>
      <h1 className="mt-1 text-3xl">Messages</h1>
      <p className="mt-1 max-w-2xl text-bark">
        {session?.sendsMail
          ? 'What Young Oak has sent to people of the gym. If a message cannot be sent: it is tried again without you.'
          : 'This server sends no mail. What it would send is listed here: give the links to the people yourself.'}
      </p>
      {isLoading && <p className="mt-6 text-bark">Loading…</p>}
      <NotRead error={error} onRetry={refetch} />
      {data?.length === 0 && (
        <p className="mt-6 text-bark">
          No messages yet. An invitation with an e-mail address makes the first one.
        </p>
      )}
      {data && data.length > 0 && (
        <ul aria-label="Messages" className="mt-6 divide-y divide-line border-y border-line">
          {data.map((mail) => (
            <Message key={mail.id} mail={mail} sendsMail={session?.sendsMail === true} />
          ))}
        </ul>
      )}
      <Toasts />
    </main>
  )
}

function Message({ mail, sendsMail }: { mail: MailLine; sendsMail: boolean }) {
  const [isShown, setShown] = useState(false)
  const { toName, toAddress, subject, body, link } = mail
  return (
    <li>
      <details>
        <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-4 py-2">
          <span className="grow basis-60 font-medium underline decoration-edge underline-offset-4">
            {subject}
          </span>
          <span className="text-sm text-bark">
            to {toName}, {toAddress}
          </span>
          <span className="text-sm text-bark">{sayState(mail, sendsMail)}</span>
        </summary>
        <div className="pb-4">
          <p className="max-w-xl whitespace-pre-line">{body}</p>
          {link !== null && (
            <>
              <code className="mt-2 block truncate text-sm">{link}</code>
              <div className="mt-2 flex flex-wrap gap-3">
                <Button
                  look="plain"
                  aria-label={`Copy the link for ${toName}`}
                  onClick={() => copyText(link)}
                >
                  Copy the link
                </Button>
                <Button
                  look="plain"
                  aria-label={`Show the QR code for ${toName}`}
                  onClick={() => setShown(true)}
                >
                  QR code
                </Button>
              </div>
            </>
          )}
          {isShown && link !== null && <QrCode link={link} whose={toName} onClose={() => setShown(false)} />}
        </div>
      </details>
    </li>
  )
}

const when = (instant: string): string =>
  new Date(instant).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })

function sayState({ madeAt, sentAt, link, fault }: MailLine, sendsMail: boolean): string {
  if (sentAt !== null) return `sent ${when(sentAt)}`
  if (link === null) return `${when(madeAt)}; the link no longer works`
  if (fault !== null) return `not sent yet: ${fault}`
  return sendsMail ? `waiting since ${when(madeAt)}` : when(madeAt)
}
