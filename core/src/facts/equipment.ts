import {
  choiceField,
  exerciseField,
  idField,
  listField,
  numberField,
  strictObject,
  wholeField,
  type Id,
} from '../parsing/index.ts'
import { fixedTools, specialBars, type Fixed, type Rack, type SpecialBar } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

/** What a place has: one rack a unit, and what comes in fixed loads, where it is listed. */
export type EquipmentBody = { racks: Rack[]; fixed?: Fixed[] }

const barField = () => numberField('the weight of the bar, 1 to 60', 1, 60)

const rackShape = strictObject({
  unit: choiceField(['kg', 'lb']).required(),
  bar: barField().required(),
  bars: listField('other bars', 6).of(numberField('the weight of a bar, 1 to 60', 1, 60).required()),
  special: strictObject(
    Object.fromEntries(specialBars.map((bar) => [bar, barField()])) as Record<
      SpecialBar,
      ReturnType<typeof numberField>
    >,
  )
    .default(undefined)
    .meta({ expected: 'weights of special bars by name' }),
  plates: listField('kinds of plate', 20, 0)
    .of(
      strictObject({
        weight: numberField('the weight of one plate, 0.1 to 60', 0.1, 60).required(),
        pairs: wholeField('pairs', 1, 20).required(),
      }),
    )
    .required(),
})

const fixedShape = strictObject({
  tool: choiceField(fixedTools).required(),
  exercise: exerciseField(),
  unit: choiceField(['kg', 'lb']).required(),
  loads: listField('loads, ascending', 200)
    .of(numberField('a load from 0.5 to 500', 0.5, 500).required())
    .required()
    .test('fits', 'loads, each heavier than the one before', (loads) =>
      (loads ?? []).every((v, i, all) => i === 0 || v > (all[i - 1] as number)),
    ),
  plates: listField('single plates to put on a pin', 6).of(
    numberField('the weight of a plate, 0.1 to 20', 0.1, 20).required(),
  ),
}).test('fits', 'plates only where there are pins: of a machine', ({ tool, plates }) =>
  plates === undefined ? true : tool === 'machine',
)

const fields = {
  racks: listField('racks, one a unit', 2).of(rackShape).required(),
  fixed: listField('what comes in fixed loads', 40).of(fixedShape),
}

export const equipmentShape = strictObject(fields)

/** What a place has: barbells and plates, one rack a unit; dumbbells and stacks where they are listed. */
export const equipment = defineFact<
  { location: Id } & EquipmentBody,
  { equipment: Record<Id, EquipmentBody> }
>({
  kind: 'equipment',
  shape: factShape({ location: idField('a location').required(), ...fields }),
  none: { equipment: {} },
  learn: (known, { location: place, racks, fixed }) => ({
    equipment: { ...known.equipment, [place]: { racks, fixed } },
  }),
  examples: [
    {
      say: 'what a location has now replaces what it had',
      fact: { location: 'home', racks: [{ unit: 'kg', bar: 15, plates: [] }] },
      want: { equipment: { home: { racks: [{ unit: 'kg', bar: 15, plates: [] }], fixed: undefined } } },
    },
  ],
})
