import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, test } from './site.ts'
import { enter, goPublishing, importTemplate, phone, signIn, templateFile } from './people.ts'

const light = { id: 'l', do: { kind: 'scaleLoad', by: -10 }, where: {} }
const choose = async (page: Page, label: string, option: string) => {
  await page.getByLabel(label, { exact: true }).click()
  await page.getByRole('option', { name: option, exact: true }).click()
}
/** The programs of a member, on the page that says how they do. */
const programs = (page: Page) => page.getByRole('region', { name: 'Programs' })

test('a program follows another on the track that a rule gives; the member changes it, pauses it, and sees who was there', async ({
  browser,
  page,
}) => {
  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'gwil@demo.example')
  await hand.goto('/profile')
  for (const day of ['Mon', 'Thu']) await hand.getByRole('button', { name: day, exact: true }).click()
  await hand.getByRole('button', { name: '45', exact: true }).click()
  await expect(hand.getByText('Most training days in a row')).toBeVisible()

  await enter(page, 'Wren')
  // What a member has said stands in their profile for the writer.
  await page.getByRole('link', { name: 'Members', exact: true }).click()
  await page.getByRole('link', { name: 'Profile of Gwil Penhale' }).click()
  await expect(page.getByRole('button', { name: 'Mon', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByRole('button', { name: 'Tue', exact: true })).toHaveAttribute(
    'aria-pressed',
    'false',
  )

  const file = { ...templateFile('Slack water'), tracks: { light: { name: 'Light', changes: [light] } } }
  await importTemplate(page, file)
  await expect(page.getByLabel('Name of the template')).toHaveValue('Slack water')
  await goPublishing(page)
  await page.getByRole('checkbox', { name: 'Gwil Penhale' }).check()
  await page.getByLabel('Start date').fill(new Date().toISOString().slice(0, 10))
  await page.getByText('First days, weeks that members see, tracks by rule and by hand').click()
  await page.getByLabel('Members may choose another track themselves').check()
  await choose(page, 'Other programs of these members', 'are done first, then this one starts')
  await page.getByRole('button', { name: 'Add a track rule' }).click()
  await page.getByLabel('Days a week').fill('9')
  await page.getByRole('button', { name: /^Publish version 1/ }).click()
  await expect(page.getByText('Days a week are a whole number from 1 to 7.')).toBeVisible()
  await page.getByLabel('Days a week').fill('3')
  await choose(page, 'Track of rule 1', 'Light')
  await expect(
    page.getByText(/Tracks by rule; all others keep their track[.] Members may choose/),
  ).toBeVisible()
  await expect(
    page.getByRole('button', { name: /1 starts this program after the current one/ }),
  ).toBeVisible()
  // From the list of whom it concerns, they are put on a track by hand, and taken off it again.
  await page.getByRole('button', { name: /1 starts this program after the current one/ }).click()
  await choose(page, 'Put this member on a track', 'as written')
  await expect(page.getByText('By hand, 1 member on the template as written.')).toBeVisible()
  await page.getByRole('button', { name: 'Take 1 member off the template as written' }).click()
  await expect(page.getByText(/By hand/)).toBeHidden()
  await page.getByRole('button', { name: 'Publish version 1 to 1 member' }).click()
  await expect(page.getByText(/Version 1 is published to 1 member/)).toBeVisible()

  // It waits, and begins once the member has ended the other one.
  await hand.goto('/progress')
  await expect(programs(hand)).toContainText('Slack water starts once Tideway base is done')
  await programs(hand).getByText('End this program').first().click()
  await hand.getByRole('button', { name: 'End Tideway base' }).click()
  await expect(programs(hand).getByLabel('Track of Slack water')).toHaveValue('light')
  await hand.goto('/today')
  await expect(hand.getByText('Slack water, Light')).toBeVisible()
  await expect(hand.getByRole('button', { name: 'Start Slipway day' })).toBeVisible()

  await hand.goto('/progress')
  await programs(hand).getByLabel('Track of Slack water').selectOption('as written')
  await expect(hand.getByText('Saved. The track changes with the next plan week.')).toBeVisible()
  await programs(hand).getByText('Pause this program').click()
  await programs(hand).getByLabel('Reason for the pause').selectOption('illness')
  await expect(programs(hand).getByText('See a licensed professional before training again.')).toBeVisible()
  await programs(hand).getByLabel('First week back').selectOption('−10% load')
  await hand.getByRole('button', { name: 'Pause Slack water' }).click()
  await expect(programs(hand).getByText(/Paused since .*illness.*−10% load/)).toBeVisible()
  await hand.goto('/today')
  await expect(hand.getByText('paused', { exact: true })).toBeVisible()
  await hand.goto('/progress')
  await hand.getByRole('button', { name: 'End the pause today' }).click()

  // It goes on with changes while something hurts, and back to what is written.
  await programs(hand).getByText('Pause this program, or train around something').click()
  await programs(hand).getByLabel('Reason for the pause').selectOption('injury')
  await programs(hand).getByLabel('Meanwhile').selectOption('train without some muscles')
  const goOn = programs(hand).getByRole('button', { name: 'Go on with this change' })
  await expect(goOn).toBeDisabled()
  await programs(hand).getByRole('button', { name: 'quads', exact: true }).click()
  await goOn.click()
  await expect(programs(hand).getByText(/Training without quads since .* [(]injury[)]/)).toBeVisible()
  await programs(hand).getByRole('button', { name: 'Train as written from today' }).click()
  await expect(programs(hand).getByText('Pause this program')).toBeVisible()

  // The writer ends it for everybody who is on it, and takes that back.
  await page.getByRole('link', { name: 'Members', exact: true }).click()
  await page.getByText(/^Group, pause or move your .* members shown$/).click()
  await page.getByLabel('What to do for many').selectOption('end the program')
  await page.getByLabel('Program', { exact: true }).selectOption('Slack water')
  await page.getByRole('button', { name: 'End Slack water for 1 member' }).click()
  await expect(page.getByText('Ended: Slack water for 1 member.')).toBeVisible()
  await hand.reload()
  await expect(hand.getByRole('button', { name: 'Resume Slack water' })).toBeVisible()
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByText(/^Ended: /)).toBeHidden()
  await hand.reload()
  await expect(programs(hand).getByLabel('Track of Slack water')).toBeVisible()

  // Who was there, for the member and for the owner.
  await hand.goto('/account')
  await hand.getByText('Who has opened or changed your data').click()
  await expect(hand.getByText('Wren Harrow opened the progress and profile').first()).toBeVisible()
  const boss = await browser.newPage()
  await enter(boss, 'Perrin')
  await boss.getByRole('link', { name: 'People', exact: true }).click()
  await boss.getByRole('link', { name: 'Audit' }).click()
  await boss.getByLabel('Name contains').fill('gwil')
  await expect(
    boss.getByText('Wren Harrow opened the progress and profile of Gwil Penhale').first(),
  ).toBeVisible()

  // Archived and brought back; deleted, since nobody has trained on it; and the member has what they had.
  await page.getByRole('link', { name: 'Templates', exact: true }).click()
  await page.getByRole('button', { name: 'Archive Slack water' }).click()
  await expect(page.getByRole('link', { name: 'Slack water' })).toHaveCount(0)
  await choose(page, 'Show', 'Archived templates')
  await page.getByRole('link', { name: 'Slack water' }).click()
  await expect(page.getByText('This template is archived.', { exact: false })).toBeVisible()
  await page.getByRole('link', { name: 'Templates', exact: true }).first().click()
  await choose(page, 'Show', 'Archived templates')
  await page.getByRole('button', { name: 'Bring back Slack water' }).click()
  await choose(page, 'Show', 'Current templates')
  await page.getByRole('button', { name: 'Delete Slack water…' }).click()
  await page.getByRole('button', { name: 'Delete the template' }).click()
  await expect(page.getByRole('link', { name: 'Slack water' })).toHaveCount(0)
  await hand.goto('/progress')
  await hand.getByRole('button', { name: 'Resume Tideway base' }).click()
  await expect(programs(hand).getByText('End this program')).toHaveCount(1)
  await hand.goto('/profile')
  for (const day of ['Mon', 'Thu']) await hand.getByRole('button', { name: day, exact: true }).click()
  await hand.getByRole('button', { name: '45', exact: true }).click()
  await expect(hand.getByText('Most training days in a row')).toHaveCount(0)
})

test('who may edit a template is its author’s to say', async ({ browser, page }) => {
  await enter(page, 'Odell')
  await importTemplate(page, templateFile('Own chart'))
  await expect(page.getByLabel('Name of the template')).toHaveValue('Own chart')
  await page.getByRole('link', { name: 'Templates', exact: true }).click()
  await page.getByRole('button', { name: 'Who may edit Own chart…' }).click()
  await page.getByRole('button', { name: 'named writers' }).click()
  await expect(page.getByRole('checkbox', { name: 'Wren Harrow' })).not.toBeChecked()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved.')).toBeVisible()

  const other = await browser.newPage()
  await enter(other, 'Wren')
  const row = other.getByRole('row').filter({ hasText: 'Own chart' })
  await expect(row).toContainText('Odell Marsh')
  await expect(row.getByRole('button')).toHaveCount(0)
  await row.getByRole('link', { name: 'Own chart' }).click()
  await expect(
    other.getByText('Odell Marsh and named writers edit this template.', { exact: false }),
  ).toBeVisible()

  await page.getByRole('button', { name: 'Delete Own chart…' }).click()
  await page.getByRole('button', { name: 'Delete the template' }).click()
  await expect(page.getByRole('link', { name: 'Own chart' })).toHaveCount(0)
})

test('profile, programs, templates and audit have no accessibility faults that a machine can find', async ({
  browser,
}) => {
  const look = async (who: string, theme: 'light' | 'dark', size = { width: 1280, height: 800 }) => {
    const context = await browser.newContext({
      viewport: size,
      colorScheme: theme,
      reducedMotion: 'reduce',
    })
    const page = await context.newPage()
    await enter(page, who)
    const faults = async () =>
      (await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])
    return { page, faults }
  }
  const { page: hand, faults: onHand } = await look('Tomas', 'dark', phone)
  await hand.goto('/profile')
  await hand.getByText('More about training (optional)').click()
  expect(await onHand()).toEqual([])
  await hand.goto('/progress')
  await programs(hand).getByText('Pause this program').first().click()
  expect(await onHand()).toEqual([])

  const { page: desk, faults: onDesk } = await look('Wren', 'light')
  await expect(desk.getByRole('row').filter({ hasText: 'Tideway base' })).toBeVisible()
  expect(await onDesk()).toEqual([])
  await desk.getByRole('button', { name: 'Who may edit Tideway base…' }).click()
  await desk.getByRole('button', { name: 'named writers' }).click()
  expect(await onDesk()).toEqual([])
  await desk.goto('/members')
  await desk.getByText(/^Group, pause or move your .* members shown$/).click()
  expect(await onDesk()).toEqual([])

  const { page: boss, faults: onBoss } = await look('Perrin', 'dark')
  await boss.goto('/people/audit')
  await expect(boss.getByRole('list', { name: 'Audit' })).toBeVisible()
  expect(await onBoss()).toEqual([])
})
