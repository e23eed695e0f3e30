import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from './site.ts'
import { enter, inspect, phone } from './people.ts'
import { choose, pick } from './pickers.ts'

/** Signs in as somebody whom the page does not offer. */
async function enterAs(page: Page, name: string): Promise<void> {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail address').fill(`${name}@demo.example`)
  await page.getByLabel('Password').fill('tideway-demo')
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible()
}
const day = new Date().toISOString().slice(0, 10)

test('maxes of many come from a spreadsheet, with what will change, and the faults located', async ({
  page,
}) => {
  await enter(page, 'Wren')
  await page.getByRole('link', { name: 'Maxes' }).click()
  const row = page.getByRole('row', { name: /^Maud Tern/ })
  await expect(row).toBeVisible()
  await page.getByRole('button', { name: 'Import from a spreadsheet' }).click()
  const dialog = page.getByRole('dialog')
  const paste = dialog.getByLabel('Paste from a spreadsheet')
  await paste.fill(
    [
      'member\tlift\tload\tunit\treps\tdate',
      `Maud Tern\tBack squat\t62,5\tkg\t1\t${day}`,
      'Maud Tern\tBack sqat\t60\tkg\t1\t',
      'Maud Tern\tDeadlift\t900\tkg\t1\t',
      'Maud Tern\tDeadlift\t=B2\tkg\t1\t',
    ].join('\n'),
  )
  await expect(dialog.getByText('1 to store, 3 with an error.')).toBeVisible()
  await expect(dialog.getByText('Line 3, lift: expected a lift of the library')).toBeVisible()
  await expect(dialog.getByText('Line 4, load: expected at most 500 kg')).toBeVisible()
  await expect(dialog.getByText('Line 5, load: expected a value, not a formula')).toBeVisible()
  await expect(
    dialog.getByRole('row', { name: /Maud Tern Back squat 62.5 kg × 1.* → 62.5 kg/ }),
  ).toBeVisible()
  await page.route('**/api/maxes', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  )
  await dialog.getByRole('button', { name: 'Store 1 max' }).click()
  await expect(dialog.getByText(/^0 of 1 were stored. The server cannot be reached/)).toBeVisible()
  await page.unroute('**/api/maxes')
  await dialog.getByRole('button', { name: 'Store 1 max' }).click()
  await expect(row).toContainText('62.5 kg')
  await page.getByRole('button', { name: 'Import from a spreadsheet' }).click()
  await paste.fill(`member\tlift\tload\tunit\treps\tdate\nMaud Tern\tBack squat\t62.5\tkg\t1\t${day}`)
  await expect(dialog.getByText('0 to store, 1 already stored.')).toBeVisible()
})

test('a sheet of 50,000 lines is read to its end, a hundred faults named and the others counted', async ({
  page,
}) => {
  // As long as the machine needs for it.
  test.slow()
  await enter(page, 'Wren')
  await page.getByRole('link', { name: 'Maxes' }).click()
  await page.getByRole('button', { name: 'Import from a spreadsheet' }).click()
  const lines = Array.from({ length: 50_000 }, (_, i) =>
    i % 10
      ? `Maud Tern,Back squat,${50 + (i % 200) / 4} kg,1,2025-${String((i % 12) + 1).padStart(2, '0')}-01`
      : 'Nobody,Back squat,x,1,',
  )
  await page.getByLabel('Or a CSV file').setInputFiles({
    name: 'maxes.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['member,lift,load,reps,date', ...lines].join('\n')),
  })
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText(/to store, .* given twice, 10,000 with an error\./)).toBeVisible({
    timeout: 75_000,
  })
  await expect(dialog.getByText('… and 9,900 more.')).toBeVisible()
})

test('a load that nobody knows is found in the session, and becomes a max once it is accepted', async ({
  page,
}) => {
  await page.setViewportSize(phone)
  await enterAs(page, 'mose')
  await page.getByRole('button', { name: /^Start / }).click()
  await expect(page.getByText('No back squat max yet, so there is no load.').first()).toBeVisible()
  const find = page.getByRole('button', { name: 'Find my load now' }).first()
  await page
    .getByRole('button', { name: /Back squat/ })
    .first()
    .click()
  await find.click()
  const guide = page.getByRole('region', { name: 'Find a load for Back squat' })
  // From the lightest bar of the boathouse: 15, 20 % at most more each time, 17.5, 20 …
  await expect(guide.getByText('15 kg × 5')).toBeVisible()
  await guide.getByRole('button', { name: '8 or more' }).click()
  await expect(guide.getByText('17.5 kg × 5')).toBeVisible()
  await guide.getByRole('button', { name: '8 or more' }).click()
  await expect(guide.getByText('20 kg × 5')).toBeVisible()
  await guide.getByRole('button', { name: '2', exact: true }).click()
  await expect(page.getByText('Found: 20 kg for 5 at about 2 RIR.')).toBeVisible()
  await expect(page.getByRole('textbox', { name: /^Load/ })).toHaveValue('20')
  page.on('dialog', (dialog) => void dialog.accept())
  await page.getByRole('button', { name: 'Log this set' }).click()
  await page.getByRole('button', { name: 'Finish the session' }).click()
  // 20 × 5 with two left by Epley: 20 × (1 + 7/30) = 24.67.
  const offer = page.getByRole('listitem').filter({ hasText: 'Back squat 24.7 kg' })
  await offer.getByRole('button', { name: 'Accept' }).click()
  await expect(page.getByText('Back squat: 24.7 kg is used from your next session.')).toBeVisible()
})

test('plates make the loads: a place is equipped, a session is trained elsewhere, the unit is changed', async ({
  page,
}) => {
  await enterAs(page, 'ona')
  const first = page.getByRole('button', { name: /: how it was worked out$/ }).first()
  await expect(first).toBeVisible()
  const home = await first.textContent()
  await page.getByLabel('Location').selectOption({ label: 'A hotel on the road' })
  await expect(first).not.toHaveText(home ?? '')
  await page.getByLabel('Location').selectOption({ label: 'The boathouse gym' })
  await expect(first).toHaveText(home ?? '')
  await page.getByRole('link', { name: 'Equipment' }).click()
  await page.getByLabel('The usual bar, kg').fill('0')
  await page.getByRole('button', { name: 'Save equipment' }).click()
  await expect(page.getByText('Expected the weight of the bar, 1 to 60.')).toBeVisible()
  await expect(page.getByLabel('The usual bar, kg')).toHaveValue('0')
  await page.getByLabel('The usual bar, kg').fill('10')
  await page.getByLabel('Dumbbells, one hand, kg').fill('heavy')
  await page.getByRole('button', { name: 'Save equipment' }).click()
  await expect(page.getByText('Loads like 2-20 by 2; 22.5; 25.', { exact: true })).toBeVisible()
  await page.getByLabel('Dumbbells, one hand, kg').fill('2-20 by 2')
  await page.getByRole('button', { name: 'Save equipment' }).click()
  await expect(page.getByText('Saved.', { exact: true })).toBeVisible()
  await page.getByLabel('I usually train at').selectOption({ label: 'My own' })
  await expect(page.getByText(/10 kg bar, up to/)).toBeVisible()
  await page.getByLabel('My unit').selectOption('lb')
  await expect(page.getByText('Saved. Your next session uses it.').first()).toBeVisible()
})

test('body weight is a part of a pull-up: given, read, and too much help refused beside the field', async ({
  page,
}) => {
  await enterAs(page, 'greta')
  await page.getByRole('link', { name: 'Maxes' }).click()
  await page.getByLabel('Weight today, kg').fill('70')
  await page.getByRole('form', { name: 'Body weight' }).getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText(/^70 kg, on/)).toBeVisible()
  await pick(page, 'Lift', 'Pull-up')
  await page.getByLabel('Load', { exact: true }).fill('-75')
  await page.getByRole('button', { name: 'Save this max' }).click()
  await expect(page.getByText('That is more help than the body weighs (70 kg).')).toBeVisible()
  await page.getByLabel('Load', { exact: true }).fill('20')
  await page.getByRole('button', { name: 'Save this max' }).click()
  await expect(
    page.getByRole('listitem').filter({ hasText: /Pull-up, with the body90 kg70 kg \+ 20 kg × 1, tested/ }),
  ).toBeVisible()
})

test('a writer sets how loads are made, says more of a line, and sees minutes for light and strong', async ({
  page,
}) => {
  await enter(page, 'Odell')
  await page.getByRole('link', { name: 'Estuary waves' }).click()
  await pick(page, 'Loads of', 'a light lifter, made up')
  const head = page.getByRole('region', { name: 'Lower, squat, day 1' }).getByText(/About \d+ minutes/)
  await expect(head).toBeVisible()
  const minutes = async () => Number(/About (\d+)/.exec((await head.textContent()) ?? '')?.[1])
  const light = await minutes()
  await pick(page, 'Loads of', 'a strong lifter, made up')
  await expect.poll(minutes).toBeGreaterThan(light)
  await inspect(page, 'Template')
  const loads = page.getByRole('region', { name: 'Loads', exact: true })
  await loads.getByRole('button', { name: 'Change load settings' }).click()
  await page.getByLabel('Training max, % of the 1RM').fill('')
  await page.getByRole('button', { name: 'Save loads' }).click()
  await expect(page.getByText('Loads of this template are percentages of it.')).toBeVisible()
  await page.getByLabel('Training max, % of the 1RM').fill('90')
  await choose(page.getByLabel('Percentages for reps'), 'Epley, inverted')
  await choose(page.getByLabel('Warm-up before a lift'), 'two lighter sets')
  await page.getByRole('button', { name: 'Tie a lift' }).click()
  await page.getByRole('button', { name: 'Save loads' }).click()
  await expect(page.getByText('Each needs two lifts and a percentage above 0, at most 150.')).toBeVisible()
  await pick(page, 'Lift 1', 'Front squat')
  await pick(page, 'Of lift 1', 'Back squat')
  await page.getByRole('button', { name: 'Save loads' }).click()
  await expect(loads).toContainText('Percentages for reps: Epley, inverted')
  await expect(loads).toContainText('Training max 90% of the 1RM')
  await expect(loads).toContainText('Two lighter sets before the first work set')
  await expect(loads).toContainText('Front squat at 85% of the back squat max until it has one')
  await page.getByRole('button', { name: 'More for Romanian deadlift' }).click()
  await page.getByRole('menuitem', { name: /^Details/ }).click()
  const slot = page.getByRole('region', { name: 'Exercise Romanian deadlift' })
  await slot.getByLabel('Tempo').fill('31Z0')
  await slot.getByRole('button', { name: 'Save details' }).click()
  await expect(page.getByText('Tempo: four digits like 31X0, X for as fast as possible.')).toBeVisible()
  await slot.getByLabel('Tempo').fill('31x0')
  await slot.getByRole('button', { name: 'Save details' }).click()
  await expect(page.getByText('tempo 31X0')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('tempo 31X0')).toBeHidden()
  await inspect(page, 'Template')
  await expect(loads).toContainText('Training max 95% of the 1RM')
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
})

for (const theme of ['light', 'dark'] as const) {
  test(`the pages of maxes and equipment have no accessibility faults that a machine can find, ${theme}`, async ({
    page,
  }) => {
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' })
    const scan = async () =>
      (await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])
    await enter(page, 'Odell')
    await page.getByRole('link', { name: 'Maxes' }).click()
    await expect(page.getByRole('rowheader', { name: 'Rafe Otterby' })).toBeVisible()
    expect(await scan()).toEqual([])
    await page.getByRole('button', { name: 'Import from a spreadsheet' }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    expect(await scan()).toEqual([])
    await page.keyboard.press('Escape')
    await page.getByRole('link', { name: 'Equipment' }).click()
    await page.getByText('The boathouse gym').click()
    await expect(page.getByLabel('The usual bar, kg').first()).toBeVisible()
    expect(await scan()).toEqual([])
    await page.goto('/max-table')
    await page.getByRole('link', { name: 'Rafe Otterby' }).click()
    await expect(page.getByRole('heading', { name: 'Maxes of Rafe Otterby' })).toBeVisible()
    expect(await scan()).toEqual([])
  })
}
