import { describe, expect, test } from '@jest/globals'
import { circuitSchema } from '@young-oak/api/forms/circuit'
import { faultyFields } from '../../testing/faultyFields.ts'
import { circuitOf, draftOf, newCircuit, type CircuitDraft } from './circuitDraft.ts'

const read = (draft: CircuitDraft) => circuitOf(circuitSchema.validateSync(draft))

describe('a circuit that is typed', () => {
  test.each<[string, Partial<CircuitDraft>, object]>([
    ['by time, without a cap', {}, { name: 'Circuit', by: 'time', rounds: 3 }],
    ['by time, with a cap', { minutes: '12,5' }, { name: 'Circuit', by: 'time', rounds: 3, capSeconds: 750 }],
    ['by rounds', { by: 'rounds', minutes: '10' }, { name: 'Circuit', by: 'rounds', capSeconds: 600 }],
  ])('%s is read, and put into the form again the same', (_, change, circuit) => {
    expect(read({ ...newCircuit, ...change })).toEqual(circuit)
    expect(read(draftOf(read({ ...newCircuit, ...change })))).toEqual(circuit)
  })

  test.each<[string, Partial<CircuitDraft>, string[]]>([
    ['no name', { name: '  ' }, ['name']],
    ['half a round', { rounds: '2.5' }, ['rounds']],
    ['no rounds', { rounds: '' }, ['rounds']],
    ['no time to score by rounds in', { by: 'rounds', minutes: '' }, ['minutes']],
    ['a cap that is none', { minutes: 'long' }, ['minutes']],
    ['a day of it', { name: '', minutes: '1440' }, ['name', 'minutes']],
  ])('with %s is told beside its fields', (_, change, fields) => {
    expect(faultyFields(circuitSchema, { ...newCircuit, ...change }).sort()).toEqual([...fields].sort())
  })
})
