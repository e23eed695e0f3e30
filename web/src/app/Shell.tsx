import { LogOut, UserRound } from 'lucide-react'
import { useEffect, useRef } from 'react'
import { Link, NavLink, Navigate, Outlet, useLocation, useNavigate } from 'react-router'
import type { SeatView } from '@young-oak/api/accounts'
import type { Trouble } from '../offline/outboxSlice.ts'
import { giveUpOutbox, useOutbox } from '../offline/useOutbox.ts'
import { Announcer } from '../ui/Announcer.tsx'
import { Button } from '../ui/Button.tsx'
import { IconButton } from '../ui/IconButton.tsx'
import { api, sayError } from './api.ts'
import { beginSigningOut, endSigningOut, isSigningOut } from './signingOut.ts'
import { useAppDispatch, useAppSelector } from './store.ts'
import { ThemeButton } from './ThemeButton.tsx'

/** `isWide`: not in a phone's row of pages, where it is reached from another one. */
const pages: Record<SeatView['kind'], { to: string; label: string; isWide?: true }[]> = {
  writer: [
    { to: '/templates', label: 'Templates' },
    { to: '/exercises', label: 'Exercises', isWide: true },
    { to: '/members', label: 'Members' },
    { to: '/people', label: 'People', isWide: true },
    { to: '/max-table', label: 'Maxes' },
    { to: '/locations', label: 'Equipment' },
    { to: '/calculator', label: 'Calculator' },
  ],
  owner: [
    { to: '/members', label: 'Members' },
    { to: '/people', label: 'People' },
    { to: '/templates', label: 'Templates', isWide: true },
    { to: '/gym', label: 'Gym', isWide: true },
    { to: '/exercises', label: 'Exercises', isWide: true },
    { to: '/locations', label: 'Equipment', isWide: true },
    { to: '/calculator', label: 'Calculator' },
  ],
  member: [
    { to: '/today', label: 'Today' },
    { to: '/progress', label: 'Progress' },
    { to: '/maxes', label: 'Maxes' },
    { to: '/equipment', label: 'Equipment' },
    { to: '/calculator', label: 'Calculator', isWide: true },
  ],
}

/** The frame of every signed-in page: where to go, who is signed in, and whether everything has been sent. */
export function Shell() {
  // Somebody else may have signed in in another tab meanwhile.
  const { data, error, isLoading, refetch } = api.useSessionQuery(undefined, { refetchOnFocus: true })
  const isOut = (error as { status?: unknown } | undefined)?.status === 401
  if (isSigningOut() || isOut || (data && !data.seat)) return <Navigate to="/sign-in" replace />
  if (isLoading) return <p className="p-6 text-bark">Loading…</p>
  if (!data?.seat) return <Unreachable message={sayError(error)} retry={refetch} />
  return <Seated key={data.seat.id} seat={data.seat} seats={data.seats} />
}

/** The frame for one seat. What was read for another one is forgotten before anything is shown. */
function Seated({ seat, seats }: { seat: SeatView; seats: SeatView[] }) {
  const dispatch = useAppDispatch()
  const isOther = lastSeat !== null && lastSeat !== seat.id
  useEffect(() => {
    lastSeat = seat.id
    if (isOther) dispatch(api.util.resetApiState())
  }, [dispatch, seat.id, isOther])
  return isOther ? <p className="p-6 text-bark">Loading…</p> : <Frame seat={seat} seats={seats} />
}

/** Whose answers this page holds. */
let lastSeat: string | null = null

export function Home() {
  const { data } = api.useSessionQuery()
  const first = data?.seat ? pages[data.seat.kind][0] : undefined
  return <Navigate to={first?.to ?? '/sign-in'} replace />
}

function Frame({ seat, seats }: { seat: SeatView; seats: SeatView[] }) {
  return (
    <div className="flex min-h-dvh flex-col">
      <SkipLink />
      <header className="flex flex-wrap items-center gap-x-1 gap-y-1 border-b border-line px-3 py-1 sm:gap-x-6 sm:px-4 sm:py-2">
        <NavLink to="/" className="hidden font-serif text-lg font-semibold text-ink sm:inline">
          Young Oak
        </NavLink>
        <nav className="flex gap-1 text-sm sm:gap-4 sm:text-base" aria-label="Pages">
          {pages[seat.kind].map(({ to, label, isWide }) => (
            <NavLink
              key={to}
              to={to}
              className={({ isActive }) =>
                `${isWide ? 'hidden sm:inline-flex' : 'inline-flex'} min-h-11 items-center border-b-2 px-1 ${isActive ? 'border-leaf font-semibold' : 'border-transparent text-bark hover:text-ink'}`
              }
            >
              {label}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex items-center sm:gap-2">
          {seat.kind === 'member' && <Sending seat={seat} />}
          <span
            className="hidden max-w-64 truncate text-sm text-bark sm:inline 2xl:max-w-none"
            title={`${seat.name}, ${seat.kind} at ${seat.gymName}`}
          >
            {seat.name}, {seat.kind} at {seat.gymName}
          </span>
          <OtherSeats seat={seat} seats={seats} />
          <AccountButton />
          <span className="hidden sm:inline">
            <ThemeButton />
          </span>
          <SignOutButton />
        </div>
      </header>
      <Content />
      <Announcer />
    </div>
  )
}

const contentId = 'content'
const goToContent = () => document.getElementById(contentId)?.focus()

/** The first thing that the keyboard comes to: past the pages, to what is on this one. */
const SkipLink = () => (
  <a
    href={`#${contentId}`}
    onClick={(event) => {
      event.preventDefault()
      goToContent()
    }}
    className="sr-only rounded bg-leaf px-4 py-2 text-leaf-ink focus:not-sr-only focus:absolute focus:top-1 focus:left-1 focus:z-50"
  >
    Skip to content
  </a>
)

/** The page itself; the keyboard is at its beginning whenever another one opens. */
function Content() {
  const { pathname } = useLocation()
  const before = useRef(pathname)
  useEffect(() => {
    if (before.current === pathname) return
    before.current = pathname
    goToContent()
  }, [pathname])
  return (
    <div id={contentId} tabIndex={-1} className="flex grow flex-col outline-none">
      <Outlet />
    </div>
  )
}

/** What the phone has not sent yet, and what the server refused. */
function Sending({ seat }: { seat: SeatView }) {
  const { waiting, trouble, isFull } = useOutbox(seat.id)
  if (!waiting) return null
  return (
    <span role="status" className="rounded bg-acorn-wash px-2 py-1 text-sm text-acorn">
      {sayWaiting(waiting, trouble)}
      {isFull && '. This phone has no room left: keep this page open until all is sent'}
      {trouble === 'signedOut' && (
        <Link className="ml-2 underline" to="/sign-in">
          Sign in
        </Link>
      )}
    </span>
  )
}

function sayWaiting(waiting: number, trouble: Trouble | null): string {
  if (trouble === 'signedOut') return `${waiting} not sent yet: you are signed out`
  if (trouble === 'otherSeat') return `${waiting} not sent yet: somebody else is signed in`
  return trouble ? `${waiting} not sent yet: trying again` : `Sending ${waiting}`
}

function OtherSeats({ seat, seats }: { seat: SeatView; seats: SeatView[] }) {
  const [choose] = api.useChooseSeatMutation()
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  if (seats.length < 2) return null
  const change = async (id: string) => {
    const next = seats.find((one) => one.id === id)
    if (!next) return
    await choose({ gym: next.gym, id: next.id })
    dispatch(api.util.resetApiState())
    void navigate('/')
  }
  return (
    <select
      aria-label="Act as"
      className="rounded border border-edge bg-sheet p-1 text-sm"
      value={seat.id}
      onChange={(event) => void change(event.target.value)}
    >
      {seats.map(({ id, kind, gymName }) => (
        <option key={id} value={id}>
          {kind} at {gymName}
        </option>
      ))}
    </select>
  )
}

function AccountButton() {
  const navigate = useNavigate()
  return (
    <IconButton label="Your account" onClick={() => void navigate('/account')}>
      <UserRound size={18} />
    </IconButton>
  )
}

function SignOutButton() {
  const [signOut] = api.useSignOutMutation()
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const waiting = useAppSelector(({ outbox }) => outbox.operations.length)
  const leave = async () => {
    const what = waiting === 1 ? '1 entry has' : `${waiting} entries have`
    if (
      waiting &&
      !confirm(`${what} not been sent yet. Sign out and discard ${waiting === 1 ? 'it' : 'them'}?`)
    )
      return
    giveUpOutbox()
    beginSigningOut()
    const { error } = await signOut()
    if (!error) endSigningOut()
    dispatch(api.util.resetApiState())
    void navigate('/sign-in')
  }
  return (
    <IconButton label="Sign out" onClick={() => void leave()}>
      <LogOut size={18} />
    </IconButton>
  )
}

/** Says that nobody answered, and asks again every few seconds until somebody does. */
function Unreachable({ message, retry }: { message: string; retry: () => unknown }) {
  useEffect(() => {
    const asking = setInterval(retry, 4000)
    return () => clearInterval(asking)
  }, [retry])
  return (
    <main className="mx-auto max-w-lg p-8">
      <h1 className="text-2xl">No answer</h1>
      <p className="my-3 text-bark">{message}</p>
      <Button onClick={() => void retry()}>Try again</Button>
    </main>
  )
}
