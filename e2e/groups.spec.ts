import { expect, test } from './site.ts'
import { enter, goPublishing } from './people.ts'

test('groups, by hand and by a rule, filter the members list and an audience', async ({ page }) => {
  await enter(page, 'Wren')
  await page.getByRole('link', { name: 'Members', exact: true }).click()
  await page.getByRole('link', { name: 'Groups' }).click()
  await expect(page.getByText('No groups yet.')).toBeVisible()
  const form = page.getByRole('form', { name: 'New group' })
  await form.getByRole('button', { name: 'Add the group' }).click()
  await expect(form.getByText('Enter a name.')).toBeVisible()
  await form.getByLabel('Name of the group').fill('Masters')
  await form.getByRole('button', { name: 'Add the group' }).click()
  await page.getByRole('button', { name: 'Choose the members of Masters' }).click()
  for (const name of ['Bram Oxley', 'Corin Vale']) await page.getByRole('checkbox', { name }).check()
  await expect(page.getByRole('button', { name: 'Choose the members of Masters' })).toHaveText(
    '2 of your members',
  )

  // By a rule, with the keyboard alone; what is not possible is said at its field.
  await form.getByLabel('Name of the group').fill('masters')
  await form.getByLabel('Members of the group').focus()
  await page.keyboard.press('ArrowDown')
  await page.getByRole('option', { name: 'by a rule, as of today' }).focus()
  await page.keyboard.press('Enter')
  await form.getByLabel('Days').fill('0')
  await page.keyboard.press('Enter')
  await expect(form.getByText('Days are a whole number from 1 to 365.')).toBeVisible()
  await form.getByLabel('Days').fill('365')
  await page.keyboard.press('Enter')
  await expect(form.getByText('Another group has this name.')).toBeVisible()
  await form.getByLabel('Name of the group').fill('Long gone')
  await page.keyboard.press('Enter')
  await expect(page.getByText('not trained for 365 days')).toBeVisible()

  await page.getByRole('link', { name: 'Members', exact: true }).last().click()
  await page.getByLabel('Show').click()
  await page.getByRole('option', { name: 'Group: Masters' }).click()
  await expect(page.getByText('2 of your members')).toBeVisible()
  await expect(page.getByRole('row')).toHaveCount(3)

  await page.getByRole('link', { name: 'Templates' }).click()
  await page.getByRole('link', { name: 'Tideway base' }).click()
  await goPublishing(page)
  await page.getByLabel('Show').click()
  await page.getByRole('option', { name: 'Group: Masters' }).click()
  await page.getByRole('button', { name: 'Add the 2 shown' }).click()
  await expect(page.getByRole('heading', { name: 'To whom: 2 members' })).toBeVisible()

  await page.getByRole('link', { name: 'Members', exact: true }).click()
  await page.getByRole('link', { name: 'Groups' }).click()
  for (const name of ['Masters', 'Long gone']) {
    await page.getByRole('button', { name: `Delete ${name}…` }).click()
    await page.getByRole('button', { name: 'Delete the group' }).click()
    await expect(page.getByRole('heading', { name })).toHaveCount(0)
  }
  await expect(page.getByText('No groups yet.')).toBeVisible()
})
