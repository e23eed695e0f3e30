import { impactOf, maxesRead, type Impact } from '@young-oak/core/impact'
import { enrolmentsIn, goingOn, type Publication } from '@young-oak/core/member'
import type { Lift } from '@young-oak/core/library'
import { planMember, type PlanInput, type Planned } from '@young-oak/core/plan'
import { readTemplate, type Template } from '@young-oak/core/template'
import type { Day } from '@young-oak/core/units'
import type { Database } from '../../database/open.ts'
import type { Scope } from '../../database/scope.ts'
import { withLibrary } from '../exercises/library.ts'
import { libraryRevision } from '../exercises/store.ts'
import { scopesForJob } from '../members/memberScope.ts'
import type { Read } from '../training/memberFile.ts'
import { planEach } from '../training/planEach.ts'
import { findTemplate } from '../templates/store.ts'
import { startsFor } from './startsFor.ts'
import { tracksFor } from './tracksFor.ts'
import { whatItChanges } from './whatItChanges.ts'
import { findLook, keepImpacts, numberOf, type Look } from './impactStore.ts'

/** Plans some members of a look as they are and as they would be, and keeps what differs. A draft that has moved on, or a look that was stopped, finds nothing. */
export async function findImpacts(
  database: Database,
  gym: string,
  id: string,
  members: string[],
): Promise<void> {
  await database.inGym(gym, async (bare) => {
    const scope = await withLibrary(bare, await libraryRevision(bare))
    const look = await findLook(scope, id)
    const held = look && (await findTemplate(scope, look.template))
    if (!look || !held || look.state !== 'running' || held.revision !== look.revision) return
    const read = readOnce(scope, look.look, held.draft)
    if (!read) return
    const replaced = look.asked.replaces === undefined ? null : await numberOf(scope, look.asked.replaces)
    const would = { look, template: read.template, reads: read.reads, replaced }
    const starts = await startsFor(scope, members, look.asked, look.today)
    const tracks = await tracksFor(scope, members, look.asked)
    const scopes = await scopesForJob(scope, members)
    const planned = await planEach(scopes, look.today, (read) => {
      const start = starts.get(read.member) ?? look.asked.start
      return impactOn(scope, read, {
        ...would,
        day: start > look.today ? start : look.today,
        track: tracks.has(read.member) ? tracks.get(read.member) : look.asked.track,
      })
    })
    await keepImpacts(
      scope,
      look.look,
      planned.map(({ read: { member, revision, gymRevision }, found }) => ({
        member,
        revision,
        gymRevision,
        impact: found,
      })),
    )
  })
}

/** A draft as it is looked at, and the lifts whose max it reads. */
type ReadDraft = { template: Template; reads: Lift[] }

/** The draft of a look, read once a thread: it has hundreds of tasks of one look, and whatever is compiled of a version is kept beside it. */
function readOnce({ gym, library, libraryRevision }: Scope, look: string, draft: unknown): ReadDraft | null {
  const key = `${gym} ${libraryRevision} ${look}`
  if (last?.key === key) return last
  const { template } = readTemplate(draft, library)
  if (!template) return null
  last = { key, template, reads: maxesRead(library, template) }
  return last
}

let last: (ReadDraft & { key: string }) | null = null

type Would = ReadDraft & {
  look: Omit<Look, 'members'>
  day: Day
  replaced: number | null
  /** Left out where the member keeps theirs. */
  track: string | null | undefined
}

/** The version that is looked at, which has no id before it is published. */
const draft = 'draft'

/** What it would do to one member, beside their plans as they are. */
function impactOn(
  { library }: Scope,
  read: Read,
  would: Would,
): { found: Impact; planned: Planned; isWhole: boolean } {
  const { file, checkpoint, published } = read
  const { template, reads, day, replaced } = would
  const when = { today: day, through: 'next' } as const
  const input: PlanInput = {
    library,
    member: file.member,
    enrolments: file.enrolments,
    versions: file.versions,
    when,
  }
  const before = { input, planned: planMember(input, checkpoint) }
  const counting = published.filter((one) => one.number !== replaced || hasStarted(read, one))
  const added = publicationFor(read, counting, before.planned, would)
  const then: PlanInput = {
    ...input,
    enrolments: enrolmentsIn([...counting, added]),
    versions: { ...file.versions, [draft]: template },
  }
  // What was in force until now is the same, so the second plan goes on from where the first has come to.
  const after = { input: then, planned: planMember(then, before.planned.checkpoint ?? checkpoint) }
  return {
    found: impactOf(before, after, added.enrolment, reads),
    planned: before.planned,
    isWhole: before.planned.isResumed && after.planned.isResumed,
  }
}

/** What the publication would say of a member, beside what counts then. */
function publicationFor(
  { file, published }: Read,
  counting: Publication[],
  { evidence }: Planned,
  { look: { asked, template }, day, track }: Would,
): Publication {
  const going = goingOn(enrolmentsIn(counting), evidence, day)
  const { changes, ends, after, carries } = whatItChanges(
    { ...asked, template },
    going.map(({ id }) => ({ id, template: file.templates[id] ?? '' })),
  )
  const { begins = 'week', clock = 'own' } = asked
  return {
    number: Math.max(0, ...published.map(({ number }) => number)) + 1,
    enrolment: changes ?? 'new',
    from: day,
    version: draft,
    begins,
    clock,
    ...(track !== undefined && { track }),
    ends,
    ...(after !== null && { after }),
    ...(carries !== null && { carries }),
  }
}

const hasStarted = ({ file }: Read, { enrolment, version, from }: Publication): boolean =>
  file.member.logs.some(
    (log) => log.enrolment === enrolment && log.shown?.version === version && log.date >= from,
  )
