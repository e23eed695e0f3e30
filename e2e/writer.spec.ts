import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from './site.ts'
import { enter, importTemplate, inspect, templateFile, goPublishing } from './people.ts'
import { choose, pick } from './pickers.ts'

const region = (page: Page, place: number) => page.getByRole('region', { name: `Slipway day, day ${place}` })
const sets = (page: Page, value: string) =>
  region(page, 1).getByRole('gridcell', { name: `Sets of Bench press: ${value}` })
const open = async (page: Page, name: string) => {
  await enter(page, 'Wren')
  await importTemplate(page, templateFile(name))
  await expect(page.getByLabel('Name of the template')).toHaveValue(name)
}

test('the sheet is edited with the keyboard alone: move, type, undo, redo, fill, copy', async ({ page }) => {
  await open(page, 'Keys')
  await region(page, 1).getByRole('gridcell', { name: 'Sets of Back squat: 2' }).focus()
  await page.keyboard.press('ArrowDown')
  await expect(sets(page, '1')).toBeFocused()
  await page.keyboard.type('4')
  await page.keyboard.press('Enter')
  await expect(sets(page, '4')).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(sets(page, '1')).toBeVisible()
  await page.keyboard.press('Control+y')
  await expect(sets(page, '4')).toBeVisible()

  await sets(page, '4').focus()
  await page.keyboard.press('F2')
  await page.keyboard.type('5')
  await page.keyboard.press('Shift+Enter')
  await page.keyboard.press('PageDown')
  await page.keyboard.press('PageDown')
  await expect(page.getByRole('group', { name: 'Week 3' })).toBeVisible()
  await expect(sets(page, '5')).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: /^Week 2,/ }).click()
  await expect(sets(page, '5')).toBeVisible()
})

test('what a cell does not take is said under it, and what was typed stays', async ({ page }) => {
  await open(page, 'Faults')
  await sets(page, '1').focus()
  await page.keyboard.type('99')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveText('Sets: a whole number from 1 to 30, or a range like 3-5.')
  await expect(page.getByRole('combobox', { name: 'Sets of Bench press' })).toHaveValue('99')
  await page.keyboard.press('Escape')
  await expect(sets(page, '1')).toBeFocused()
})

test('a rule, an exercise and a slot can be changed, and each is undone', async ({ page }) => {
  await open(page, 'Slots')
  await inspect(page, 'Template')
  await page.getByRole('region', { name: 'Progressions' }).getByRole('button', { name: 'Change' }).click()
  await page.getByLabel('Step after a hit, kg').fill('-1')
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByRole('dialog').getByText(/must be greater than 0|above 0/)).toBeVisible()
  await page.getByLabel('Step after a hit, kg').fill('5')
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByText('After a hit: +5 kg (5 lb)')).toBeVisible()
  await region(page, 1).getByRole('gridcell', { name: 'Add an exercise' }).focus()
  await page.keyboard.type('barbell row 3x8')
  await expect(region(page, 1).getByText('Barbell row: 3 × 8 @ free')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(region(page, 1).getByRole('gridcell', { name: 'Exercise: Barbell row' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(region(page, 1).getByRole('gridcell', { name: 'Exercise: Barbell row' })).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('After a hit: +2.5 kg (5 lb)')).toBeVisible()
})

test('another rule is put in place of one, with its sets and reps; a rule that no set can carry is refused', async ({
  page,
}) => {
  await open(page, 'Rules')
  await inspect(page, 'Template')
  const rules = page.getByRole('region', { name: 'Progressions' })
  await rules.getByRole('button', { name: 'Change' }).click()
  const rule = page.getByLabel('Progression', { exact: true })
  await choose(rule, 'AMRAP set')
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('whose last set is an AMRAP set')
  await choose(rule, 'Fewer, heavier sets after misses')
  await expect(page.getByLabel('Step after a hit, kg', { exact: true })).toBeHidden()
  await page.getByRole('button', { name: 'Add scheme 3' }).click()
  await page.getByLabel('Scheme 3, sets').fill('0')
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByLabel('Scheme 3, sets')).toHaveAttribute('aria-invalid', 'true')
  await page.getByLabel('Scheme 3, sets').fill('3')
  await page.getByLabel('Scheme 3, reps').fill('3')
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(rules.getByText('then 3 × 3, after each hit')).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await page.reload()
  await inspect(page, 'Template')
  await expect(rules.getByText('then 3 × 3, after each hit')).toBeVisible()
  const squat = region(page, 1).getByRole('gridcell', { name: 'Sets of Back squat: 2' })
  await expect(squat).toHaveAttribute('title', '2, until the progression sets it')
})

test('a template file with faults shows where they are and saves nothing', async ({ page }) => {
  await enter(page, 'Wren')
  const rows = page.getByRole('row')
  await page.goto('/templates')
  await expect(page.getByRole('link', { name: 'Tideway base' })).toBeVisible()
  const before = await rows.count()
  await importTemplate(page, { ...templateFile('Bad'), colour: 'red', trainingMax: 400 })
  await expect(page.getByRole('alert')).toContainText('Nothing was saved. The file has 2 faults:')
  await expect(page.getByRole('alert')).toContainText(
    'trainingMax: expected percent of the 1RM, 50 to 100; got 400.',
  )
  await importTemplate(page, '{"format": 2,')
  await expect(page.getByRole('alert')).toContainText('expected JSON')
  await expect(rows).toHaveCount(before)
})

test('edits made while the server is away are kept, said, and saved when it is back', async ({ page }) => {
  await open(page, 'Storm')
  await page.route('**/api/templates/*/edits', (route) => route.abort())
  await sets(page, '1').focus()
  await page.keyboard.type('3')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Not saved yet: trying again')).toBeVisible()
  await page.unroute('**/api/templates/*/edits')
  await expect(page.getByText('Saved', { exact: true })).toBeVisible({ timeout: 10_000 })
  await page.reload()
  await expect(sets(page, '3')).toBeVisible()
})

test('a member’s pages and a writer’s are closed to each other, by address as well', async ({ page }) => {
  await enter(page, 'Isla')
  await page.goto('/templates')
  await expect(page.getByText('Your role in this gym does not allow this.')).toBeVisible()
  await enter(page, 'Perrin')
  await expect(page.getByRole('rowheader', { name: 'Isla Fenwater' })).toBeVisible()
  await page.goto('/today')
  await expect(page.getByText('Your role in this gym does not allow this.')).toBeVisible()
})

for (const theme of ['light', 'dark'] as const) {
  test(`the writer’s pages have no accessibility faults that a machine can find, ${theme}`, async ({
    page,
  }) => {
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' })
    await enter(page, 'Odell')
    await page.getByRole('link', { name: 'Estuary waves' }).click()
    await pick(page, 'Loads of', 'Rafe Otterby')
    await expect(page.getByRole('gridcell', { name: /: how it was worked out$/ }).first()).toBeVisible()
    const faults = async () =>
      (await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])
    expect(await faults()).toEqual([])
    await goPublishing(page)
    await page.getByRole('checkbox', { name: 'Hal Tideman' }).check()
    const impact = page.getByRole('region', { name: 'What it does in the next two weeks' })
    await impact.getByRole('button', { expanded: false }).first().click()
    await page.getByRole('button', { name: 'Leave out Hal Tideman' }).waitFor()
    expect(await faults()).toEqual([])
    await page.goto('/people/groups')
    const form = page.getByRole('form', { name: 'New group' })
    await page.getByLabel('Members of the group').click()
    await page.getByRole('option', { name: 'by a rule, as of today' }).click()
    await form.getByRole('button', { name: 'Add a condition' }).click()
    expect(await faults()).toEqual([])
  })
}

test('the season strip is walked by keyboard and says each week in words', async ({ page }) => {
  await enter(page, 'Odell')
  await page.getByRole('link', { name: 'Estuary waves' }).click()
  const strip = page.getByRole('region', { name: 'Season strip' })
  const week = (number: number) => strip.getByRole('button', { name: new RegExp(`^Week ${number},`) })
  await expect(week(4)).toHaveAccessibleName(
    /^Week 4, First wave, deload: \d+ hard sets, \d+% of the 1RM on average, \d+ minutes at most$/,
  )
  await week(1).focus()
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight')
  await expect(week(4)).toBeFocused()
  await expect(page.getByRole('group', { name: 'Week 4' })).toBeVisible()
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByRole('group', { name: 'Week 3' })).toBeVisible()
})

test('the keys are listed under ?, and a dialog gives the keyboard back', async ({ page }) => {
  await open(page, 'Help')
  await sets(page, '1').focus()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keyboard' })).toContainText(
    'fill what is typed or selected into the later weeks',
  )
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
  await expect(sets(page, '1')).toBeFocused()
})

test('a cell is copied into another, and a copied value that does not fit is said', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await open(page, 'Copies')
  await region(page, 1).getByRole('gridcell', { name: 'Sets of Back squat: 2' }).focus()
  await page.keyboard.press('Control+c')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Control+v')
  await expect(sets(page, '2')).toBeVisible()
  await region(page, 1).getByRole('gridcell', { name: 'Load of Bench press: 75%' }).focus()
  await page.keyboard.press('Control+c')
  await sets(page, '2').focus()
  await page.keyboard.press('Control+v')
  await expect(page.getByRole('dialog', { name: '1 line was not understood' })).toContainText(
    'Sets: a whole number from 1 to 30, or a range like 3-5.',
  )
})
