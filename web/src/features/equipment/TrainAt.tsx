import type { OwnEquipment } from '@young-oak/api/equipment'
import type { Unit } from '@young-oak/core/units'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { PhoneSelect } from '../../ui/Field.tsx'
import { toast } from '../../ui/toast.ts'
import { sayHas } from './sayHas.ts'

/** Where a member usually trains, and in which unit: their own word, or for a writer that of one of theirs. */
export function TrainAt({ own, member }: { own: OwnEquipment; member?: string }) {
  const [choose, { isLoading }] = api.useChooseSettingMutation()
  const set = async (change: { home?: string; unit?: Unit }) => {
    const answer = await choose({ given: { ...change, today: today() }, member })
    if (answer.error) toast.error(sayError(answer.error))
    else
      toast(member === undefined ? 'Saved. Your next session uses it.' : 'Saved. The next session uses it.')
  }
  const home = own.locations.find(({ id }) => id === own.home)
  return (
    <div className="mt-4 grid gap-3 sm:grid-cols-[1fr_8rem]">
      <PhoneSelect
        label={member === undefined ? 'I usually train at' : 'Usually trains at'}
        value={own.home}
        disabled={isLoading}
        hint={home && sayHas(home.has)}
        onChange={(event) => void set({ home: event.target.value })}
      >
        {!home && <option value={own.home}>not at the gym</option>}
        {own.locations.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </PhoneSelect>
      <PhoneSelect
        label={member === undefined ? 'My unit' : 'Unit'}
        value={own.unit}
        disabled={isLoading}
        onChange={(event) => void set({ unit: event.target.value as Unit })}
      >
        <option>kg</option>
        <option>lb</option>
      </PhoneSelect>
    </div>
  )
}
