import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from './site.ts'
import { enter, importTemplate, phone, templateFile } from './people.ts'
import { choose, pick } from './pickers.ts'

const day = (page: Page) => page.getByRole('region', { name: 'Slipway day, day 1' })
const form = (page: Page) => page.getByRole('dialog', { name: 'Your own exercise' })
test.describe.configure({ mode: 'serial' })

/** The demo is kept between runs, and a gym has each name once. */
const stamp = Date.now().toString(36)
const slip = `Slip squat ${stamp}`
const ramp = `Ramp squat ${stamp}`

/** Fills in what a new squat with the bar cannot be without. */
async function fill(page: Page, name?: string): Promise<void> {
  if (name) await form(page).getByLabel('Name').fill(name)
  await choose(form(page).getByLabel('Pattern'), 'squat')
  await choose(form(page).getByLabel('quads'), 'main')
  await form(page).getByLabel('Cue').fill('Sit between the hips.')
}

test('an exercise that is not there is added from the line that names it', async ({ page }) => {
  await enter(page, 'Wren')
  await importTemplate(page, templateFile(`Own ${stamp}`))
  await day(page).getByRole('gridcell', { name: 'Add an exercise' }).focus()
  await page.keyboard.type(`${slip} 3 x 5 @ 70%`)
  await expect(day(page).getByText(`No exercise is called “${slip}”.`)).toBeVisible()
  await page.keyboard.press('Alt+n')
  await expect(form(page).getByLabel('Name')).toHaveValue(slip)
  await form(page).getByRole('button', { name: 'Add exercise' }).click()
  await expect(form(page).getByText('Choose a pattern.')).toBeVisible()
  await expect(form(page).getByText('Choose the muscle that the exercise works most.')).toBeVisible()
  await fill(page)
  await form(page).getByRole('button', { name: 'Add exercise' }).click()
  await expect(form(page)).toBeHidden()
  const line = page.getByRole('combobox', { name: /New line/ })
  await expect(line).toBeFocused()
  await expect(day(page).getByText(`${slip}: 3 × 5 @ 70%`)).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(day(page).getByRole('gridcell', { name: `Exercise: ${slip}` })).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  // It is there after a reload, for whoever opens the template.
  await page.reload()
  await expect(day(page).getByRole('gridcell', { name: `Exercise: ${slip}` })).toBeVisible()
})

test('two entries of one exercise are merged, and parted again', async ({ page }) => {
  await enter(page, 'Wren')
  await page.goto('/exercises')
  await page.getByRole('button', { name: 'Add an exercise' }).click()
  await fill(page, slip.toUpperCase())
  await form(page).getByRole('button', { name: 'Add exercise' }).click()
  await expect(form(page).getByText(/There is an exercise called SLIP SQUAT .* already/)).toBeVisible()
  await form(page).getByLabel('Name').fill(ramp)
  await form(page).getByRole('button', { name: 'Add exercise' }).click()
  await expect(form(page)).toBeHidden()
  await choose(page.getByLabel('Whose'), 'our own')
  await page.getByLabel('Find').fill(slip)
  await page.getByRole('button', { name: new RegExp(slip) }).click()
  await page.getByRole('button', { name: 'Change…' }).click()
  const change = page.getByRole('dialog', { name: slip })
  await expect(change.getByLabel('Tool')).toBeDisabled()
  await change.getByLabel('Caution').fill('Set the safety bars.')
  await change.getByRole('button', { name: 'Save exercise' }).click()
  await expect(page.getByText('Set the safety bars.')).toBeVisible()
  await page.getByRole('button', { name: 'Merge into another…' }).click()
  const merge = page.getByRole('dialog', { name: `Merge ${slip}` })
  await merge.getByRole('combobox', { name: /^Merge into/ }).press('Enter')
  await page.getByRole('combobox', { name: 'Find: Merge into' }).fill('leg press')
  await expect(page.getByText('No exercise fits. Remove a word.')).toBeVisible()
  await page.keyboard.press('Escape')
  await pick(page, 'Merge into', ramp)
  await merge.getByRole('button', { name: 'Merge' }).click()
  await expect(page.getByText(`${slip} is read as ${ramp}`)).toBeVisible()
  await page.goto('/templates')
  await page
    .getByRole('link', { name: new RegExp(`Own ${stamp}`) })
    .first()
    .click()
  await expect(day(page).getByRole('gridcell', { name: `Exercise: ${ramp}` })).toBeVisible()
  await page.goto('/exercises')
  await page.getByRole('button', { name: `Undo merge: ${slip}` }).click()
  await expect(page.getByText(`${slip} is read as`)).toBeHidden()
  await page.goBack()
  await expect(day(page).getByRole('gridcell', { name: `Exercise: ${slip}` })).toBeVisible()
})

test('an exercise that cannot be sent stays in its form, and is added once the server is back', async ({
  page,
}) => {
  await enter(page, 'Wren')
  await page.goto('/exercises')
  await page.getByRole('button', { name: 'Add an exercise' }).click()
  await fill(page, `Late squat ${stamp}`)
  await page.route('**/api/exercises', (route) => route.abort())
  await form(page).getByRole('button', { name: 'Add exercise' }).click()
  await expect(form(page).getByRole('alert')).toContainText('server')
  await expect(form(page).getByLabel('Name')).toHaveValue(`Late squat ${stamp}`)
  await page.unroute('**/api/exercises')
  await form(page).getByRole('button', { name: 'Add exercise' }).click()
  await expect(form(page)).toBeHidden()
  await page.getByLabel('Find').fill(`late squat ${stamp}`)
  await expect(page.getByRole('button', { name: new RegExp(`Late squat ${stamp}`) })).toBeVisible()
})

test('a member gives a max of the gym’s own exercise, and cannot change what it is', async ({ page }) => {
  await page.setViewportSize(phone)
  await enter(page, 'Isla')
  await page.goto('/maxes')
  await pick(page, 'Lift', slip)
  await page.goto('/exercises')
  await expect(page.getByRole('button', { name: 'Add an exercise' })).toBeHidden()
})

for (const theme of ['light', 'dark'] as const) {
  test(`the forms of the gym’s exercises have no faults that a machine can find, ${theme}`, async ({
    page,
  }) => {
    await page.emulateMedia({ colorScheme: theme })
    await enter(page, 'Wren')
    await page.goto('/exercises')
    await page.getByRole('button', { name: 'Add an exercise' }).click()
    const faults = async () =>
      (await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])
    expect(await faults()).toEqual([])
    await page.keyboard.press('Escape')
    await choose(page.getByLabel('Whose'), 'our own')
    await page.getByRole('button', { name: new RegExp(slip) }).click()
    await page.getByRole('button', { name: 'Merge into another…' }).click()
    expect(await faults()).toEqual([])
  })
}
