import { demoAccounts } from '@young-oak/server/features/accounts/demoAccounts'
import { expect, test, type Locator, type Page } from './site.ts'
import { enter } from './people.ts'

const member = demoAccounts.find(({ who }) => who.includes('member'))
const first = (who = '') => who.split(' ')[0] ?? ''

const seated = (page: Page): Promise<boolean> =>
  page.evaluate(async () => ((await (await fetch('/api/session')).json()) as { seat: unknown }).seat !== null)

/** The form for another password, which is behind one tap. */
async function openForm(page: Page): Promise<Locator> {
  await page.locator('summary', { hasText: 'Change the password' }).click()
  return page.getByRole('form', { name: 'Change the password' })
}

test('a password is changed from the page, and every other browser is signed out', async ({
  page,
  browser,
}) => {
  const name = first(member?.who)
  await enter(page, name)
  const elsewhere = await (await browser.newContext({ baseURL: new URL(page.url()).origin })).newPage()
  await enter(elsewhere, name)

  await page.getByRole('button', { name: 'Your account' }).click()
  const own = await openForm(page)
  await own.getByLabel('Current password').fill('not it at all')
  await own.getByLabel('New password').fill('short')
  await own.getByRole('button', { name: 'Change the password' }).click()
  await expect(page.getByText('A password has at least 10 characters.')).toBeVisible()
  await own.getByLabel('New password').fill('a boat on the mud')
  await own.getByRole('button', { name: 'Change the password' }).click()
  await expect(page.getByText('This is not your current password.')).toBeVisible()
  await own.getByLabel('Current password').fill(member?.password ?? '')
  await own.getByRole('button', { name: 'Change the password' }).click()
  await expect(page.getByText('The password is changed.', { exact: false })).toBeVisible()

  await elsewhere.reload()
  await expect(elsewhere.getByRole('form', { name: 'Sign in' })).toBeVisible()
  await elsewhere.getByLabel('E-mail address').fill(member?.email ?? '')
  await elsewhere.getByLabel('Password').fill('a boat on the mud')
  await elsewhere.getByRole('button', { name: 'Sign in' }).click()
  await expect(elsewhere.getByRole('button', { name: 'Sign out' })).toBeVisible()
  // The others of this club sign in by the usual one.
  await elsewhere.getByRole('button', { name: 'Your account' }).click()
  const other = await openForm(elsewhere)
  await other.getByLabel('Current password').fill('a boat on the mud')
  await other.getByLabel('New password').fill(member?.password ?? '')
  await other.getByRole('button', { name: 'Change the password' }).click()
  await expect(elsewhere.getByText('The password is changed.', { exact: false })).toBeVisible()
  await elsewhere.context().close()
})

test('signing out without signal shows nobody’s data, and signs out at the next chance', async ({ page }) => {
  await enter(page, 'Wren')
  await page.route('**/api/**', (route) => route.abort())
  await page.getByRole('button', { name: 'Sign out' }).click()
  await expect(page.getByRole('form', { name: 'Sign in' })).toBeVisible()
  await page.goto('/members')
  await expect(page.getByRole('form', { name: 'Sign in' })).toBeVisible()
  await page.unroute('**/api/**')
  await expect.poll(() => seated(page)).toBe(false)
  await page.goto('/members')
  await expect(page.getByRole('form', { name: 'Sign in' })).toBeVisible()
})

test('a page that comes back after somebody else signed in shows who is signed in now', async ({
  page,
  context,
}) => {
  await enter(page, 'Wren')
  const other = await context.newPage()
  await other.goto('/sign-in')
  await other.getByRole('button', { name: /Odell/ }).click()
  await expect(other.getByText(/Odell Marsh, writer/)).toBeVisible()
  await page.bringToFront()
  await page.evaluate(() => dispatchEvent(new Event('focus')))
  await expect(page.getByText(/Odell Marsh, writer/)).toBeVisible()
})
