import type { FormerLine } from '@young-oak/api/people'
import { formatDay } from '@young-oak/core/units'
import { sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { toast } from '../../ui/toast.ts'
import { peopleApi } from '../people/peopleApi.ts'

/** Who has left, each with the way back, and the end of what is known of them. */
export function FormerMembers() {
  const { data = [] } = peopleApi.useFormerMembersQuery(undefined, { refetchOnMountOrArgChange: true })
  const [set, { isLoading }] = peopleApi.useSetMembershipsMutation()
  const [setErasures, { isLoading: isSetting }] = peopleApi.useSetErasuresMutation()
  if (!data.length) return null
  const back = async ({ id, name }: FormerLine) => {
    const { error } = await set({ members: [id], isOver: false })
    if (error) toast.error(sayError(error))
    else toast(`${name} is a member again, and has no writer yet.`)
  }
  const erase = async ({ id, name }: FormerLine, isAsked: boolean) => {
    const { error } = await setErasures({ members: [id], isAsked })
    if (error) toast.error(sayError(error))
    else toast(isAsked ? `The data of ${name} is deleted in 14 days.` : `The data of ${name} is kept.`)
  }
  return (
    <details className="mt-6">
      <summary className="min-h-11 cursor-pointer font-medium">
        {data.length === 1 ? '1 former member' : `${data.length} former members`}
      </summary>
      <ul className="divide-y divide-line border-y border-line">
        {data.map((one) => (
          <li key={one.id} className="flex flex-wrap items-center gap-x-6 py-1">
            <span className="min-w-40 font-medium">{one.name}</span>
            <span className="grow text-bark">
              left {formatDay(one.leftOn)}
              {one.eraseOn !== null &&
                `; data deleted on ${formatDay(one.eraseOn)}${one.isOwnWord ? ', as the member has asked' : ''}`}
            </span>
            {!one.isOwnWord && (
              <Button
                look="quiet"
                disabled={isSetting}
                aria-label={`${one.eraseOn === null ? 'Delete' : 'Keep'} the data of ${one.name}`}
                onClick={() => void erase(one, one.eraseOn === null)}
              >
                {one.eraseOn === null ? 'Delete data in 14 days' : 'Keep data'}
              </Button>
            )}
            <Button
              look="quiet"
              disabled={isLoading}
              aria-label={`Take ${one.name} back`}
              onClick={() => void back(one)}
            >
              Take back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  )
}
