import { useTitle } from '../../app/useTitle.ts'
import { useState } from 'react'
import {
  defaultFormula,
  estimate,
  mostReps,
  percentFor,
  repTables,
  repTableTitle,
  type FormulaKind,
  type RepTable,
} from '@young-oak/core/maxes'
import {
  formatLoad,
  formatNumber,
  makeable,
  partsFor,
  round,
  scale,
  usualRack,
  type Load,
  type Rack,
  type Unit,
} from '@young-oak/core/units'
import { api } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { SpreadPicture } from '../../charts/SpreadPicture.tsx'
import { PhoneSelect } from '../../ui/Field.tsx'
import { SetFields, type TypedSet } from '../../ui/SetFields.tsx'
import { readSet } from './readSet.ts'
import { RepsForLoad } from './RepsForLoad.tsx'

/** A set in, a max and the loads for 1 to 12 reps out: for anybody, kept nowhere. */
export default function CalculatorPage() {
  useTitle('Load calculator')
  const [typed, setTyped] = useState<TypedSet>({ load: '', reps: '5', rir: '0', unit: 'kg' })
  const [formula, setFormula] = useState<FormulaKind>(defaultFormula)
  const [table, setTable] = useState<RepTable>('handbook')
  const put = (change: Partial<TypedSet>) => setTyped({ ...typed, ...change })
  const given = readSet(typed)
  const max = given.set && estimate(given.set.load, given.set.reps, formula, given.set.rir)
  return (
    <main className="mx-auto grid w-full max-w-5xl gap-10 px-4 py-6 md:grid-cols-2">
      <section>
        <h1 className="text-3xl">Load calculator</h1>
        <p className="mt-1 text-bark">
          From one good set to an e1RM, and from the e1RM to loads. Nothing is stored.
        </p>
        <div className="mt-4">
          <SetFields typed={typed} errors={given.errors} onType={put} autoFocus />
        </div>
        {given.set && (
          <div className="mt-4">
            <SpreadPicture
              load={given.set.load}
              reps={given.set.reps}
              inReserve={given.set.rir}
              chosen={formula}
              onChoose={setFormula}
            />
          </div>
        )}
      </section>
      <section>
        {max ? (
          <Loads max={max} table={table} onTable={setTable} />
        ) : (
          <p className="mt-12 text-bark">Enter a set to see the loads for 1 to 12 reps.</p>
        )}
      </section>
    </main>
  )
}

type LoadsProps = { max: Load; table: RepTable; onTable: (table: RepTable) => void }

/** Loads for 1 to 12 reps of a first fresh set, on the bar and plates of where a member trains, or else the usual bars. */
function Loads({ max, table, onTable }: LoadsProps) {
  const { rack, where } = useRack(max.unit)
  const can = makeable(rack)
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-3">
        <p>
          1RM <span className="font-serif text-3xl font-semibold">{formatLoad(max)}</span>
        </p>
        <PhoneSelect
          label="Percentages by"
          value={table}
          onChange={(event) => onTable(event.target.value as RepTable)}
        >
          {repTables.map((one) => (
            <option key={one} value={one}>
              {repTableTitle(one)}
            </option>
          ))}
        </PhoneSelect>
      </div>
      <table className="mt-3 w-full">
        <thead className="text-sm text-bark">
          <tr>
            <th className="py-1 text-right font-medium">Reps</th>
            <th className="py-1 text-right font-medium">Percent</th>
            <th className="py-1 text-right font-medium">Load</th>
            <th className="py-1 pl-4 text-left font-medium">
              Each side of a {formatNumber(rack.bar)} {can.unit} bar
            </th>
          </tr>
        </thead>
        <tbody className="divide-y divide-line border-t border-line">
          {Array.from({ length: mostReps }, (_, i) => i + 1).map((reps) => {
            const percent = percentFor(table, reps)
            const { load } = round(scale(max, percent), can, 'down')
            return (
              <tr key={reps}>
                <td className="py-1.5 text-right">{reps}</td>
                <td className="py-1.5 text-right text-bark">{formatNumber(percent)}%</td>
                <td className="py-1.5 text-right font-serif font-semibold whitespace-nowrap">
                  {formatLoad(load)}
                </td>
                <td className="py-1.5 pl-4 text-sm text-bark">
                  {partsFor(load, can)?.plates.map(formatNumber).join(' + ') || 'empty bar'}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <RepsForLoad max={max} table={table} />
      <p className="mt-3 text-sm text-bark">
        For a first fresh set, rounded down to {where}. Heavy sets: collars on, and a spotter or safety bars.
      </p>
    </>
  )
}

/** What a member's usual place has in a unit. */
function useRack(unit: Unit): { rack: Rack; where: string } {
  const { data: session } = api.useSessionQuery()
  const { data } = api.useOwnEquipmentQuery({ day: today() }, { skip: session?.seat?.kind !== 'member' })
  const home = data?.locations.find(({ id }) => id === data.home)
  const rack = home?.has?.racks.find((one) => one.unit === unit)
  return rack && home
    ? { rack, where: `the plates of ${home.name}` }
    : { rack: usualRack[unit], where: 'usual plates' }
}
