import { expect, test } from './site.ts'
import { choose } from './pickers.ts'
import { onPhone, readWhy, train, type } from './onPhone.ts'
import { enter, importTemplate, inspect, publishTo, templateFile } from './people.ts'

// What a template says of later on: hand-overs, records, turns, loads of before, deloads for some, and phases still to be written.

const linear = { startLoad: { kg: 60, lb: 135 }, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 }

test('a lift is handed over to a rule with other roles and other sets', async ({ browser, page }) => {
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('Handed over'),
    progressions: {
      squat: {
        stages: [
          { id: 'one', rule: 'linear', params: linear, until: { trigger: 'exposures', count: 1 } },
          { id: 'two', rule: 'linear', params: linear },
        ],
      },
    },
  })
  await page.getByRole('gridcell', { name: 'Sets of Back squat: 2' }).first().focus()
  await inspect(page, 'Progression')
  await page.getByRole('button', { name: 'Change' }).last().click()
  await choose(
    page.getByRole('dialog').getByRole('combobox', { name: 'Progression' }),
    'Volume, light and heavy day',
  )
  await page.getByRole('button', { name: 'Save progression' }).click()
  const then = page.getByRole('group', { name: 'Sets once Volume, light and heavy day takes over' })
  await then.getByRole('button', { name: 'One for each day of the week' }).click()
  const first = then.getByLabel('Sets on day 1')
  await first.fill('some more')
  await first.press('Enter')
  await expect(then.getByText(/^Reps: 5, 8-10, 5\+ or AMRAP/)).toBeVisible()
  await first.fill('4 x 3 @ rule')
  await first.press('Enter')
  const second = then.getByLabel('Sets on day 2')
  await second.fill('1 x 3 @ 80% volume')
  await second.press('Enter')
  await expect(first).toHaveValue('4 × 3 @ progression rest 2:00')
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const { hand, program } = await onPhone(browser, 'Handed over')
  await expect(program.getByText('2 × 5 @ 60 kg')).toBeVisible()
  await train(hand, program, 2)
  // The second day of the week is a light day, which needs a volume day first; the third is a volume day with its own sets.
  await expect(program.getByText(/volume day/).first()).toBeVisible()
  await hand.close()
})

test('loads go on from last time, and from what another lift is to move', async ({ browser, page }) => {
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('From before'),
    sessions: { d: { name: 'Slipway day', sections: [{ name: 'Main', slots: ['bench', 'squat'] }] } },
    slots: {
      squat: { exercise: 'backSquat', rows: { p: ['2 x 5 @ 60% rest 2 min'] } },
      bench: { exercise: 'benchPress', rows: { p: ['1 x 5 @ 75% rest 90 s'] } },
    },
    progressions: {},
  })
  await type(page, 'Sets of Bench press: 1', '2 x 5 @ last + 2,5 kg / 5 lb')
  await expect(
    page.getByRole('gridcell', { name: 'Load of Bench press: last +2.5kg/5lb' }).first(),
  ).toBeVisible()
  await type(page, 'Sets of Back squat: 2', '5 x 5 @ 10x bench press max in all')
  await expect(
    page.getByRole('gridcell', { name: 'Load of Back squat: 10× bench press max in all' }).first(),
  ).toBeVisible()
  await type(page, 'Sets of Back squat: 5', '5 rounds cap 20 min @ none')
  await expect(
    page.getByRole('gridcell', { name: 'Reps of Back squat: 5 rounds, at most 20:00' }).first(),
  ).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const { hand, program } = await onPhone(browser, 'From before')
  await readWhy(
    hand,
    program,
    /^5 × 5 @ .*: how it was worked out$/,
    /^10 × the bench press max of .* as total tonnage/,
  )
  await train(hand, program, 2)
  await program
    .getByRole('button', { name: /^2 × 5 @ .*: how it was worked out$/ })
    .last()
    .click()
  await expect(hand.getByText(/^last time, on /i)).toBeVisible()
  await expect(hand.getByText(/^and 2\.5 kg more$/i)).toBeVisible()
  await hand.close()
})

test('a record stands at its load, to be beaten', async ({ browser, page }) => {
  const params = {
    loads: [{ startPercent: 60 }],
    sets: 2,
    beat: 'sum',
    upAt: 40,
    step: { kg: 2.5, lb: 5 },
  }
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('Records'),
    progressions: { squat: { stages: [{ id: 'one', rule: 'standingRecords', params }] } },
  })
  await inspect(page, 'Template')
  await page.getByRole('region', { name: 'Progressions' }).getByRole('button', { name: 'Change' }).click()
  await page.getByLabel('The load goes up at').fill('50')
  await page.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByText(/At 50 reps: \+2\.5 kg/).first()).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const { hand, program } = await onPhone(browser, 'Records')
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  for (const [i, reps] of ['12', '9'].entries()) {
    await expect(program.getByText(`Set ${i + 1} of 2: as many good reps as you have`)).toBeVisible()
    await program.getByRole('textbox', { name: 'Reps' }).last().fill(reps)
    await program.getByRole('button', { name: 'Log this set' }).click()
    await expect(program.getByText(`${i + 1} of 2`, { exact: true })).toBeVisible()
  }
  hand.once('dialog', (dialog) => void dialog.accept())
  await program.getByRole('button', { name: 'Finish the session' }).click()
  await readWhy(
    hand,
    program,
    /^2 × AMRAP @ .*: how it was worked out$/,
    /^the best sum of 2 sets at .* kg is 21 reps, of .*: beat it$/i,
  )
  await hand.close()
})

test('a grip takes turns by exposure, and a deload is for some', async ({ browser, page }) => {
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('Turns and deloads'),
    phases: [{ id: 'p', name: 'Block', weeks: 3, rotation: ['d'], perWeek: 1 }],
  })
  await page.getByRole('gridcell', { name: 'Sets of Back squat: 2' }).first().focus()
  await inspect(page, 'Progression')
  const variant = page.getByLabel('Add a variant of Back squat to the rotation')
  await variant.fill('paused')
  await variant.press('Enter')
  await choose(page.getByRole('combobox', { name: 'Counted in' }), 'exposures')
  await choose(page.getByRole('combobox', { name: 'Change after every' }), '1')
  await inspect(page, 'Phase')
  await page.getByRole('button', { name: 'Add a deload…' }).click()
  const deload = page.getByRole('dialog')
  await choose(deload.getByRole('combobox', { name: 'Kind of deload' }), 'Keep sets, cut load')
  await deload.getByLabel('3', { exact: true }).uncheck()
  await deload.getByLabel('2', { exact: true }).check()
  await choose(
    deload.getByRole('combobox', { name: 'For whom' }),
    'up to three years of training, or not told',
  )
  await deload.getByRole('button', { name: 'Add deload' }).click()
  await expect(page.getByText(/under one year of training/).first()).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const { hand, program } = await onPhone(browser, 'Turns and deloads')
  await train(hand, program, 2)
  // The next week is the deload, and the grip’s turn has come.
  await expect(program.getByText(/Back squat, paused/).last()).toBeVisible()
  await readWhy(hand, program, /^2 × 5 @ .*: how it was worked out$/, /^deload: /i)
  await hand.close()
})

test('a phase is left open, said to the member, and written when its time comes', async ({
  browser,
  page,
}) => {
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('To be written'),
    phases: [{ id: 'p', name: 'Block', weeks: 1, rotation: ['d'], perWeek: 1 }],
  })
  await inspect(page, 'Template')
  const open = page.getByRole('region', { name: 'Phases still to be written' })
  await open.getByRole('button', { name: 'Leave a phase open' }).click()
  await open.getByLabel('Weeks').fill('0')
  await open.getByLabel('Weeks').press('Enter')
  await expect(open.getByText('1 to 60, or empty.')).toBeVisible()
  await open.getByLabel('Weeks').fill('2')
  await open.getByLabel('Weeks').press('Enter')
  await expect(page.getByText('Peak, 2 weeks: to be written')).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const { hand, program } = await onPhone(browser, 'To be written')
  await expect(program.getByText('After this week: Peak, still being written.')).toBeVisible()
  await train(hand, program, 2)
  await hand.close()

  await page.getByRole('link', { name: 'Templates', exact: true }).click()
  await page.getByRole('link', { name: 'To be written' }).first().click()
  await inspect(page, 'Template')
  await open.getByRole('button', { name: 'Write it now' }).click()
  await expect(page.getByText('Peak, 2 weeks: to be written')).toBeHidden()
  await expect(page.getByRole('button', { name: /^Week 3\b/ }).first()).toBeVisible()
})
