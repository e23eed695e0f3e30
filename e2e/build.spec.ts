import { expect, test, type Page } from './site.ts'
import { readTemplate, type Template } from '@young-oak/core/template'
import { enter } from './people.ts'

// A program as a writer would be told it, built from an empty page by the keyboard alone.

/** Counts what is pressed: each key, and each letter of a text. */
function keyboard(page: Page) {
  let presses = 0
  return {
    press: async (...keys: string[]) => {
      for (const key of keys) {
        presses += 1
        await page.keyboard.press(key)
      }
    },
    type: async (text: string) => {
      presses += text.length
      await page.keyboard.type(text)
    },
    count: () => presses,
  }
}

const focused = (page: Page) =>
  page.evaluate(
    () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
  )

test('twelve weeks with three tracks are built from an empty page by the keyboard alone', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await enter(page, 'Wren')
  await page.goto('/templates')
  await expect(page.getByRole('button', { name: 'New template…' })).toBeVisible()
  const began = Date.now()
  const { press, type, count } = keyboard(page)
  /** Goes on by Tab until something of that name has the keyboard. */
  const tabTo = async (name: RegExp, key = 'Tab') => {
    for (let i = 0; i < 80; i++) {
      if (name.test(await focused(page))) return
      await press(key)
    }
    throw new Error(`never came to ${name}, but to ${await focused(page)}`)
  }

  // An empty template: twelve weeks, three sessions a week.
  await tabTo(/^New template/)
  await press('Enter')
  await expect(page.getByRole('dialog', { name: 'A new template' })).toBeVisible()
  await tabTo(/^$/)
  await page.getByLabel('Name', { exact: true }).waitFor()
  await expect(page.getByLabel('Name', { exact: true })).toBeFocused()
  await type('Spring tide')
  await press('Tab')
  await type('12')
  await press('Tab')
  await type('3')
  await press('Enter')
  await expect(page.getByLabel('Name of the template')).toHaveValue('Spring tide')

  // The sessions, a line at a time: exercise, sets, load, reserve, rest.
  const sessions = [
    [
      'back squat 5x5 @ 75% rest 3:00',
      'bench press 4x6 @ 75% R2 rest 2:30',
      'barbell row 4x8 R2 rest 2:00',
      'plank 3x0:45 rest 60',
    ],
    [
      'deadlift 3x5 @ 75% rest 3:00',
      'overhead press 4x6 @ 72% rest 2:00',
      'pull-up 4x6 R2 rest 2:00',
      'leg curl 3x10-12 R2 rest 90',
    ],
    [
      'front squat 4x4 @ 70% rest 3:00',
      'dumbbell bench press 3x8-12 R2 rest 90',
      'seated cable row 3x10-12 R2 rest 90',
      'lateral raise 3x12-15 R1 rest 60',
    ],
  ]
  await tabTo(/^Add an exercise$/)
  for (const [i, lines] of sessions.entries()) {
    for (const line of lines) {
      await type(line)
      await press('Enter')
      await expect(page.getByRole('combobox', { name: /New line/ })).toBeHidden()
    }
    if (i < sessions.length - 1) {
      await press('ArrowRight')
      await expect.poll(() => focused(page)).toBe('Add an exercise')
    }
  }
  await expect(page.getByRole('gridcell', { name: 'Exercise: Lateral raise' })).toBeVisible()

  // The last two lines of the third session become a superset.
  await press('ArrowUp', 'Shift+ArrowUp', 'Alt+j')
  const third = page.getByRole('region', { name: 'Session C, day 3' })
  await expect(third.getByText('C1', { exact: true })).toBeVisible()
  await expect(third.getByText('C2', { exact: true })).toBeVisible()
  await press('Escape')

  // The squat's load rises over the weeks: 75, then 77.5 from week 5 on, then 80 from week 9 on.
  await press('Control+Home', 'ArrowRight', 'ArrowRight')
  await expect.poll(() => focused(page)).toBe('Load of Back squat: 75%')
  for (const load of ['77.5%', '80%']) {
    await press('PageDown', 'PageDown', 'PageDown', 'PageDown')
    await type(load)
    await press('Shift+Enter')
    await expect(page.getByRole('gridcell', { name: `Load of Back squat: ${load}` })).toBeVisible()
  }

  // Three phases of the twelve weeks, and a deload at the end of each, on the strip.
  const strip = page.getByRole('region', { name: 'Season strip' })
  await tabTo(/^Week 9,/, 'Shift+Tab')
  for (let week = 9; week > 4; week--) await press('ArrowLeft')
  await press('s')
  await expect(strip.getByText('Phase 1, weeks 1 to 4')).toBeVisible()
  for (let week = 4; week < 8; week++) await press('ArrowRight')
  await press('s')
  await expect(strip.getByText('Phase 2, weeks 5 to 8')).toBeVisible()
  await press('l')
  await expect(strip.getByRole('button', { name: /^Week 8, .*, deload/ })).toBeVisible()
  for (let week = 8; week > 4; week--) await press('ArrowLeft')
  await press('l')
  await expect(strip.getByRole('button', { name: /^Week 4, .*, deload/ })).toBeVisible()

  // Three tracks: lighter, heavier, and one without its last lines.
  await tabTo(/^Exercise$/)
  await press('ArrowLeft', 'ArrowLeft', 'ArrowLeft')
  await expect(page.getByRole('tab', { name: 'Tracks' })).toBeFocused()
  const tracks = page.getByRole('region', { name: 'Tracks' })
  const nameOfTrack = page.getByLabel('Name of the track')
  for (const [name, by] of [
    ['Lighter', '-10'],
    ['Heavier', '5'],
    ['Short', null],
  ] as const) {
    await tabTo(/^Add a track$/)
    await press('Enter')
    await expect(nameOfTrack).toHaveValue(/^Track/)
    await expect(nameOfTrack).toBeFocused()
    await type(name)
    await press('Enter')
    await expect(tracks.getByRole('button', { name: new RegExp(`^${name} 0`) })).toBeVisible()
    await tabTo(/^Add a change/)
    await press('Enter')
    await page.getByLabel('Kind of change').waitFor()
    await page.getByLabel('Kind of change').focus()
    if (by === null) {
      await type('Left out')
      await tabTo(/^Add change$/)
    } else {
      await press('Tab', 'Control+a')
      await type(by)
    }
    await press('Enter')
    await expect(tracks.getByRole('button', { name: new RegExp(`^${name} 1`) })).toBeVisible({
      timeout: 5_000,
    })
    await tabTo(new RegExp(`^Lighter`), 'Shift+Tab')
  }

  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  const minutes = (Date.now() - began) / 60_000
  console.log(
    `a 12-week, three-track template: ${count()} key presses, ${minutes.toFixed(1)} minutes of a machine's typing`,
  )

  const id = page.url().split('/').pop() ?? ''
  const { draft } = (await (await page.request.get(`/api/templates/${id}`)).json()) as { draft: Template }
  const { template, issues } = readTemplate(draft)
  expect(issues ?? []).toEqual([])
  expect(template?.phases.map(({ weeks }) => weeks)).toEqual([4, 4, 4])
  expect(Object.values(template?.slots ?? {})).toHaveLength(12)
  expect(Object.values(template?.tracks ?? {}).map(({ name, changes }) => [name, changes.length])).toEqual([
    ['Lighter', 1],
    ['Heavier', 1],
    ['Short', 1],
  ])
  const squat = Object.values(template?.slots ?? {}).find(({ exercise }) => exercise === 'backSquat')
  expect(
    template?.phases.map((phase) =>
      squat?.rows[phase.id]?.map(([prescribed]) =>
        prescribed?.load.of === 'max' ? prescribed.load.percent : 0,
      ),
    ),
  ).toEqual([
    [75, 75, 75, 75],
    [77.5, 77.5, 77.5, 77.5],
    [80, 80, 80, 80],
  ])
})
