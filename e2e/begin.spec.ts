import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, open, test } from './site.ts'
import { importTemplate, phone, publishTo, signIn, templateFile } from './people.ts'
import { choose } from './pickers.ts'

/** The link that was just made for somebody, as it stands on the page. */
const linkFor = async (page: Page, name: string): Promise<string> => {
  const made = page.getByRole('region', { name: 'New links' })
  const line = made.getByRole('listitem').filter({ hasText: name })
  return (await line.locator('code').textContent()) ?? ''
}

// Nothing but the page: from an empty database to a member's first logged set.
test('a new owner sets up a gym, and a member whom they invite logs a set', async ({ browser }) => {
  const club = await open('begin', { isEmpty: true })
  const context = { baseURL: club.url }
  const desk = await browser.newPage(context)
  try {
    await desk.goto('/')
    await expect(desk.getByRole('heading', { name: 'Set up your gym' })).toBeVisible()
    await desk.getByRole('button', { name: 'Set up the gym' }).click()
    await expect(desk.getByText('Enter the code that the server printed.')).toBeVisible()
    await desk.getByLabel('Set-up code').fill('AAAA-AAAA')
    await desk.getByLabel('Name of the gym').fill('Saltmarsh Rowing & Strength')
    await desk.getByRole('combobox', { name: /Time zone/ }).click()
    await desk.getByPlaceholder('A city, such as London').fill('halifax')
    await desk.getByRole('option', { name: 'America/Halifax' }).click()
    await desk.getByLabel('Your name').fill('Perrin Lock')
    await desk.getByLabel('E-mail address').fill('perrin@oak.example')
    await desk.getByLabel('New password').fill('a long password')
    await desk.getByRole('button', { name: 'Set up the gym' }).click()
    await expect(desk.getByText(/This is not the code/)).toBeVisible()
    // Nothing that was typed is lost.
    await expect(desk.getByLabel('New password')).toHaveValue('a long password')
    await expect.poll(() => club.said()).toMatch(/with the code/)
    const code = /code (\S+)/.exec(club.said())?.[1] ?? ''
    await desk.getByLabel('Set-up code').fill(code.toLowerCase())
    await desk.getByRole('button', { name: 'Set up the gym' }).click()

    await expect(desk.getByText('No members yet.', { exact: false })).toBeVisible()
    await desk.getByRole('link', { name: 'Invite members' }).click()
    const form = desk.getByRole('form', { name: 'Invite a person' })
    await form.getByLabel('Name').fill('Isla Fenwater')
    await choose(form.getByRole('combobox', { name: 'Writer' }), 'Perrin Lock')
    await form.getByRole('button', { name: 'Make the invitation' }).click()
    const link = await linkFor(desk, 'Isla Fenwater')
    expect(link).toMatch(/^http:\/\/127\.0\.0\.1:\d+\/join#/)
    await desk.getByRole('button', { name: 'Show the QR code for Isla Fenwater' }).click()
    await expect(desk.getByRole('img', { name: 'QR code of the link for Isla Fenwater' })).toBeVisible()
    await desk.keyboard.press('Escape')

    const hand = await browser.newPage({ ...context, viewport: phone })
    await hand.goto(link)
    await expect(hand.getByRole('heading', { name: 'Join Saltmarsh Rowing & Strength' })).toBeVisible()
    await expect(hand.getByText('Perrin Lock has invited Isla Fenwater as a member.')).toBeVisible()
    await hand.getByRole('button', { name: 'Join Saltmarsh Rowing & Strength' }).click()
    await expect(hand.getByText('Enter your e-mail address.')).toBeVisible()
    await hand.getByLabel('E-mail address').fill('isla@oak.example')
    await hand.getByLabel('New password').fill('another password')
    await hand.getByRole('button', { name: 'Join Saltmarsh Rowing & Strength' }).click()
    // A minute for what loads and advice go by; what was answered is there when the page is opened again.
    await expect(hand.getByRole('heading', { name: 'About you' })).toBeVisible()
    await hand.getByRole('button', { name: '1 to 3 years' }).click()
    await expect(hand.getByRole('button', { name: '1 to 3 years' })).toHaveAttribute('aria-pressed', 'true')
    await hand.getByLabel('My unit').selectOption('lb')
    await hand.getByLabel('Weight today, lb').fill('150')
    await hand.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(hand.getByText(/150 lb, on /)).toBeVisible()
    await hand.reload()
    await expect(hand.getByRole('button', { name: '1 to 3 years' })).toHaveAttribute('aria-pressed', 'true')
    await hand.getByLabel('My unit').selectOption('kg')
    await hand.getByRole('link', { name: 'Go to Today' }).click()
    await expect(hand.getByRole('heading', { name: 'No program yet' })).toBeVisible()
    // The link is used, and says so to whoever has it too.
    const late = await browser.newPage(context)
    await late.goto(link)
    await expect(late.getByText(/This link was used already/)).toBeVisible()
    await late.close()

    await desk.getByLabel('Act as').selectOption({ label: 'writer at Saltmarsh Rowing & Strength' })
    await expect(desk.getByRole('link', { name: 'Templates' })).toBeVisible()
    await importTemplate(desk, templateFile('Slipway start'))
    await expect(desk.getByLabel('Name of the template')).toHaveValue('Slipway start')
    await publishTo(desk, 'Isla Fenwater')

    await hand.reload()
    const program = hand.locator('section').filter({ hasText: 'Slipway start' }).first()
    await program.getByRole('button', { name: 'Start Slipway day' }).click()
    await program.getByRole('button', { name: 'Done: 60 kg × 5' }).click()
    await expect(program.getByText('Set 2 of 2')).toBeVisible()
    await Promise.all([desk.close(), hand.close()])
  } finally {
    await club.close()
  }
})

test('an owner invites a list, line by line, and ends a writer’s role', async ({ page }) => {
  await page.goto('/sign-in')
  await page.getByRole('button', { name: /Perrin/ }).click()
  await page.getByRole('link', { name: 'People' }).click()
  const list = page.getByLabel('People, one a line')
  await list.fill('Name,E-mail,Writer\nRue Sallow,rue@oak.example,Wren Harrow\nSedge Mere,not an address,\n')
  await expect(page.getByText('Line 3: This is not an e-mail address.')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Preview' })).toContainText('Rue Sallow')
  await page.getByRole('button', { name: 'Make 1 invitation' }).click()
  const made = page.getByRole('region', { name: 'New links' })
  await expect(made).toContainText('The link for Rue Sallow')
  // What could not be taken stays, to be mended.
  await expect(list).toHaveValue('Name\tE-mail\tWriter\nSedge Mere\tnot an address\t')
  const before = await linkFor(page, 'Rue Sallow')
  await page.getByRole('button', { name: 'Make a new link for Rue Sallow' }).click()
  await expect.poll(() => linkFor(page, 'Rue Sallow')).not.toBe(before)
  // The server of the tests sends no mail: the message waits with the newest link, and the one before is over.
  const newest = await linkFor(page, 'Rue Sallow')
  await page.getByRole('link', { name: 'Messages' }).click()
  const messages = page
    .getByRole('list', { name: 'Messages' })
    .getByRole('group')
    .filter({ hasText: 'Rue Sallow' })
  await expect(messages.nth(1)).toContainText('the link no longer works')
  await messages
    .first()
    .getByText(/invites you to/)
    .first()
    .click()
  await expect(messages.first().locator('code')).toHaveText(newest)
  await page.goBack()
  await page.getByRole('button', { name: 'Withdraw the invitation of Rue Sallow' }).click()
  await expect(page.getByText('None. Invite a person above.')).toBeVisible()

  await page.getByRole('button', { name: 'End Odell Marsh’s role as writer…' }).click()
  const dialog = page.getByRole('dialog')
  await choose(dialog.getByRole('combobox', { name: /Who takes over/ }), 'Wren Harrow')
  await dialog.getByRole('button', { name: 'End the role' }).click()
  await expect(page.getByRole('button', { name: /End Odell Marsh/ })).toHaveCount(0)
  await page.getByRole('button', { name: /End Perrin Lock/ }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'End the role' }).click()
  await expect(page.getByText(/A gym has at least one owner/)).toBeVisible()
  await page.keyboard.press('Escape')

  await page.getByRole('link', { name: 'Members', exact: true }).click()
  const first = page.getByRole('row').nth(1).getByRole('checkbox')
  await first.check()
  await page.getByRole('button', { name: 'Take from Wren Harrow' }).click()
  await expect(page.getByText('1 member has no writer, and nobody can plan them.')).toBeVisible()
  await page.getByRole('checkbox', { name: 'Only members without a writer' }).check()
  await expect(page.getByRole('row')).toHaveCount(2)
  await first.check()
  await page.getByRole('button', { name: 'Assign to Wren Harrow' }).click()
  await expect(page.getByText(/has no writer/)).toHaveCount(0)

  // Who leaves is on no list, and is taken back with one tap.
  await page.getByRole('checkbox', { name: 'Only members without a writer' }).uncheck()
  const name = (await page.getByRole('row').nth(1).getByRole('rowheader').textContent()) ?? ''
  await first.check()
  await page.getByRole('button', { name: 'End memberships…' }).click()
  await expect(page.getByRole('dialog')).toContainText(name)
  await page.getByRole('button', { name: 'End 1 membership' }).click()
  await expect(page.getByText(`Membership ended: ${name}.`, { exact: false })).toBeVisible()
  await expect(page.getByRole('row').nth(1)).not.toContainText(name)
  await page.getByText('1 former member').click()
  await page.getByRole('button', { name: `Delete the data of ${name}` }).click()
  await expect(page.getByText(/; data deleted on/)).toBeVisible()
  await page.getByRole('button', { name: `Keep the data of ${name}` }).click()
  await expect(page.getByText(/; data deleted on/)).toHaveCount(0)
  await page.getByRole('button', { name: `Take ${name} back` }).click()
  await expect(page.getByRole('row').nth(1)).toContainText(name)
})

test('a member saves their data as a file, has it deleted, thinks again, changes their address, and leaves', async ({
  page,
}) => {
  await page.setViewportSize(phone)
  await signIn(page, 'nell@demo.example')
  await page.goto('/account')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save all my data as a file' }).click(),
  ])
  const saved = JSON.parse(readFileSync(await file.path(), 'utf8')) as {
    email: string
    file: { name: string }
  }
  expect([saved.email, saved.file.name]).toEqual(['nell@demo.example', 'Nell Saltby'])

  await page.locator('summary', { hasText: 'Delete my data at' }).click()
  const deleting = page.getByRole('form', { name: 'Delete my data at' })
  await deleting.getByLabel('Current password').fill('tideway-demo')
  await deleting.getByRole('button', { name: 'Delete my data in 14 days' }).click()
  await expect(page.getByText(/^Your data at .* is deleted on/)).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: 'Keep my data' }).click()
  await expect(page.getByText('Your data is kept.')).toBeVisible()
  await expect(page.locator('summary', { hasText: 'Delete my data at' })).toBeVisible()

  await page.locator('summary', { hasText: 'Change the e-mail address' }).click()
  const address = page.getByRole('form', { name: 'Change the e-mail address' })
  await address.getByLabel('New e-mail address').fill('nell@oak.example')
  await address.getByLabel('Current password').fill('not that one')
  await address.getByRole('button', { name: 'Change the address' }).click()
  await expect(page.getByText('This is not your current password.')).toBeVisible()
  await address.getByLabel('Current password').fill('tideway-demo')
  await address.getByRole('button', { name: 'Change the address' }).click()
  await expect(page.getByText('From now on you sign in with nell@oak.example.')).toBeVisible()

  await page.locator('summary', { hasText: /^Leave / }).click()
  const leave = page.getByRole('form', { name: /^Leave / })
  await leave.getByLabel('Current password').fill('tideway-demo')
  await leave.getByRole('button', { name: /^Leave / }).click()
  await expect(page.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible()
  await page.getByLabel('E-mail address').fill('nell@oak.example')
  await page.getByLabel('Password').fill('tideway-demo')
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.getByText(/This account belongs to no gym yet/)).toBeVisible()
})

test('the gym’s own link lets people ask, and the owner lets them in', async ({ page, browser, baseURL }) => {
  await page.goto('/sign-in')
  await page.getByRole('button', { name: /Perrin/ }).click()
  await page.getByRole('link', { name: 'Gym', exact: true }).click()
  await page.getByRole('button', { name: 'Make a link for everybody' }).click()
  const link = (await page.locator('code').textContent()) ?? ''
  const hand = await (await browser.newContext({ viewport: phone, ...(baseURL && { baseURL }) })).newPage()
  await hand.goto(link)
  await expect(hand.getByText('Ask to be a member here. The gym’s owner lets you in.')).toBeVisible()
  await hand.getByLabel('Your name').fill('Fen Wicker')
  await hand.getByLabel('E-mail address').fill('fen@oak.example')
  await hand.getByLabel('New password').fill('a long password')
  await hand.getByRole('button', { name: /^Ask to join/ }).click()
  await expect(hand.getByRole('heading', { name: 'You have asked to join' })).toBeVisible()

  await page.getByRole('link', { name: 'Members', exact: true }).click()
  await page.getByRole('link', { name: 'Answer on the People page' }).click()
  const asking = page.getByRole('region', { name: 'Asking to join' })
  await choose(asking.getByRole('combobox'), 'Wren Harrow')
  await asking.getByRole('button', { name: 'Let Fen Wicker in' }).click()
  await expect(asking).toHaveCount(0)
  await hand.getByRole('link', { name: 'Sign in' }).click()
  await hand.getByLabel('E-mail address').fill('fen@oak.example')
  await hand.getByLabel('Password').fill('a long password')
  await hand.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(hand.getByRole('heading', { name: 'No program yet' })).toBeVisible()
  await hand.context().close()
})
