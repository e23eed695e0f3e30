import { expect, test } from './site.ts'
import { enter, importTemplate, inspect, phone, publishTo, signIn, templateFile } from './people.ts'

test('sets for as many reps as possible, sets of which some are free, and rests from so long to so long are typed, trained, and say why', async ({
  browser,
  page,
}) => {
  await enter(page, 'Odell')
  await importTemplate(page, templateFile('As many as possible'))
  await expect(page.getByLabel('Name of the template')).toHaveValue('As many as possible')
  const type = async (cell: string, text: string) => {
    await page.getByRole('gridcell', { name: cell }).first().focus()
    await page.keyboard.type(text)
    await page.keyboard.press('Shift+Enter')
  }
  await type('Sets of Back squat: 2', '3 x 5+ every set rest 1-180 s')
  await expect(page.getByRole('gridcell', { name: 'Reps of Back squat: 5+ every set' }).first()).toBeVisible()
  await type('Sets of Bench press: 1', '1-2 x 5')
  await expect(page.getByRole('gridcell', { name: 'Sets of Bench press: 1-2' }).first()).toBeVisible()
  // Upside down, and refused where it is typed.
  await page.getByRole('gridcell', { name: 'Sets of Bench press: 1-2' }).first().focus()
  await page.keyboard.type('3-2 x 5')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/The fewest sets: a whole number from 1 to 2/)).toBeVisible()
  await page.keyboard.press('Escape')

  await publishTo(page, 'Hal Tideman')

  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'hal@demo.example')
  const program = hand.locator('section').filter({ hasText: 'As many as possible' }).first()
  await expect(program.getByText('3 × 5+ every set @ 60 kg')).toBeVisible()
  await program
    .getByRole('button', { name: /: how it was worked out$/ })
    .first()
    .click()
  await expect(hand.getByText(/first load/i).first()).toBeVisible()
  await hand.keyboard.press('Escape')
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  for (const [i, reps] of ['9', '7', '5'].entries()) {
    await expect(
      program.getByText(`Set ${i + 1} of 3: as many good reps as you have`, { exact: true }),
    ).toBeVisible()
    await program.getByRole('textbox', { name: 'Reps' }).last().fill(reps)
    await program.getByRole('button', { name: 'Log this set' }).click()
  }
  // The shortest rest is over at once, and there is time until the longest.
  await expect(program.getByText('Rested 0:01: go on by 3:00')).toBeVisible()
  // One set is enough; the second is free.
  await program
    .getByRole('button', { name: /^Done: / })
    .first()
    .click()
  await expect(program.getByText(/Set 2 of 2: optional/)).toBeVisible()
  await hand.close()
})

test('a rule of AMRAP sets is told to take its larger step twice far beyond what was asked', async ({
  page,
}) => {
  const params = {
    startLoad: { kg: 60, lb: 135 },
    step: { kg: 2.5, lb: 5 },
    extraReps: 3,
    extraStep: { kg: 5, lb: 10 },
    misses: 1,
    resetBy: 10,
  }
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('Far beyond'),
    sessions: { d: { name: 'Slipway day', sections: [{ name: 'Main', slots: ['squat'] }] } },
    slots: {
      squat: { exercise: 'backSquat', uses: [{ progression: 'squat' }], rows: { p: ['1 x 5+ @ rule'] } },
    },
    progressions: { squat: { stages: [{ id: 'one', rule: 'amrapSet', params }] } },
  })
  await expect(page.getByLabel('Name of the template')).toHaveValue('Far beyond')
  await inspect(page, 'Template')
  await page.getByRole('region', { name: 'Progressions' }).getByRole('button', { name: 'Change' }).click()
  await page.getByRole('button', { name: /^More settings/ }).click()
  const far = page.getByLabel('Extra reps for twice the larger step')
  await far.fill('3')
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByRole('alert')).toHaveText(
    'Expected “Extra reps for twice the larger step” above “Extra reps for the larger step”.',
  )
  await far.fill('5')
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByText(/from 5 on twice that/).first()).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
})
