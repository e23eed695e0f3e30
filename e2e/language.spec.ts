import { expect, test } from './site.ts'
import { choose, pick } from './pickers.ts'
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

test('totals, drills with a result and what the member decides are typed, trained until they are reached, and say why', async ({
  browser,
  page,
}) => {
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('Totals and drills'),
    sessions: { d: { name: 'Slipway day', sections: [{ name: 'Main', slots: ['pull', 'hang', 'jumps'] }] } },
    slots: {
      pull: { exercise: 'pullUp', rows: { p: ['3 x 5 @ none'] } },
      hang: { exercise: 'plank', uses: [{ progression: 'hang' }], rows: { p: ['2 x 2:00 in all @ none'] } },
      jumps: { exercise: 'boxJump', rows: { p: ['1 x 5 @ none'] } },
    },
    progressions: {
      hang: {
        stages: [
          {
            id: 'one',
            rule: 'moreAmount',
            params: { first: 120, add: 15, most: 300, misses: 2, lowerBy: 10 },
          },
        ],
      },
    },
  })
  await expect(page.getByLabel('Name of the template')).toHaveValue('Totals and drills')
  const type = async (cell: string, text: string) => {
    await page.getByRole('gridcell', { name: cell }).first().focus()
    await page.keyboard.type(text)
    await page.keyboard.press('Shift+Enter')
  }
  await type('Reps of Pull-up: 5', '40 in all, any sets')
  await expect(
    page.getByRole('gridcell', { name: 'Reps of Pull-up: 40 in all, any sets' }).first(),
  ).toBeVisible()
  await type('Reps of Box jump: 5', 'do: broad jumps (result in m)')
  await expect(
    page.getByRole('gridcell', { name: 'Reps of Box jump: do: broad jumps (result in m)' }).first(),
  ).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'hal@demo.example')
  const program = hand.locator('section').filter({ hasText: 'Totals and drills' }).first()
  await expect(program.getByText('40 total reps, in as many sets as it takes')).toBeVisible()
  await expect(program.getByText('2:00 in all within 2 sets')).toBeVisible()
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  const log = async (field: string, value: string, logged: string) => {
    await program.getByRole('textbox', { name: field }).last().fill(value)
    await program.getByRole('button', { name: 'Log this set' }).click()
    await expect(program.getByText(logged).last()).toBeVisible()
  }
  await expect(program.getByText('Set 1: 0 of 40 in all so far')).toBeVisible()
  await log('Reps', '15', '1 of 3')
  await log('Reps', '10', '2 of 3')
  await log('Reps', '8', '3 of 4')
  await expect(program.getByText('Set 4: 33 of 40 in all so far')).toBeVisible()
  await log('Reps', '7', '4 of 4')
  await expect(program.getByText('Set 1 of 2: 0:00 of 2:00 in all so far')).toBeVisible()
  // The time is reached in one hold: the second is not asked any more.
  await log('Time', '2:00', '1 of 1')
  await expect(program.getByText('Set 2 of 2')).toBeHidden()
  await log('Metres', '2.1', '2.1 m')
  await program.getByRole('button', { name: 'Finish the session' }).click()
  await expect(program.getByText('2:15 in all within 2 sets')).toBeVisible()
  await hand.close()
})

test('a slot offers several exercises; the member chooses one, and their writer another for them', async ({
  browser,
  page,
}) => {
  await enter(page, 'Odell')
  await importTemplate(page, templateFile('One of several'))
  await page.getByRole('gridcell', { name: 'Sets of Bench press: 1' }).first().focus()
  await page.getByRole('region', { name: 'Exercise Bench press' }).waitFor()
  await page.getByText(/^More settings: /).click()
  await pick(page, 'Add an exercise to choose', 'Overhead press')
  await expect(page.getByRole('button', { name: 'Remove Overhead press from the choices' })).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'hal@demo.example')
  const program = hand.locator('section').filter({ hasText: 'One of several' }).first()
  await expect(program.getByRole('heading', { name: 'Bench press' })).toBeVisible()
  await program.getByLabel('Your choice of exercise').selectOption('Overhead press')
  await expect(program.getByRole('heading', { name: 'Overhead press' })).toBeVisible()
  await program
    .getByRole('button', { name: /^1 × 5.*: how it was worked out$/ })
    .last()
    .click()
  await expect(hand.getByText('chosen in place of Bench press: Overhead press')).toBeVisible()
  await hand.keyboard.press('Escape')

  await page.getByRole('link', { name: 'Members', exact: true }).click()
  await page.getByRole('link', { name: 'Progress of Hal Tideman' }).click()
  const choice = page.getByLabel('Exercise in Slipway day: Bench press or Overhead press')
  await expect(choice).toHaveValue('overheadPress')
  await choice.selectOption('Bench press')
  await expect(page.getByText('Bench press from the next session on.')).toBeVisible()
  await hand.reload()
  await expect(program.getByRole('heading', { name: 'Bench press' })).toBeVisible()
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  await program
    .getByRole('button', { name: /^Done: 60 kg/ })
    .first()
    .click()
  await expect(program.getByText('1 of 2', { exact: true })).toBeVisible()
  await hand.close()
})

test('a band of loads is typed, shown with both ends, and trained at what the member chooses', async ({
  browser,
  page,
}) => {
  await enter(page, 'Odell')
  await importTemplate(page, templateFile('From so much to so much'))
  const cell = (name: string) => page.getByRole('gridcell', { name }).first()
  await cell('Load of Bench press: 75%').focus()
  await page.keyboard.type('85-80%')
  await page.keyboard.press('Enter')
  await expect(page.getByText('A band goes up, to 150% at most: 80-85%, not 85-80%.')).toBeVisible()
  await page.keyboard.press('Escape')
  await cell('Load of Bench press: 75%').focus()
  await page.keyboard.type('80-85%')
  await page.keyboard.press('Shift+Enter')
  await expect(cell('Load of Bench press: 80-85%')).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'hal@demo.example')
  const program = hand.locator('section').filter({ hasText: 'From so much to so much' }).first()
  const band = /1 × 5 @ ([\d.]+)-([\d.]+) kg/
  await program.getByRole('button', { name: band }).click()
  await expect(hand.getByText('80% to 85% of the 1RM')).toBeVisible()
  await expect(hand.getByText(/^Up to [\d.]+ kg, as you choose$/i)).toBeVisible()
  await hand.keyboard.press('Escape')
  const [, least = '', most = ''] =
    band.exec((await program.getByText(band).first().textContent()) ?? '') ?? []
  expect(Number(least)).toBeLessThan(Number(most))
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  await program.getByRole('button', { name: /^B, Bench press/ }).click()
  await program.getByRole('button', { name: 'Change set 1' }).click()
  await program
    .getByRole('textbox', { name: /^Load, kg/ })
    .last()
    .fill(most)
  await program.getByRole('button', { name: 'Log this set' }).click()
  await expect(program.getByText(`${most} kg × 5`, { exact: true })).toBeVisible()
  await hand.close()
})

test('a wave is given AMRAP sets in its form, and they are trained', async ({ browser, page }) => {
  const params = {
    startLoad: { kg: 60, lb: 135 },
    parts: [
      { sets: 2, reps: 5 },
      { sets: 2, reps: 3 },
    ],
    step: { kg: 5, lb: 10 },
    nextWave: { kg: 2.5, lb: 5 },
    misses: 1,
    resetBy: 10,
  }
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('Plus sets in waves'),
    progressions: { squat: { stages: [{ id: 'one', rule: 'wave', params }] } },
  })
  await inspect(page, 'Template')
  await page.getByRole('region', { name: 'Progressions' }).getByRole('button', { name: 'Change' }).click()
  await choose(page.getByRole('combobox', { name: 'AMRAP sets' }), 'the last set')
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByText(/2 × 3, the last set for as many good reps as possible/).first()).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'hal@demo.example')
  const program = hand.locator('section').filter({ hasText: 'Plus sets in waves' }).first()
  await expect(program.getByText('1 × 5, 5+ @ 60 kg')).toBeVisible()
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  await program
    .getByRole('button', { name: /^Done: 60 kg/ })
    .first()
    .click()
  await expect(program.getByText('Set 2 of 2: as many good reps as you have')).toBeVisible()
  await hand.close()
})

test('sets go on until something happens, and as many are the fewest the next time', async ({
  browser,
  page,
}) => {
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('As many as last time'),
    sessions: { d: { name: 'Slipway day', sections: [{ name: 'Main', slots: ['squat'] }] } },
    slots: { squat: { exercise: 'backSquat', rows: { p: ['5 x 2 @ 60%'] } } },
    progressions: {},
  })
  await page.getByRole('gridcell', { name: 'Sets of Back squat: 5' }).first().focus()
  await page.keyboard.type('5 x 2 @ 60% at least 2, until the bar slows')
  await page.keyboard.press('Shift+Enter')
  await inspect(page, 'Progression')
  await choose(page.getByRole('combobox', { name: 'New progression' }), 'As many sets as last time')
  await page.getByRole('button', { name: 'Add As many sets as last time' }).click()
  await expect(page.getByText(/At least 3 sets to begin with; then at least as many/).first()).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'hal@demo.example')
  const program = hand.locator('section').filter({ hasText: 'As many as last time' }).first()
  await expect(program.getByText(/^3-5 × 2 @ /)).toBeVisible()
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  for (const n of [1, 2, 3, 4]) {
    await program
      .getByRole('button', { name: /^Done: / })
      .first()
      .click()
    await expect(program.getByText(`${n} of 5`, { exact: true })).toBeVisible()
  }
  hand.once('dialog', (dialog) => void dialog.accept())
  await program.getByRole('button', { name: 'Finish the session' }).click()
  await expect(program.getByText(/^4-5 × 2 @ /).last()).toBeVisible()
  await program
    .getByRole('button', { name: /^4-5 × 2 @ .*: how it was worked out$/ })
    .last()
    .click()
  await expect(hand.getByText(/^4 sets on .*: at least 4 next$/)).toBeVisible()
  await hand.close()
})
