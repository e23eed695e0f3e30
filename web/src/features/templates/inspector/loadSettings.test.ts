import { describe, expect, test } from '@jest/globals'
import { loadSettingsSchema } from '@young-oak/api/forms/loadSettings'
import { emptyTemplate } from '@young-oak/core/editing'
import { applyCommand, type Template } from '@young-oak/core/template'
import { saySettings, settingsCommand, settingsOf, type SettingsDraft } from './loadSettings.ts'

const library = {}
let ids = 0
const template = emptyTemplate({ name: 'Settings', weeks: 4, days: 2 }, () => `id${(ids += 1)}`)

/** The faults of what is typed, by field. */
const faultsOf = (typed: SettingsDraft): Record<string, string> => {
  try {
    loadSettingsSchema.validateSync(typed, { abortEarly: false })
    return {}
  } catch (error) {
    const { inner } = error as { inner: { path: string; message: string }[] }
    return Object.fromEntries(inner.map(({ path, message }) => [path, message]))
  }
}

const changed = (change: Partial<SettingsDraft>): Template => {
  const made = settingsCommand(template, loadSettingsSchema.cast({ ...settingsOf(template), ...change }))
  if (made.fault !== undefined) throw new Error(made.fault)
  return made.command ? (applyCommand(template, made.command) as Template) : template
}

describe('load settings', () => {
  test('that nobody changed are no command, after reading them as they are', () => {
    const typed = settingsOf(template)
    expect(faultsOf(typed)).toEqual({})
    expect(changed({}).maxes).toEqual({ ...template.maxes, fresh: 16, table: 'handbook' })
  })

  test('are read with a decimal comma, and put into the template', () => {
    const to = changed({
      trainingMax: '87,5',
      use: 'best',
      weeks: '6',
      awayWeeks: '2',
      missed: 'shift',
      warmUp: 'two',
      tempoX: '0,5',
      ratios: [{ exercise: 'frontSquat', variant: '', percent: '82,5', of: 'backSquat', ofVariant: '' }],
    })
    expect(to).toMatchObject({
      trainingMax: 87.5,
      maxes: { use: 'best', weeks: 6, ratios: [{ percent: 82.5 }] },
      away: { weeks: 2, back: -10 },
      missed: 'shift',
      warmUp: { kind: 'fewSets', sets: 2 },
      tempoX: 0.5,
    })
    const { set, usual } = saySettings(library, to)
    expect(set).toContain('Front squat at 82.5% of the back squat max until it has one')
    expect(set).toContain('After 2 weeks away the first week back is at −10%')
    expect(usual).toContain('Loads are rounded to the nearest, ties up')
  })

  test.each<[Partial<SettingsDraft>, string, RegExp]>([
    [{ fresh: '0' }, 'fresh', /Whole weeks/],
    [{ tempoX: '9' }, 'tempoX', /0\.2 to 5/],
    [{ fresh: '' }, 'fresh', /Whole weeks/],
    [{ use: 'best', weeks: 'six' }, 'weeks', /Whole weeks/],
    [{ trainingMax: '40' }, 'trainingMax', /50 to 100/],
    [{ trainingMax: '', needsTrainingMax: true }, 'trainingMax', /percentages of it/],
    [{ awayWeeks: '2', awayBack: '' }, 'awayBack', /1 to 50/],
    [{ awayWeeks: '1.5' }, 'awayWeeks', /Whole weeks/],
    [
      { ratios: [{ exercise: '', variant: '', percent: '85', of: 'backSquat', ofVariant: '' }] },
      'ratios[0].exercise',
      /two lifts/,
    ],
  ])('%j is refused beside its field', (change, field, message) =>
    expect(faultsOf({ ...settingsOf(template), ...change })[field]).toMatch(message),
  )

  test('with warm-up sets that do not rise are refused in words', () => {
    const typed = { ...settingsOf(template), warmUp: 'listed' as const, listed: '60 × 3, 40 × 5' }
    expect(settingsCommand(template, loadSettingsSchema.cast(typed)).fault).toMatch(/higher %/)
  })
})
