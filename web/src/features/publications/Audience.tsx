import { useMemo, useState } from 'react'
import type { MemberLine } from '@young-oak/api/members'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { SelectField, type Option } from '../../ui/Select.tsx'
import { useGroupFilter, type GroupChoice } from '../groups/useGroupFilter.ts'
import { CheckList } from '../members/CheckList.tsx'
import { filters, filterTitles, fitting, type Filter } from './audience.ts'
import { countOf } from './sayPublication.ts'

type Props = {
  /** The template's, to say who is on it. */
  name: string
  /** Undefined while they are read. */
  members: MemberLine[] | undefined
  chosen: readonly string[]
  onChoose: (members: string[]) => void
  error?: string | undefined
}

const options = filters.map((filter): Option<Filter | GroupChoice> => [filter, filterTitles[filter]])

const noMembers: MemberLine[] = []

/** The writer's own members, found by a filter and by name, to choose one by one or all that were found. */
export function Audience({ name, members: read, chosen, onChoose, error }: Props) {
  const [filter, setFilter] = useState<Filter | GroupChoice>('all')
  const members = read ?? noMembers
  const { options: groups, isGroup, found } = useGroupFilter(filter)
  const [typed, setTyped] = useState('')
  const { own, others } = useMemo(
    () =>
      isGroup && !found
        ? { own: [], others: 0 }
        : fitting(members, { filter: found ?? (filter as Filter), typed }, name, today()),
    [members, filter, isGroup, found, typed, name],
  )
  const picked = useMemo(() => new Set(chosen), [chosen])
  const choose = (some: MemberLine[], isChosen: boolean) => {
    const after = new Set(picked)
    for (const { id } of some) {
      if (isChosen) after.add(id)
      else after.delete(id)
    }
    onChoose([...after])
  }
  return (
    <section aria-labelledby="audience">
      <h2 id="audience" className="text-xl">
        To whom: {countOf(picked.size)}
      </h2>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <SelectField label="Show" value={filter} options={[...options, ...groups]} onChoose={setFilter} />
        <Field
          label="Name contains"
          type="search"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
        />
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 text-sm">
        <Button look="quiet" disabled={!own.length} onClick={() => choose(own, true)}>
          Add the {own.length} shown
        </Button>
        <Button
          look="quiet"
          disabled={!own.some(({ id }) => picked.has(id))}
          onClick={() => choose(own, false)}
        >
          Leave out the {own.length} shown
        </Button>
        {picked.size > 0 && (
          <Button look="quiet" onClick={() => onChoose([])}>
            Choose nobody
          </Button>
        )}
      </div>
      <CheckList
        members={own}
        picked={picked}
        onPick={(member, isChosen) => choose([member], isChosen)}
        beside={({ programs }) => programs.join(', ') || 'no program'}
        nobody={
          (isGroup && !found) || !read
            ? 'Loading…'
            : members.some(({ isMine }) => isMine)
              ? 'None of your members fits.'
              : 'No members are assigned to you: an owner assigns them on the Members page.'
        }
        others="type a name, or add all that are shown."
      />
      {others > 0 && (
        <p className="mt-1 text-sm text-bark">
          {others} more {others === 1 ? 'member fits' : 'members fit'} and {others === 1 ? 'is' : 'are'} not
          assigned to you.
        </p>
      )}
      {error && <p className="mt-1 text-sm text-brick">{error}</p>}
    </section>
  )
}
