import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from './site.ts'
import { enter, importTemplate, inspect, phone, publishTo, signIn, templateFile } from './people.ts'
import { choose, pick } from './pickers.ts'

const faults = async (page: Page) =>
  (await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])

test('a rule is previewed beside its form under four suppositions, and another is compared with it', async ({
  page,
}) => {
  await enter(page, 'Wren')
  await importTemplate(page, templateFile('Foreseen'))
  await inspect(page, 'Template')
  await expect(page.getByRole('gridcell', { name: 'Sets of Back squat: 2' }).first()).toBeVisible()
  await page.getByRole('region', { name: 'Progressions' }).getByRole('button', { name: 'Change' }).click()
  const preview = page.getByRole('dialog').getByRole('region', { name: 'Preview' })
  await expect(preview.getByRole('columnheader').filter({ hasText: 'All goes to plan' })).toBeVisible()
  await choose(preview.getByLabel('Misses or absence in'), 'week 2 from now')
  await expect(preview.getByText('Misses in week 2').first()).toBeVisible()
  // Two sessions a week from 60 by 2.5; after two misses in week 2 the third week is the same again.
  const weeks = preview.getByRole('table').first()
  await expect(weeks.getByRole('row').nth(3)).toContainText('2 × 5 @ 70 kg; 2 × 5 @ 72.5 kg')
  await expect(weeks.getByRole('row').nth(2)).toContainText('miss')
  await expect(preview.getByText('Both schemes')).toBeHidden()
  await page.getByLabel('Step after a hit, kg', { exact: true }).fill('5')
  await expect(preview.getByText('Now and changed, if all goes to plan')).toBeVisible()
  await expect(preview.getByRole('row', { name: /Tonnage in all/ })).toContainText(/\d+ kg\s*\d+ kg/)
  // A step is stated in one way; what is wrong is said at its field, and the other way begins empty.
  const way = page.getByLabel('Step after a hit, given')
  await choose(way, 'as a percentage of the load')
  await page.getByLabel('Step after a hit, % of the load').fill('50')
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByRole('dialog').getByText(/Expected a step above 0 in both units/)).toBeVisible()
  await choose(way, 'in kg and lb')
  await page.getByLabel('Step after a hit, kg', { exact: true }).fill('5')
  await page.getByLabel('Step after a hit, lb', { exact: true }).fill('5')
  expect(await faults(page)).toEqual([])
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByText('After a hit: +5 kg (5 lb)')).toBeVisible()
})

test('a rule that follows is offered by a sign, waits for technique, and is removed again', async ({
  page,
}) => {
  await enter(page, 'Wren')
  await importTemplate(page, templateFile('Handed on'))
  await inspect(page, 'Template')
  const rules = page.getByRole('region', { name: 'Progressions' })
  await rules.getByRole('button', { name: 'Add the next progression' }).click()
  await expect(
    rules.getByText('The next progression starts when 2 of the last 3 exposures are missed.'),
  ).toBeVisible()
  await rules.getByRole('button', { name: 'Change' }).first().click()
  await choose(page.getByLabel('When to move on to the next progression'), 'No heavier hit')
  await page.getByLabel(/Offer the next progression/).check()
  await page.getByLabel(/Require a good technique rating/).check()
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(
    rules.getByText(
      /A hit needs a good technique rating to count.*The next progression is offered after 9 sessions/,
    ),
  ).toBeVisible()
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(rules.getByText('The next progression starts when')).toBeVisible()
  await rules.getByRole('button', { name: 'Remove this progression' }).click()
  await expect(rules.getByText('The next progression starts when')).toBeHidden()
})

test('a slot follows another rule by its menu and the keyboard, two rules of one thing are refused, and lifts take turns', async ({
  page,
}) => {
  await enter(page, 'Wren')
  await importTemplate(page, templateFile('Menus'))
  const place = page.getByRole('region', { name: 'Slipway day, day 1' })
  await place.getByRole('button', { name: 'More for Bench press' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('menuitem', { name: /^Details/ })).toBeFocused()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('menuitem', { name: /^Progression/ })).toBeFocused()
  await page.keyboard.press('Enter')
  const dialog = page.getByRole('region', { name: 'Progressions of Bench press' })
  await expect(dialog.getByText('No progression: loads are as written')).toBeVisible()
  await choose(dialog.getByLabel('New progression'), 'Weekly sets of a muscle')
  await dialog.getByRole('button', { name: /^Add (Weekly sets|Add sets)/ }).press('Enter')
  await expect(dialog.getByText(/hard sets of quads in the first week/)).toBeVisible()
  await choose(dialog.getByLabel('In the role'), 'second')
  await choose(dialog.getByLabel('New progression'), 'Add sets')
  await dialog.getByRole('button', { name: /^Add (Weekly sets|Add sets)/ }).press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('a progression that does not write the sets too')
  await pick(page, 'Add an exercise to the rotation', 'Incline bench press')
  await choose(dialog.getByLabel('Change after every'), '1')
  expect(await faults(page)).toEqual([])
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Week 2,/ }).click()
  const later = page.getByRole('region', { name: /^Slipway day, day/ }).first()
  await expect(later.getByRole('gridcell', { name: 'Exercise: Incline bench press' })).toBeVisible()
  await later.getByRole('gridcell', { name: 'Load of Bench press: 75%' }).focus()
  await page.getByRole('button', { name: 'Preview all weeks…' }).click()
  await expect(
    page
      .getByRole('dialog')
      .getByText(/Incline bench press: /)
      .first(),
  ).toBeVisible()
})

test('a deload is put in by recipe and taken out; what was missed is set for the whole template', async ({
  page,
}) => {
  await enter(page, 'Wren')
  await importTemplate(page, templateFile('Lighter'))
  await inspect(page, 'Template')
  const light = page.getByRole('region', { name: 'Deloads' })
  await light.getByRole('button', { name: 'Add a deload…' }).click()
  const dialog = page.getByRole('dialog')
  await choose(dialog.getByLabel('Kind of deload'), 'Keep sets, cut load')
  await dialog.getByLabel('Less load, %').fill('90')
  await dialog.getByRole('button', { name: 'Add deload' }).click()
  await expect(dialog.getByText('Expected percent off the load, a whole number from 5 to 40.')).toBeVisible()
  await dialog.getByLabel('Less load, %').fill('20')
  await dialog.getByLabel('chest').check()
  expect(await faults(page)).toEqual([])
  await dialog.getByRole('button', { name: 'Add deload' }).click()
  await expect(light.getByText('chest, week 3:')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Week 3, Block, deload/ })).toBeVisible()
  await light.getByRole('button', { name: /^Remove/ }).click()
  await expect(light.getByText('None planned.')).toBeVisible()
  const loads = page.getByRole('region', { name: 'Loads', exact: true })
  await loads.getByRole('button', { name: 'Change load settings' }).click()
  await choose(dialog.getByLabel('Missed sessions of a week'), 'move into the next week')
  await dialog.getByLabel('Weeks away before a reduction').fill('2')
  await choose(dialog.getByLabel('Deloads', { exact: true }), 'reactive deloads only')
  await dialog.getByRole('button', { name: 'Save loads' }).click()
  for (const said of [
    'Missed sessions move into the next week.',
    'After 2 weeks away the first week back is at −10%.',
    'Deloads: reactive deloads only.',
  ])
    await expect(loads.getByText(said)).toBeVisible()
})

test.describe('on a phone', () => {
  test.use({ viewport: phone })

  test('how somebody is leads to advice with its evidence; pain to caution alone', async ({ page }) => {
    await enter(page, 'Tomas')
    await page.getByRole('link', { name: 'Progress' }).click()
    const check = page.getByRole('region', { name: 'Check-in' })
    await expect(check.getByText('No check-in yet.')).toBeVisible()
    await check.getByText('Check in', { exact: true }).click()
    expect(await faults(page)).toEqual([])
    await check
      .getByRole('group', { name: /Freshness/ })
      .getByRole('button', { name: '1' })
      .click()
    await check.getByRole('group', { name: 'Joints' }).getByRole('button', { name: 'achy' }).click()
    await check.getByRole('button', { name: 'Save check-in' }).click()
    await expect(page.getByText('freshness is 1 of 5')).toBeVisible()
    await expect(page.getByText('joints ache')).toBeVisible()
    await expect(page.getByText(/Confidence: /)).toBeVisible()
    await check.getByRole('group', { name: 'Joints' }).getByRole('button', { name: 'painful' }).click()
    await check.getByRole('button', { name: 'Save check-in' }).click()
    await expect(
      page.getByRole('heading', { name: /stop what hurts, log it, and see a licensed professional/ }),
    ).toBeVisible()
    await expect(page.getByRole('button', { name: /Make the next week a deload/ })).toBeHidden()
  })

  test('a deload is asked for, seen line by line in the next session, and taken back', async ({ page }) => {
    await enter(page, 'Isla')
    await page.getByRole('link', { name: 'Progress' }).click()
    const ahead = page.getByRole('region', { name: 'Ahead' })
    await ahead.getByText('Add an event').click()
    await ahead.getByLabel('Name').fill('Regatta')
    await ahead.getByRole('button', { name: 'Save the event' }).click()
    await expect(ahead.getByText('Regatta')).toBeVisible()
    await ahead.getByText('Request a deload').click()
    await ahead.getByLabel('How').selectOption({ label: 'Keep load, cut sets' })
    await ahead.getByLabel('Return').selectOption({ label: 'a week at 10% less' })
    await ahead.getByRole('button', { name: 'Request the deload' }).click()
    await expect(ahead.getByText(/a deload sets −50%; back over a week \(−10%\)/)).toBeVisible()
    for (const entry of ['Regatta', 'a deload sets −50%']) {
      const line = ahead.getByRole('listitem').filter({ hasText: entry })
      await line.getByRole('button', { name: 'Undo' }).click()
      await expect(line).toBeHidden()
    }
  })

  test('a deload that has begun is ended, and the plan goes on whole', async ({ browser, page }) => {
    const desk = await browser.newPage()
    await enter(desk, 'Wren')
    await importTemplate(desk, templateFile('Half a deload'))
    await expect(desk.getByLabel('Name of the template')).toHaveValue('Half a deload')
    await publishTo(desk, 'Nell Saltby')
    await desk.close()

    page.on('dialog', (dialog) => void dialog.accept())
    await signIn(page, 'nell@demo.example')
    const program = page.locator('section').filter({ hasText: 'Half a deload' }).first()
    const deload = program.getByText('deload', { exact: true })
    const start = program.getByRole('button', { name: 'Start Slipway day' })
    const skip = program.getByRole('button', { name: 'Skip this session' })
    await expect(start).toBeVisible()
    await expect(deload).toBeHidden()
    await page.getByRole('link', { name: 'Progress' }).click()
    const ahead = page.getByRole('region', { name: 'Ahead' })
    await ahead.getByText('Request a deload').click()
    await ahead.getByLabel('How').selectOption({ label: 'Keep load, cut sets' })
    await ahead.getByRole('button', { name: 'Request the deload' }).click()
    const entry = ahead.getByRole('listitem').filter({ hasText: 'a deload sets −50%' })
    await expect(entry.getByRole('button', { name: 'Undo' })).toBeVisible()

    // Nothing of the program is trained yet, so the deload is put in before its first week.
    await page.getByRole('link', { name: 'Today' }).click()
    await expect(deload).toBeVisible()
    await start.click()
    await expect(skip).toBeVisible()
    await expect(page.getByText(/^Sending \d|not sent yet/)).toBeHidden()
    await page.getByRole('link', { name: 'Progress' }).click()
    await entry.getByRole('button', { name: 'End the deload' }).click()
    await expect(page.getByText('The deload is over. What was trained in it stays.')).toBeVisible()
    await expect(entry).toBeHidden()

    await page.getByRole('link', { name: 'Today' }).click()
    await skip.click()
    await expect(start).toBeVisible()
    await expect(deload).toBeHidden()
  })

  test('a goal is set with its line and band, and a bad one is refused beside its field', async ({
    page,
  }) => {
    await enter(page, 'Isla')
    await page.getByRole('link', { name: 'Progress' }).click()
    const lift = page.getByRole('article').filter({ hasText: 'Bench press' })
    await lift.getByRole('button', { name: 'Set a goal' }).click()
    await lift.getByLabel(/Estimated max/).fill('heavy')
    await lift.getByRole('button', { name: 'Set the goal' }).click()
    await expect(lift.getByText('A load above 0, at most 1000 kg.')).toBeVisible()
    await lift.getByLabel(/Estimated max/).fill('70')
    await lift.getByRole('button', { name: 'Set the goal' }).click()
    await expect(lift.getByText('Goal: 70 kg')).toBeVisible()
    await lift.getByRole('button', { name: 'Set another goal' }).click()
    await lift.getByLabel(/Estimated max/).fill('65')
    const until = lift.getByLabel('Until')
    await until.selectOption({ index: 1 })
    await expect(lift.getByLabel(/^By/)).toBeHidden()
    await lift.getByRole('button', { name: 'Set the goal' }).click()
    await expect(lift.getByText(/Goal: 65 kg by the end of .+, about/)).toBeVisible()
    await expect(lift.getByText('Goal: 70 kg')).toBeVisible()
    await lift.getByRole('button', { name: /Delete the goal: 65 kg/ }).click()
    await expect(lift.getByText(/Goal: 65 kg/)).toBeHidden()
    await lift.getByRole('button', { name: /Delete the goal: 70 kg/ }).click()
    await expect(lift.getByText('Goal: 70 kg')).toBeHidden()
  })

  test('a goal is set as a gain, and for the sum of two lifts; replaced gear makes a max doubtful', async ({
    page,
  }) => {
    await enter(page, 'Isla')
    await page.getByRole('link', { name: 'Progress' }).click()
    const lift = page.getByRole('article').filter({ hasText: 'Back squat' }).first()
    await lift.getByRole('button', { name: /^Set (a|another) goal$/ }).click()
    await lift.getByLabel('Goal as').selectOption('a gain in percent')
    await lift.getByLabel('Gain, %').fill('500')
    await lift.getByRole('button', { name: 'Set the goal' }).click()
    await expect(lift.getByText('A gain from 0.5 to 100%.')).toBeVisible()
    await lift.getByLabel('Gain, %').fill('5')
    await lift.getByRole('button', { name: 'Set the goal' }).click()
    await expect(lift.getByText(/^Goal: [\d.]+ kg, 5% more/)).toBeVisible()

    const totals = page.getByRole('article').filter({ hasText: 'Totals' })
    await totals.getByText('Set a goal for a total').click()
    await totals.getByLabel('Back squat', { exact: true }).check()
    await totals.getByLabel('Total, kg').fill('190')
    await totals.getByRole('button', { name: 'Set the total' }).click()
    await expect(totals.getByText('Choose two to six lifts.')).toBeVisible()
    await totals.getByLabel('Bench press', { exact: true }).check()
    await totals.getByRole('button', { name: 'Set the total' }).click()
    await expect(totals.getByText(/^Back squat \+ Bench press/)).toBeVisible()
    await expect(totals.getByText(/^Goal: 190 kg/)).toBeVisible()

    const ahead = page.getByRole('region', { name: 'Ahead' })
    await ahead.getByText('Add an event').click()
    await ahead.getByLabel('What', { exact: true }).selectOption('new equipment')
    await ahead.getByLabel('Name').fill('other shoes')
    await ahead.getByLabel('Back squat', { exact: true }).check()
    await ahead.getByRole('button', { name: 'Save the event' }).click()
    await expect(ahead.getByText(/maxes from before may not hold: Back squat/)).toBeVisible()
    await page.getByRole('link', { name: 'Today' }).click()
    await expect(page.getByText(/before “other shoes” on .*: it may not hold any more/)).toBeVisible()
    await page.getByRole('link', { name: 'Progress' }).click()
    await ahead
      .getByRole('listitem')
      .filter({ hasText: 'Other shoes' })
      .getByRole('button', { name: 'Undo' })
      .click()
    await totals.getByRole('button', { name: /^Delete the goal: 190 kg/ }).click()
    await lift
      .getByRole('button', { name: /^Delete the goal: / })
      .first()
      .click()
    await expect(ahead.getByText(/may not hold/)).toBeHidden()
  })

  test('a trial is set for several lifts, refused where its spells overlap, and decided', async ({
    page,
  }) => {
    await enter(page, 'Isla')
    await page.getByRole('link', { name: 'Progress' }).click()
    const trials = page.getByRole('region', { name: 'Comparisons' })
    await trials.getByText('Set up a comparison').click()
    await trials.getByLabel('Name').fill('Early or late')
    await trials.getByLabel('The one difference').fill('mornings, then evenings')
    const set = trials.getByRole('button', { name: 'Save comparison' })
    await expect(set).toBeDisabled()
    for (const lift of ['Back squat', 'Bench press']) await trials.getByLabel(lift).check()
    await trials.getByLabel('First period, from').fill('2026-01-05')
    await trials.getByLabel('to', { exact: true }).first().fill('2026-02-01')
    await trials.getByLabel('Second period, from').fill('2026-01-20')
    await trials.getByLabel('to', { exact: true }).last().fill('2026-03-01')
    await set.click()
    await expect(page.getByText(/two test periods that do not overlap/)).toBeVisible()
    await trials.getByLabel('Second period, from').fill('2026-02-02')
    await set.click()
    const card = trials.getByRole('article').filter({ hasText: 'Early or late' })
    await expect(card.getByText(/Back squat too few, Bench press too few/).first()).toBeVisible()
    await card.getByRole('button', { name: 'Neither' }).click()
    await expect(card.getByText(/: neither\./)).toBeVisible()
  })

  test('what is said of a session is kept, without a server too; a technique rating goes with its set', async ({
    page,
  }) => {
    await enter(page, 'Tamsin')
    await page.getByRole('button', { name: /^Start / }).click()
    await page.getByText('Sore from last time?').click()
    await page.getByRole('button', { name: 'still sore' }).first().click()
    await page.getByRole('button', { name: /^Change set/ }).click()
    await page.getByText('More about this set').click()
    await page.getByRole('group', { name: 'Technique' }).getByRole('button', { name: 'good' }).click()
    await page.getByRole('button', { name: 'Log this set' }).click()
    page.on('dialog', (dialog) => void dialog.accept())
    await page.getByRole('button', { name: 'Finish the session' }).click()
    const how = page.getByRole('region', { name: 'How was it' })
    await how
      .getByRole('group', { name: /How hard/ })
      .getByRole('button', { name: '7', exact: true })
      .click()
    await page.reload()
    await expect(
      how.getByRole('group', { name: /How hard/ }).getByRole('button', { name: '7', exact: true }),
    ).toHaveAttribute('aria-pressed', 'true')
  })
})
