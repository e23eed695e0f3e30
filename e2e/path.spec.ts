import { expect, test } from './site.ts'
import { enter, goPublishing, importTemplate, phone, publishTo, signIn, templateFile } from './people.ts'
import { pick } from './pickers.ts'

// The whole path: a cell in a template, a version, kilos on plates at a member, a logged set, and the next load moved.
test('from a cell in a template to a logged set, and back', async ({ browser }) => {
  const desk = await browser.newPage()
  await enter(desk, 'Wren')
  await importTemplate(desk, templateFile('Slipway start'))
  await expect(desk.getByLabel('Name of the template')).toHaveValue('Slipway start')

  await pick(desk, 'Loads of', 'Nell Saltby')
  const first = desk.getByRole('region', { name: 'Slipway day, day 1' })
  await expect(first.getByRole('gridcell', { name: /60 kg: how/ })).toBeVisible()
  // Nell gave a bench press of 5 reps: 75% of its estimate stands beside the line, and moves with the percent.
  const percent = first.getByRole('gridcell', { name: 'Load of Bench press: 75%' })
  const loads = first.getByRole('gridcell', { name: /: how it was worked out$/ })
  const before = await loads.nth(1).textContent()
  await percent.focus()
  await desk.keyboard.type('85')
  await expect(loads.nth(1)).not.toHaveText(before ?? '')
  await desk.keyboard.press('Escape')
  await expect(loads.nth(1)).toHaveText(before ?? '')
  await desk.keyboard.type('85')
  await desk.keyboard.press('Enter')
  await expect(first.getByRole('gridcell', { name: 'Load of Bench press: 85%' })).toBeVisible()
  await expect(loads.nth(1)).not.toHaveText(before ?? '')
  await expect(desk.getByText('Saved', { exact: true })).toBeVisible()

  await goPublishing(desk)
  await desk.getByRole('button', { name: 'Publish version 1 to 0 members' }).click()
  await expect(desk.getByText('Choose at least one member.')).toBeVisible()
  await desk.getByRole('link', { name: 'Back to the template' }).click()
  await publishTo(desk, 'Nell Saltby')
  await desk.getByRole('link', { name: 'Back to the template' }).click()

  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'nell@demo.example')
  const program = hand.locator('section').filter({ hasText: 'Slipway start' }).first()
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  await expect(program.getByText('Each side: 20 kg')).toBeVisible()
  await program.getByRole('button', { name: 'Done: 60 kg × 5' }).click()
  await program.getByRole('button', { name: 'Done: 60 kg × 5' }).click()
  await expect(program.getByText('Set 1 of 1')).toBeVisible()
  await program.getByRole('button', { name: /^Done: / }).click()
  await expect(program.getByText('1 of 1', { exact: true })).toBeVisible()
  await program.getByRole('button', { name: 'Finish the session' }).click()
  await expect(program.getByRole('heading', { name: 'Slipway day is done' })).toBeVisible()
  const next = program.getByRole('list', { name: 'What comes next' })
  await expect(next.getByText('3 × 5').or(next.getByText('2 × 5 @ 62.5 kg'))).toBeVisible()
  await expect(next.getByText(/was a hit on .*: \+2.5 kg → 62.5 kg/)).toBeVisible()

  // A slip is corrected after the session as well, and what comes next follows.
  await program.getByText('Correct what you logged').click()
  await program.getByText('60 kg × 5', { exact: true }).first().click()
  await program.getByRole('textbox', { name: 'Reps' }).first().fill('3')
  await program.getByRole('button', { name: 'Save the correction' }).first().click()
  await expect(
    next.getByText(/60 kg was missed on .* \(1 of 3 misses in a row\): the same again/),
  ).toBeVisible()
  await program.getByText('60 kg × 3').first().click()
  await program.getByRole('textbox', { name: 'Reps' }).first().fill('5')
  await program.getByRole('button', { name: 'Save the correction' }).first().click()
  await expect(next.getByText(/was a hit on .*: \+2.5 kg → 62.5 kg/)).toBeVisible()

  // Back at the desk the writer sees the member's progress in the same template.
  await desk.reload()
  await pick(desk, 'Loads of', 'Nell Saltby')
  await expect(desk.getByText('on this program')).toBeVisible()
  await expect(
    desk.getByRole('region', { name: 'Slipway day, day 2' }).getByRole('gridcell', { name: /62\.5 kg: how/ }),
  ).toBeVisible()
  await Promise.all([desk.close(), hand.close()])
})
