import { expect, test } from './site.ts'
import { enter, goPublishing, importTemplate, phone, signIn, templateFile } from './people.ts'

const published = (page: import('@playwright/test').Page) =>
  page.getByRole('region', { name: 'Published so far' }).getByRole('listitem')

test('a version is looked at before it is published, corrected, and taken back', async ({
  browser,
  page,
}) => {
  await enter(page, 'Odell')
  await importTemplate(page, templateFile('Tide table'))
  await expect(page.getByLabel('Name of the template')).toHaveValue('Tide table')
  await goPublishing(page)
  await page.getByLabel('Name contains').fill('hal')
  await page.getByRole('checkbox', { name: 'Hal Tideman' }).check()
  // Enter in a field publishes nothing.
  await page.getByLabel('Name contains').press('Enter')
  await page.getByLabel('Start date').fill(new Date().toISOString().slice(0, 10))
  await expect(page.getByText('Worked out for 1 of 1 member')).toBeVisible()
  await expect(page.getByRole('button', { name: /1 starts the program/ })).toBeVisible()
  await page.getByRole('button', { name: 'Publish version 1 to 1 member' }).click()
  await expect(page.getByText(/Version 1 is published to 1 member/)).toBeVisible()

  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'hal@demo.example')
  const program = hand.locator('section').filter({ hasText: 'Tide table' }).first()
  await expect(program.getByRole('button', { name: 'Start Slipway day' })).toBeVisible()

  // A heavier second version: what changes is listed, and old beside new loads.
  await page.getByRole('link', { name: 'Back to the template' }).click()
  await page.getByRole('gridcell', { name: 'Load of Bench press: 75%' }).first().focus()
  await page.keyboard.type('85')
  await page.keyboard.press('Shift+Enter')
  await goPublishing(page)
  await page.getByText('1 change since version 1').click()
  await expect(page.getByText('load 75% → 85%', { exact: true })).toBeVisible()
  await page.getByLabel('Name contains').fill('hal')
  await page.getByRole('checkbox', { name: 'Hal Tideman' }).check()
  await page.getByRole('button', { name: /different sets or loads/ }).click()
  await page.getByRole('button', { name: 'old and new loads' }).click()
  await expect(
    page.getByText(/Week 1, day 1, Bench press: 1 × 5 @ .* kg → 1 × 5 @ .* kg/).first(),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Leave out Hal Tideman' }).click()
  await expect(page.getByRole('heading', { name: 'To whom: 0 members' })).toBeVisible()
  await page.getByRole('checkbox', { name: 'Hal Tideman' }).check()
  await page.getByRole('button', { name: 'Publish version 2 to 1 member' }).click()
  await expect(page.getByText(/Version 2 is published to 1 member/)).toBeVisible()
  await expect(published(page)).toHaveCount(2)

  // Corrected on the same day: the first one is taken back at the same moment.
  await published(page).first().getByRole('button', { name: 'Correct…' }).click()
  await expect(page.getByText(/Publishing this takes version 2/)).toBeVisible()
  await expect(page.getByRole('heading', { name: 'To whom: 1 member' })).toBeVisible()
  await page.getByRole('button', { name: 'Publish version 2 to 1 member' }).click()
  await expect(published(page)).toHaveCount(3)
  await expect(published(page).nth(1)).toContainText('taken back on')

  await published(page).first().getByRole('button', { name: 'Take back…' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('1 member goes back; 0 have started.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Take back' }).click()
  await expect(published(page).first()).toContainText('taken back on')
  await published(page).nth(2).getByRole('button', { name: 'Take back…' }).click()
  await dialog.getByRole('button', { name: 'Take back' }).click()
  await expect(published(page).nth(2)).toContainText('taken back on')
  await hand.reload()
  await expect(hand.getByRole('button', { name: 'Sign out' })).toBeVisible()
  await expect(
    hand
      .getByRole('heading', { level: 1 })
      .or(hand.getByRole('heading', { level: 2 }))
      .first(),
  ).toBeVisible()
  await expect(program).toBeHidden()
  await hand.close()
})

test('a slip of the year is refused beside the date, and nothing is published', async ({ page }) => {
  await enter(page, 'Odell')
  await page.getByRole('link', { name: 'Estuary waves' }).click()
  await goPublishing(page)
  await page.getByRole('checkbox', { name: 'Hal Tideman' }).check()
  await page.getByLabel('Start date').fill('9999-01-04')
  await page.getByLabel('Note for the version (optional)').fill('Nothing yet')
  await page.getByRole('button', { name: 'Publish version 1 to 1 member' }).click()
  await expect(page.getByText('A start lies within two years from today.')).toBeVisible()
  await expect(page.getByLabel('Note for the version (optional)')).toHaveValue('Nothing yet')
  await expect(published(page)).toHaveCount(1)
})

test('another program goes on beside the new one or ends, as the writer says', async ({ browser, page }) => {
  await enter(page, 'Odell')
  await importTemplate(page, templateFile('Slack water'))
  await expect(page.getByLabel('Name of the template')).toHaveValue('Slack water')
  await goPublishing(page)
  await page.getByRole('checkbox', { name: 'Yorick Bight' }).check()
  await page.getByLabel('Start date').fill(new Date().toISOString().slice(0, 10))
  await expect(page.getByText(/1 of these members keeps another program beside this one/)).toBeVisible()
  await expect(page.getByRole('button', { name: /1 keeps another program/ })).toBeVisible()
  await page.getByLabel('Other programs of these members').click()
  await page.getByRole('option', { name: 'end on the start date' }).click()
  await expect(page.getByText(/Other programs of 1 of these members end on that day/)).toBeVisible()
  await page.getByRole('button', { name: /1 ends another program/ }).click()
  await page.getByRole('button', { name: 'Publish version 1 to 1 member' }).click()
  await expect(page.getByText(/Version 1 is published to 1 member/)).toBeVisible()
  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'yorick@demo.example')
  await expect(hand.getByRole('button', { name: 'Start Slipway day' })).toBeVisible()
  await expect(hand.locator('section').filter({ hasText: 'Regatta ladder' })).toHaveCount(0)

  // The member ends it and goes on with it again.
  await hand.getByRole('link', { name: 'Progress' }).click()
  const programs = hand.getByRole('region', { name: 'Programs' })
  await programs.getByText('End this program').click()
  await programs.getByLabel('Why').selectOption('travel')
  await programs.getByRole('button', { name: 'End Slack water' }).click()
  await expect(programs.getByText(/ended on .* \(travel\)/)).toBeVisible()
  await hand.getByRole('link', { name: 'Today' }).click()
  await expect(hand.getByText('No program at the moment')).toBeVisible()
  await hand.getByRole('main').getByRole('link', { name: 'Progress' }).click()
  await programs.getByRole('button', { name: 'Resume Slack water' }).click()
  await expect(programs.getByText('End this program')).toBeVisible()
  await hand.getByRole('link', { name: 'Today' }).click()
  await expect(hand.getByRole('button', { name: 'Start Slipway day' })).toBeVisible()
  await hand.close()
})
