import { expect, test, type Page } from './site.ts'
import { enter, importTemplate, templateFile } from './people.ts'

const bench = (page: Page, what: string) =>
  page
    .getByRole('region', { name: 'Slipway day, day 1' })
    .getByRole('gridcell', { name: new RegExp(`^${what} of Bench press`) })
const set = async (page: Page, what: string, to: string) => {
  await bench(page, what).focus()
  await page.keyboard.type(to)
  await page.keyboard.press('Enter')
}
const has = (page: Page, what: string, value: string) =>
  expect(bench(page, what)).toHaveAccessibleName(`${what} of Bench press: ${value}`, { timeout: 15_000 })
const saved = (page: Page) =>
  expect(page.getByText('Saved', { exact: true })).toBeVisible({ timeout: 15_000 })
const edits = '**/api/templates/*/edits'

test('two tabs join what does not touch, and show what does', async ({ page, context }) => {
  await enter(page, 'Wren')
  await importTemplate(page, templateFile('Together'))
  await has(page, 'Sets', '1')
  const other = await context.newPage()
  await other.goto(page.url())
  await has(other, 'Sets', '1')

  // What one writes comes into the other at once, and each keeps its own undo.
  await set(page, 'Sets', '4')
  await has(other, 'Sets', '4')
  await expect(other.getByText('A change made elsewhere received.')).toBeVisible()
  await set(other, 'Rest', '60')
  await has(page, 'Rest', '1:00')
  await page.keyboard.press('Control+z')
  await has(other, 'Sets', '1')
  await has(other, 'Rest', '1:00')

  // Ten minutes without a connection, here a while: what was written meanwhile is joined where it does not touch.
  await other.route(edits, (route) => route.abort())
  await set(other, 'Sets', '5')
  await set(other, 'RIR', '2')
  await expect(other.getByText('Not saved yet: trying again')).toBeVisible({ timeout: 15_000 })
  await set(page, 'Sets', '3')
  await saved(page)
  await other.unroute(edits)
  const aside = other.getByRole('region', { name: 'Edits not applied' })
  await expect(aside).toContainText('sets 1 → 5', { timeout: 15_000 })
  await expect(aside).toContainText('it is 3 now')
  await has(other, 'Sets', '3')
  await has(page, 'RIR', '2')
  await aside.getByRole('button', { name: 'Apply my edit' }).click()
  await expect(aside).toBeHidden()
  await has(page, 'Sets', '5')
})

test('a page that was closed without a connection keeps what was written in it', async ({
  page,
  context,
}) => {
  await enter(page, 'Wren')
  await importTemplate(page, templateFile('Closed'))
  await has(page, 'Sets', '1')
  await page.route(edits, (route) => route.abort())
  await set(page, 'Sets', '6')
  await expect(page.getByText('Not saved yet: trying again')).toBeVisible({ timeout: 15_000 })
  const url = page.url()
  await page.close()
  const again = await context.newPage()
  await again.goto(url)
  await has(again, 'Sets', '6')
  await saved(again)
  await again.reload()
  await has(again, 'Sets', '6')
})
