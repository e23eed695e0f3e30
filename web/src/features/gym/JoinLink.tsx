import { useState } from 'react'
import { sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { copyText } from '../../ui/copyText.ts'
import { toast } from '../../ui/toast.ts'
import { QrCode } from '../../ui/QrCode.tsx'
import { gymApi } from './gymApi.ts'

/** The link by which anybody may ask to join: for a wall or a newsletter. It lets nobody in. */
export function JoinLink({ gymName, link }: { gymName: string; link: string | null }) {
  const [set, { isLoading }] = gymApi.useSetJoinLinkMutation()
  const [isShown, setShown] = useState(false)
  const change = async (isOpen: boolean) => {
    const { error } = await set({ isOpen })
    if (error) toast.error(sayError(error))
  }
  return (
    <section className="mt-10">
      <h2 className="text-xl">A link for everybody</h2>
      <p className="mt-1 text-bark">
        Whoever opens this link may ask to be a member. You let them in, or refuse them, on the People page.
      </p>
      {link === null ? (
        <Button look="plain" className="mt-3" disabled={isLoading} onClick={() => void change(true)}>
          Make a link for everybody
        </Button>
      ) : (
        <>
          <code className="mt-3 block truncate text-sm">{link}</code>
          <div className="mt-3 flex flex-wrap gap-3">
            <Button look="plain" onClick={() => copyText(link)}>
              Copy the link
            </Button>
            <Button look="plain" onClick={() => setShown(true)}>
              Show the QR code
            </Button>
            <Button look="quiet" disabled={isLoading} onClick={() => void change(true)}>
              Make a new link
            </Button>
            <Button look="quiet" disabled={isLoading} onClick={() => void change(false)}>
              End the link
            </Button>
          </div>
        </>
      )}
      {isShown && link !== null && <QrCode link={link} whose={gymName} onClose={() => setShown(false)} />}
    </section>
  )
}
