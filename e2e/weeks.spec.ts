import { expect, test } from './site.ts'
import type { Locator, Page } from '@playwright/test'
import { doSets, finish, onPhone, readWhy, train, type } from './onPhone.ts'
import { enter, goPublishing, importTemplate, inspect, publishTo, templateFile } from './people.ts'
import { choose } from './pickers.ts'

// What goes by days and weeks: days of rest, changes by the day, rungs and stages that last so many weeks, RIR that falls; and what is barely made.

const linear = { startLoad: { kg: 60, lb: 135 }, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 }
const first = { startLoad: { kg: 60, lb: 135 } }
const step = { kg: 2.5, lb: 5 }

/** The load of all weeks that a member's progress tells of: hardness times minutes. */
async function loadOf(hand: Page): Promise<number> {
  await hand.goto('/progress')
  await expect(hand.getByRole('heading', { name: 'Comparisons' })).toBeVisible()
  const rows = await hand.getByRole('region', { name: 'Session load' }).getByRole('row').allTextContents()
  const loads = await hand.getByRole('region', { name: 'Session load' }).getByRole('cell').allTextContents()
  // Sessions, load, and behind the bar monotony and strain.
  return rows.slice(1).reduce((sum, _, i) => sum + (Number(loads[4 * i + 1]) || 0), 0)
}

/** Opens the form of the progression that a lift has. */
async function openRule(page: Page, lift: string): Promise<Locator> {
  await page
    .getByRole('gridcell', { name: new RegExp(`^Sets of ${lift}`) })
    .first()
    .focus()
  await inspect(page, 'Progression')
  await page
    .getByRole('button', { name: new RegExp(`^Change the progression of ${lift}`) })
    .first()
    .click()
  return page.getByRole('dialog')
}

test('a day of rest and days in a row date the next session', async ({ browser, page }) => {
  await enter(page, 'Odell')
  await importTemplate(page, templateFile('Days of rest'))
  await page.getByRole('gridcell', { name: 'Sets of Back squat: 2' }).first().focus()
  await inspect(page, 'Phase')
  await choose(page.getByRole('combobox', { name: 'Add to the rotation' }), 'A day of rest')
  await expect(page.getByText('Day of rest', { exact: true })).toBeVisible()
  await page.getByText(/^More settings: days of its sessions/).click()
  const running = page.getByLabel('Most days in a row')
  await running.fill('0')
  await running.press('Enter')
  await expect(page.getByText('1 to 6, or empty for any.')).toBeVisible()
  await running.fill('2')
  await running.press('Enter')
  await choose(page.getByRole('combobox', { name: 'Sessions are on' }), 'fixed weekdays')
  await choose(page.getByRole('combobox', { name: 'Day 2', exact: true }), 'Friday')
  // The inspector follows the draft a moment later.
  await page.getByLabel('Day 2 on the same date as day 1').click()
  await expect(page.getByLabel('Day 2 on the same date as day 1')).toBeChecked()
  await expect(page.getByLabel('Hours after day 1')).toHaveValue('6')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(page.getByText('Day of rest', { exact: true })).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const { hand, program } = await onPhone(browser, 'Days of rest')
  await train(hand, program, 2)
  await expect(
    program.getByText(/^Planned for \w+day, \d+ \w+ \d{4}: 1 day of rest after Slipway day\.$/),
  ).toBeVisible()
  await expect(program.getByRole('button', { name: 'Start Slipway day early, today' })).toBeVisible()
  await hand.close()
})

test('a track has a change on one day of the week, and a deload of its own', async ({ browser, page }) => {
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('Day by day'),
    tracks: { light: { name: 'Light', changes: [] } },
  })
  await page.getByRole('gridcell', { name: 'Sets of Bench press: 1' }).first().focus()
  await inspect(page, 'Tracks')
  await page.getByRole('button', { name: 'Add a change…' }).click()
  await choose(page.getByRole('combobox', { name: 'Kind of change' }), 'Load by percent')
  await page.getByLabel('Days of the week').fill('0')
  await page.getByRole('button', { name: 'Add change' }).click()
  await page.getByLabel('Days of the week').fill('2')
  await page.getByRole('button', { name: 'Add change' }).click()
  await inspect(page, 'Phase')
  await page.getByRole('button', { name: 'Add a deload…' }).click()
  const deload = page.getByRole('dialog')
  await choose(deload.getByRole('combobox', { name: 'Kind of deload' }), 'Keep sets, cut load')
  await choose(deload.getByRole('combobox', { name: 'For whom' }), 'on Light')
  await deload.getByRole('button', { name: 'Add deload' }).click()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await goPublishing(page)
  await page.getByRole('checkbox', { name: 'Hal Tideman' }).check()
  await page.getByLabel('Start date').fill(new Date().toISOString().slice(0, 10))
  await page.getByText('First days, weeks that members see, tracks by rule and by hand').click()
  await page.getByLabel('Members may choose another track themselves').check()
  await page.getByRole('button', { name: 'Publish version 1 to 1 member' }).click()
  await expect(page.getByText(/Version 1 is published to 1 member/)).toBeVisible()

  const { hand, program } = await onPhone(browser, 'Day by day')
  await hand.goto('/progress')
  await hand.getByLabel('Track of Day by day').selectOption('light')
  await expect(hand.getByText('Saved. The track changes with the next plan week.')).toBeVisible()
  await hand.goto('/today')
  await expect(program.getByText('Day by day, Light')).toBeVisible()
  await train(hand, program, 2)
  await readWhy(hand, program, /^1 × 5 @ .*: how it was worked out$/, /track Light: load −10%/i)
  await hand.close()
})

test('a rung and a stage last a week each', async ({ browser, page }) => {
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('A week each'),
    phases: [{ id: 'p', name: 'Block', weeks: 4, rotation: ['d'], perWeek: 1 }],
    slots: {
      squat: { exercise: 'backSquat', uses: [{ progression: 'squat' }], rows: { p: ['2 x 5 @ rule'] } },
      bench: { exercise: 'benchPress', uses: [{ progression: 'bench' }], rows: { p: ['3 x 5 @ rule'] } },
    },
    progressions: {
      squat: {
        stages: [
          {
            id: 'one',
            rule: 'schemeLadder',
            params: {
              ...first,
              schemes: [
                { sets: 2, reps: 5, step },
                { sets: 1, reps: 3, step },
              ],
              misses: 2,
              backBy: 10,
            },
          },
        ],
      },
      bench: {
        stages: [
          { id: 'one', rule: 'linear', params: linear, until: { trigger: 'exposures', count: 9 } },
          { id: 'two', rule: 'linear', params: { ...linear, startLast: 90 } },
        ],
      },
    },
  })
  const rule = await openRule(page, 'Back squat')
  await rule.getByLabel('Scheme 1: for at most').fill('1')
  await rule.getByRole('button', { name: 'Save progression' }).click()
  await openRule(page, 'Bench press')
  await choose(rule.getByLabel('When to move on to the next progression'), 'A number of weeks')
  await rule.getByLabel('Weeks with the progression').fill('1')
  await rule.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const { hand, program } = await onPhone(browser, 'A week each')
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  await doSets(program, 2)
  await doSets(program, 3)
  await finish(hand, program)
  await readWhy(
    hand,
    program,
    /^1 × 3 @ .*: how it was worked out$/,
    /^1 week.* of 2 × 5 .* next 1 × 3 at the same load/i,
  )
  await readWhy(hand, program, /^3 × 5 @ .*: how it was worked out$/, /after 1 week/i)
  await hand.close()
})

test('what is barely made ends a square, and each drop has its record', async ({ browser, page }) => {
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('Barely made'),
    slots: {
      squat: { exercise: 'backSquat', uses: [{ progression: 'squat' }], rows: { p: ['2 x 2 @ rule'] } },
      bench: {
        exercise: 'benchPress',
        uses: [{ progression: 'top' }, { progression: 'drops' }],
        rows: { p: ['1 x 5 @ rule top set; 3 x AMRAP @ 90% top'] },
      },
    },
    progressions: {
      squat: {
        stages: [
          { id: 'one', rule: 'growingSquares', params: { ...first, sides: [2, 3], step, lowerBy: 10 } },
        ],
      },
      top: { stages: [{ id: 'one', rule: 'linear', params: linear }] },
      drops: { stages: [{ id: 'one', rule: 'dropRecords', params: { beat: 'tonnage' } }] },
    },
  })
  const rule = await openRule(page, 'Back squat')
  await choose(rule.getByLabel('The next scheme comes'), 'after a hit that is barely made, or a miss')
  await rule.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const { hand, program } = await onPhone(browser, 'Barely made')
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  await doSets(program, 1, 2)
  await program.getByRole('button', { name: 'Change set 2' }).first().click()
  await program.locator('summary:visible', { hasText: 'More about this set' }).first().click()
  await program
    .getByRole('textbox', { name: 'How many more could you have done?' })
    .filter({ visible: true })
    .first()
    .fill('0')
  await program
    .getByRole('button', { name: /^Log this set/ })
    .first()
    .click()
  await expect(program.getByText('2 of 2', { exact: true })).toBeVisible()
  await doSets(program, 1, 4)
  for (const [i, reps] of ['8', '9', '7'].entries()) {
    await program.getByRole('textbox', { name: 'Reps' }).last().fill(reps)
    await program.getByRole('button', { name: /^Log this set/ }).click()
    await expect(program.getByText(`${i + 2} of 4`, { exact: true })).toBeVisible()
  }
  await finish(hand, program)
  await readWhy(hand, program, /^3 × 3 @ .*: how it was worked out$/, /barely/i)
  await readWhy(hand, program, /AMRAP @ .*: how it was worked out$/, /the best at this drop is .* × 9/i)
  await hand.close()
})

test('RIR falls over the weeks from one cell, and rounds with a cap are trained', async ({
  browser,
  page,
}) => {
  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('Falling RIR'),
    phases: [{ id: 'p', name: 'Block', weeks: 3, rotation: ['d'], perWeek: 1 }],
    slots: {
      squat: { exercise: 'backSquat', rows: { p: ['2 x 5 @ effort R4'] } },
      bench: { exercise: 'burpee', rows: { p: ['5 rounds @ none'] } },
    },
    progressions: {},
  })
  await page
    .getByRole('gridcell', { name: /^RIR of Back squat/ })
    .first()
    .focus()
  await page.keyboard.type('3-0')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('gridcell', { name: 'RIR of Back squat: 3' }).first()).toBeVisible()
  await page.keyboard.press('PageDown')
  await expect(page.getByRole('gridcell', { name: 'RIR of Back squat: 2' }).first()).toBeVisible()
  await page.keyboard.press('PageDown')
  await expect(page.getByRole('gridcell', { name: 'RIR of Back squat: 0' }).first()).toBeVisible()
  await page.keyboard.press('PageUp')
  await page.keyboard.press('PageUp')
  await type(page, 'Sets of Burpee: 1', '5 rounds cap 20 min @ none')
  await inspect(page, 'Phase')
  await page.getByText('Reps by % of the 1RM').click()
  await expect(page.getByRole('row', { name: /^Week 1 of the phase .*100%/ })).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await publishTo(page, 'Hal Tideman')

  const { hand, program } = await onPhone(browser, 'Falling RIR')
  const before = await loadOf(hand)
  await hand.goto('/today')
  await expect(program.getByText(/5 rounds, at most 20:00/).first()).toBeVisible()
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  await doSets(program, 2)
  await program.getByRole('button', { name: 'Change set 1' }).last().click()
  await program.getByRole('textbox', { name: 'Rounds', exact: true }).fill('4')
  await program.getByRole('textbox', { name: 'Reps in the next round' }).fill('12')
  await program.getByRole('button', { name: /^Log this set/ }).click()
  await expect(program.getByText(/4 rounds and 12 reps/).first()).toBeVisible()
  await finish(hand, program)
  // Hardness times minutes is the load of the session.
  await program
    .getByRole('group', { name: /How hard/ })
    .getByRole('button', { name: '7', exact: true })
    .click()
  await program.getByLabel('How many minutes did it take?').fill('60')
  await program.getByLabel('How many minutes did it take?').press('Enter')
  await readWhy(hand, program, /^2 × 5 @ .*: how it was worked out$/, /5 reps @ 2 RIR/)
  await expect.poll(() => loadOf(hand)).toBe(before + 420)
  await hand.close()
})

test('a step takes two hits, a cut goes to today’s max, and small plates go on a pin', async ({
  browser,
  page,
}) => {
  // Somebody with stacks of their own, in steps of 10 kg with a plate of 2.5 on top.
  const { hand, program } = await onPhone(browser, 'On a pin', 'dilys')
  await hand.getByRole('link', { name: 'Equipment' }).click()
  await hand.getByLabel('Stacks and cables, kg').fill('')
  await hand.getByLabel('Plates to put on a pin, kg').fill('2,5')
  await hand.getByRole('button', { name: 'Save equipment' }).click()
  await expect(hand.getByText('List the pins first.')).toBeVisible()
  await hand.getByLabel('Stacks and cables, kg').fill('10-100 by 10')
  await hand.getByRole('button', { name: 'Save equipment' }).click()
  await expect(hand.getByText('Saved.', { exact: true })).toBeVisible()
  await hand.getByLabel('I usually train at').selectOption({ label: 'My own' })
  await expect(hand.getByText('Saved. Your next session uses it.').first()).toBeVisible()

  await enter(page, 'Odell')
  await importTemplate(page, {
    ...templateFile('On a pin'),
    sessions: { d: { name: 'Slipway day', sections: [{ name: 'Main', slots: ['squat'] }] } },
    slots: {
      squat: { exercise: 'legPress', uses: [{ progression: 'squat' }], rows: { p: ['2 x 5 @ rule'] } },
    },
    progressions: {
      squat: {
        stages: [{ id: 'one', rule: 'linear', params: { ...linear, startLoad: { kg: 42.5, lb: 90 } } }],
      },
    },
  })
  const rule = await openRule(page, 'Leg press')
  await rule.getByRole('button', { name: /^More settings/ }).click()
  await rule.getByLabel('Hits before the step').fill('2')
  await choose(rule.getByLabel('Cut from'), 'the max')
  await rule.getByRole('button', { name: 'Save progression' }).click()
  await expect(
    rule.getByText('Expected “Cut from”: the max, only where the first load is a percentage of the max.'),
  ).toBeVisible()
  await choose(rule.getByLabel('Cut from'), 'the load that was missed')
  await rule.getByRole('button', { name: 'Save progression' }).click()
  await expect(page.getByText(/After 2 hits in a row: \+2\.5 kg/).first()).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await publishTo(page, 'Dilys Sluice')

  await hand.goto('/today')
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  await expect(program.getByText('Pin at 40, on top of it 2.5 kg.')).toBeVisible()
  await doSets(program, 2)
  await finish(hand, program)
  await readWhy(
    hand,
    program,
    /^2 × 5 @ 42\.5 kg.*: how it was worked out$/,
    /was a hit on .*: 1 of 2 hits to the next step/i,
  )
  await hand.close()
})
