import { useState } from 'react'
import { Link, useParams } from 'react-router'
import type { InvitationLink } from '@young-oak/api/people'
import { api } from '../../app/api.ts'
import { useTitle } from '../../app/useTitle.ts'
import { Toasts } from '../../ui/Toasts.tsx'
import { AuditPage } from '../audit/AuditPage.tsx'
import { GroupsPage } from '../groups/GroupsPage.tsx'
import { Invitations } from './Invitations.tsx'
import { InviteForm } from './InviteForm.tsx'
import { InviteListForm } from './InviteListForm.tsx'
import { Links } from './Links.tsx'
import { MailPage } from './MailPage.tsx'
import { peopleApi } from './peopleApi.ts'
import { Requests } from './Requests.tsx'
import { Staff } from './Staff.tsx'

const link = 'underline underline-offset-4'

/** How people come in, what was written to them, and the groups that they are in. */
export default function PeoplePage() {
  const { list } = useParams()
  if (list === 'messages') return <MailPage />
  if (list === 'audit') return <AuditPage />
  return list === 'groups' ? <GroupsPage /> : <Invited />
}

/** Invitations, and for the owner the staff. */
function Invited() {
  useTitle('People')
  const { data: session } = api.useSessionQuery()
  const isOwner = session?.seat?.kind === 'owner'
  const { data: staff } = peopleApi.useStaffQuery(undefined, { skip: !isOwner })
  const [links, setLinks] = useState<InvitationLink[]>([])
  const writers = (staff ?? []).filter(({ role }) => role === 'writer')
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-6">
      <h1 className="text-3xl">People</h1>
      <p className="mt-1 max-w-2xl text-bark">
        {session?.sendsMail
          ? 'An invitation is a link that works once, for 14 days. Give it to the person yourself, or enter an e-mail address: then it is sent.'
          : 'An invitation is a link. Give it to the person yourself: it works once, for 14 days.'}
        {!isOwner && ' Members whom you invite are assigned to you.'}
      </p>
      {isOwner && (
        <p className="mt-2">
          <Link to="/people/messages" className={link}>
            Messages
          </Link>
          : what was written to people of the gym.{' '}
          <Link to="/people/audit" className={link}>
            Audit
          </Link>
          : who of the staff opened or changed what
        </p>
      )}
      {isOwner && <Requests writers={writers} />}
      {isOwner && (
        <p className="mt-2 flex gap-6 sm:hidden">
          <Link to="/templates" className={link}>
            Templates
          </Link>
          <Link to="/gym" className={link}>
            Gym
          </Link>
          <Link to="/exercises" className={link}>
            Exercises
          </Link>
          <Link to="/locations" className={link}>
            Equipment
          </Link>
        </p>
      )}
      <div className="mt-6 grid gap-10 lg:grid-cols-2">
        <InviteForm
          isOwner={isOwner}
          sendsMail={session?.sendsMail === true}
          writers={writers}
          onInvited={setLinks}
        />
        <InviteListForm writers={writers} onInvited={setLinks} />
      </div>
      {links.length > 0 && <Links links={links} onClose={() => setLinks([])} />}
      <Invitations onLink={(link) => setLinks([link])} />
      {isOwner && staff && <Staff staff={staff} />}
      <Toasts />
    </main>
  )
}
