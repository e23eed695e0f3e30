import { yupResolver } from '@hookform/resolvers/yup'
import { useMemo, useRef, useState } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { Link, useParams } from 'react-router'
import { publicationSchema, type Publication } from '@young-oak/api/forms/publication'
import type { PublicationLine } from '@young-oak/api/publications'
import type { Answer } from '../../app/call.ts'
import { formatDay } from '@young-oak/core/units'
import { Fault } from '../../app/Fault.tsx'
import { NotRead } from '../../app/NotRead.tsx'
import { api, fieldErrors } from '../../app/api.ts'
import { useTitle } from '../../app/useTitle.ts'
import { Button } from '../../ui/Button.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { ChangeList } from '../templates/inspector/ChangeList.tsx'
import { Audience } from './Audience.tsx'
import { HowFields } from './HowFields.tsx'
import { Impact } from './Impact.tsx'
import { Preparing } from './Preparing.tsx'
import { MoreFields } from './MoreFields.tsx'
import { newPublication, onTracksOf, publishOf, putOn } from './publication.ts'
import { Published } from './Published.tsx'
import { publicationsApi } from './publicationsApi.ts'
import { countOf, sayPublication } from './sayPublication.ts'
import { trackRulesOf, tracksIn, type TrackRuleDraft } from './trackRules.ts'
import { useLook } from './useLook.ts'

/** Publishing a template: to whom, from when and how, what that does to each of them, the button, and the way back. */
export default function PublishPage() {
  const { id = '' } = useParams()
  const { data, error, refetch } = api.useTemplateQuery(id, { refetchOnMountOrArgChange: true })
  useTitle(data ? `Publish ${data.draft.name}` : 'Publish')
  return (
    <main className="mx-auto w-full max-w-6xl px-4 py-6">
      <NotRead error={error} onRetry={refetch} />
      {!data && !error && <p className="text-bark">Loading…</p>}
      {data && <Publishing key={id} view={data} onMoved={() => void refetch()} />}
      <Toasts />
    </main>
  )
}

type Props = { view: Answer<'get /templates/:id'>; onMoved: () => void }

function Publishing({ view, onMoved }: Props) {
  const { id: template, draft, revision, versions } = view
  const isPublished = versions.length > 0
  const { data: changes, refetch: compare } = api.useChangesQuery(template, {
    refetchOnMountOrArgChange: true,
  })
  const readAgain = () => {
    onMoved()
    void compare()
  }
  const {
    data: members,
    error: unread,
    refetch,
  } = api.useMembersQuery(undefined, { refetchOnMountOrArgChange: true })
  const form = useForm<Publication>({
    resolver: yupResolver(publicationSchema),
    defaultValues: newPublication(draft, isPublished),
  })
  const { register, control, handleSubmit, setValue, formState } = form
  const watched = useWatch({ control }) as Publication
  const given = useMemo(() => onTracksOf(draft, watched), [draft, watched])
  const [rules, setRules] = useState<TrackRuleDraft[]>([])
  const [corrects, setCorrects] = useState<PublicationLine | null>(null)
  const [preparing, setPreparing] = useState<string | null>(null)
  const [done, setDone] = useState<string | null>(null)
  const [publish, { error, isLoading }] = publicationsApi.usePublishMutation()
  const byRule = useMemo(() => trackRulesOf(rules), [rules])
  const also = useMemo(
    () => ({
      ...(byRule?.length && { tracksByRule: byRule }),
      ...(corrects && { replaces: corrects.id }),
    }),
    [byRule, corrects],
  )
  const asked = useMemo(
    () =>
      byRule && given.members.length && publicationSchema.isValidSync(given)
        ? { revision, ...publishOf({ ...given, note: '' }), ...also }
        : null,
    [given, revision, byRule, also],
  )
  const looking = useLook(template, asked)
  const idOf = useIdOf()
  const chosen = useMemo(() => {
    const picked = new Set(given.members)
    return members?.filter(({ id }) => picked.has(id)) ?? []
  }, [members, given.members])
  const version = changes?.next ?? 1
  const choose = (to: string[]) => {
    setValue('members', to, { shouldValidate: formState.isSubmitted })
    setDone(null)
  }
  const leaveOut = (some: string[]) => {
    const out = new Set(some)
    choose(given.members.filter((one) => !out.has(one)))
  }
  const putOnTrack = (some: string[], track: string | null) =>
    setValue('ownTracks', putOn(given.ownTracks, some, track))
  const finish = (line: PublicationLine) => {
    setPreparing(null)
    setDone(sayDone(line))
    setCorrects(null)
    if (line.state === 'inForce') {
      setValue('members', [])
      setValue('note', '')
      setValue('ownStarts', [])
      setValue('ownTracks', [])
    }
    readAgain()
  }
  const send = async (sent: Publication) => {
    setDone(null)
    if (!byRule) return
    const body = { revision, ...publishOf(onTracksOf(draft, sent)), ...also }
    const { data, error: fault } = await publish({ template, id: idOf(body), ...body })
    if (fault && 'data' in fault && (fault.data as { code?: string }).code === 'draftMoved') readAgain()
    if (data?.state === 'preparing') setPreparing(data.id)
    else if (data) finish(data)
  }
  const refused = fieldErrors(error)
  const isLooking = asked !== null && !looking.isCurrent && !looking.error
  return (
    // Enter in a field publishes nothing: the button alone does.
    <form noValidate onSubmit={(event) => event.preventDefault()}>
      <Link to={`/templates/${template}`} className="text-sm underline decoration-edge underline-offset-4">
        Back to the template
      </Link>
      <h1 className="mt-1 text-3xl">Publish {draft.name}</h1>
      {corrects && (
        <p className="mt-2 flex flex-wrap items-baseline gap-x-3 rounded bg-acorn-wash px-3 py-2 text-acorn">
          Publishing this takes version {corrects.version} from {formatDay(corrects.start)} back at the same
          moment. Members who have started version {corrects.version} change over from it.
          <Button look="quiet" onClick={() => setCorrects(null)}>
            Keep version {corrects.version} in force
          </Button>
        </p>
      )}
      {isPublished && changes && <WhatChanges since={changes.since} changes={changes.changes} />}
      <NotRead error={unread} onRetry={refetch} className="mt-3" />
      <div className="mt-5 grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
        <Audience
          name={draft.name}
          members={members}
          chosen={given.members}
          onChoose={choose}
          error={formState.errors.members?.message}
        />
        <div className="grid content-start gap-6">
          <HowFields
            register={register}
            control={control}
            errors={formState.errors}
            refused={refused}
            draft={draft}
            isPublished={isPublished}
          />
          <MoreFields
            register={register}
            control={control}
            errors={formState.errors}
            refused={refused}
            chosen={chosen}
            onMember={(at, member) =>
              setValue(`ownStarts.${at}.member`, member, { shouldValidate: formState.isSubmitted })
            }
            draft={draft}
            rules={rules}
            isTried={formState.isSubmitted}
            onRules={setRules}
            onTrack={putOnTrack}
          />
          <Impact
            looking={looking}
            members={given.members.length}
            onLeaveOut={leaveOut}
            tracks={tracksIn(draft)}
            onTrack={putOnTrack}
            onMoved={readAgain}
          />
        </div>
      </div>
      <Published
        template={template}
        preparing={preparing}
        onCorrect={(line, reached) => {
          setCorrects(line)
          const own = new Set(members?.filter(({ isMine }) => isMine).map(({ id }) => id))
          choose(reached.filter((one) => own.has(one)))
          scrollTo({ top: 0 })
        }}
      />
      <div className="sticky bottom-0 z-10 -mx-4 mt-8 flex flex-wrap items-center gap-x-6 gap-y-2 border-t border-line bg-sheet px-4 py-3">
        <p aria-live="polite" className="min-w-0 grow basis-80 font-serif">
          {done ?? sayPublication(given, { draft, version, chosen, rules: rules.length })}
        </p>
        <Fault error={refused.start ? undefined : error} className="basis-full" />
        {preparing ? (
          <Preparing id={preparing} onDone={finish} />
        ) : (
          <Button disabled={isLoading || isLooking} onClick={() => void handleSubmit(send)()}>
            {sayButton(given.members.length, version, isLoading, isLooking)}
          </Button>
        )}
      </div>
    </form>
  )
}

function sayButton(members: number, version: number, isSending: boolean, isLooking: boolean): string {
  if (isSending) return 'Publishing…'
  if (isLooking) return 'Working out what changes…'
  return `Publish version ${version} to ${countOf(members)}`
}

const sayDone = ({ state, version, members, start }: PublicationLine): string =>
  state === 'inForce'
    ? `Version ${version} is published to ${countOf(members)}, from ${formatDay(start)}. It can be taken back below.`
    : 'Cancelled: nothing was published.'

/** One id for what is sent, however often it is sent: an answer that was lost makes no second publication. */
function useIdOf(): (body: object) => string {
  const last = useRef({ said: '', id: '' })
  return (body) => {
    const said = JSON.stringify(body)
    if (last.current.said !== said) last.current = { said, id: crypto.randomUUID() }
    return last.current.id
  }
}

function WhatChanges({ since, changes }: Pick<Answer<'get /templates/:id/changes'>, 'since' | 'changes'>) {
  if (!changes.length)
    return (
      <p className="mt-2 text-bark">
        Nothing has changed since version {since}: it is published to more members.
      </p>
    )
  return (
    <details className="mt-2">
      <summary className="min-h-9 cursor-pointer underline decoration-edge underline-offset-4">
        {changes.length} {changes.length === 1 ? 'change' : 'changes'} since version {since}
      </summary>
      <div className="max-h-60 overflow-y-auto" tabIndex={0} role="group" aria-label="List of changes">
        <ChangeList changes={changes} />
      </div>
    </details>
  )
}
