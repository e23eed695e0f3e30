import { describe, expect, test } from '@jest/globals'
import { defaultFormula } from '@young-oak/core/maxes'
import { today } from '../../app/today.ts'
import { readMax, type TypedMax } from './readMax.ts'

const library = {}
const typed = (change: Partial<TypedMax> = {}): TypedMax => ({
  exercise: 'backSquat',
  variant: '',
  load: '100',
  unit: 'kg',
  reps: '5',
  rir: '0',
  formula: defaultFormula,
  date: today(),
  ...change,
})

describe('a max that is typed', () => {
  test('is read, with a decimal comma, a variant and its RIR; 0 RIR is not noted', () => {
    expect(readMax(library, typed({ load: '102,5', variant: ' paused ', rir: '2' })).given).toMatchObject({
      exercise: 'backSquat',
      variant: 'paused',
      load: { value: 102.5, unit: 'kg' },
      reps: 5,
      rir: 2,
    })
    expect(readMax(library, typed()).given).not.toHaveProperty('rir')
  })

  test('on body weight is added, nothing, or assistance', () => {
    const read = (load: string) => readMax(library, typed({ exercise: 'pullUp', load })).given
    expect(read('10')).toMatchObject({ load: { value: 10 } })
    expect(read('0')).toMatchObject({ load: { value: 0 } })
    expect(read('-15')).toMatchObject({ load: { value: 15 }, help: true })
  })

  test.each<[string, Partial<TypedMax>, string]>([
    ['no lift', { exercise: '' }, 'exercise'],
    ['a lift that nobody has', { exercise: 'bargePull' }, 'exercise'],
    ['no load', { load: '' }, 'load.value'],
    ['a load that is a word', { load: 'heavy' }, 'load.value'],
    ['assistance on a barbell', { load: '-20' }, 'load.value'],
    ['no reps', { reps: '' }, 'reps'],
    ['half a rep', { reps: '2.5' }, 'reps'],
    ['too much RIR to trust', { rir: '6' }, 'rir'],
    ['a day that there is not', { date: '2026-02-30' }, 'date'],
  ])('with %s is refused at its field', (_, change, field) => {
    const { given, errors } = readMax(library, typed(change))
    expect(given).toBeUndefined()
    expect(Object.keys(errors)).toContain(field)
  })
})
