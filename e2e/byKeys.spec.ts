// The writer's and the member's main path by keys alone: where the keyboard is after each act, and what is read out.
import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { enter, importTemplate, phone, templateFile } from './people.ts'
import { pick } from './pickers.ts'
import { test } from './site.ts'

const said = (page: Page, text: string | RegExp) =>
  expect(page.locator('[data-announcer]').filter({ hasText: text })).toHaveCount(1)
const focused = (page: Page) => page.locator(':focus')
const hasNoFaults = async (page: Page) =>
  expect(
    (await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html]),
  ).toEqual([])

test('a writer walks the workbench by keys, and hears what each does', async ({ page }) => {
  await enter(page, 'Wren')
  await expect(page).toHaveTitle('Templates · Young Oak')
  await page.reload()
  await expect(page.getByRole('button', { name: 'New template…' })).toBeVisible()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'Skip to content' })).toBeFocused()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: 'New template…' })).toBeFocused()
  await importTemplate(page, templateFile('By keys'))
  await expect(page).toHaveTitle('By keys · Young Oak')

  const grid = page.getByRole('grid', { name: 'Slipway day, day 1, week 1' })
  await expect(grid.getByRole('columnheader')).toHaveText([
    'Exercise',
    'Sets',
    'Reps',
    'Load',
    'RIR',
    'Rest',
    'Load of the member',
  ])
  const cell = (name: string | RegExp) => grid.getByRole('gridcell', { name })
  await cell('Exercise: Back squat').focus()
  await page.keyboard.press('ArrowRight')
  await expect(cell('Sets of Back squat: 2')).toBeFocused()

  // A selection is said, and its cells say that they are in it.
  await page.keyboard.press('Shift+ArrowDown')
  await said(page, '2 cells selected')
  await expect(cell(/^Sets of Bench press/)).toHaveAttribute('aria-selected', 'true')
  await page.keyboard.press('Escape')

  // Typing over a cell: kept with Enter, undone and done again, each by its name.
  await expect(cell(/^Sets of Bench press/)).toBeFocused()
  await page.keyboard.type('3')
  await expect(page.getByRole('combobox', { name: 'Sets of Bench press' })).toBeFocused()
  await page.keyboard.press('Enter')
  await said(page, /Bench press/)
  await page.keyboard.press('Control+z')
  await said(page, /^Undone: /)
  await page.keyboard.press('Control+y')
  await said(page, /^Redone: /)

  // A line is typed: what it is understood as is said, and others that it may mean are a list.
  await page.keyboard.press('Control+End')
  await page.getByRole('gridcell', { name: 'Add an exercise' }).first().focus()
  await page.keyboard.type('squat 3x5')
  const line = page.getByRole('combobox', { name: /^New line/ })
  await expect(line).toBeFocused()
  await expect(line).toHaveAttribute('aria-expanded', 'true')
  const options = page.getByRole('listbox', { name: 'Exercises that the words may mean' }).getByRole('option')
  await expect(options.first()).toHaveAttribute('aria-selected', 'true')
  await page.keyboard.press('ArrowDown')
  await expect(options.nth(1)).toHaveAttribute('aria-selected', 'true')
  expect(await line.getAttribute('aria-activedescendant')).toBe(await options.nth(1).getAttribute('id'))
  await page.keyboard.press('Escape')
  await expect(page.getByRole('gridcell', { name: 'Add an exercise' }).first()).toBeFocused()

  // The menu of an exercise, and the palette.
  await cell('Exercise: Bench press').focus()
  await page.keyboard.press('Shift+F10')
  await expect(page.getByRole('menuitem', { name: /^Details/ })).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(cell('Exercise: Bench press')).toBeFocused()
  await page.keyboard.press('Control+k')
  await expect(page.getByRole('combobox', { name: 'Find a command' })).toBeFocused()
  await page.keyboard.type('exercise up')
  await page.keyboard.press('Enter')
  await said(page, /Moved: Bench press/)
  await expect(cell('Exercise: Bench press')).toBeFocused()

  // A load says how it was worked out, in a dialog with a name.
  await pick(page, 'Loads of', 'a strong lifter, made up')
  const load = cell(/^Load of the member, Bench press: .* kg: how it was worked out$/)
  await load.focus()
  await page.keyboard.press('Space')
  await expect(page.getByRole('dialog', { name: /^How .* kg was worked out$/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(load).toBeFocused()
  await page.keyboard.press('PageDown')
  await said(page, 'Week 2 of 3')
  await expect(page.getByRole('grid', { name: 'Slipway day, day 1, week 2' })).toBeVisible()
  await hasNoFaults(page)
})

test.describe('on a phone', () => {
  test.use({ viewport: phone })

  test('a member trains by keys, and is where the work goes on after each act', async ({ page }) => {
    await enter(page, 'Isla')
    await expect(page).toHaveTitle('Today · Young Oak')
    const heading = page.getByRole('heading', { level: 2 }).first()
    const name = (await heading.textContent()) ?? ''
    // Sets and reps are heard with the load.
    await expect(
      page.getByRole('button', { name: /^\d+ × \d+.* @ .* kg: how it was worked out$/ }).first(),
    ).toBeVisible()
    await page.getByRole('button', { name: `Start ${name}` }).press('Enter')
    const work = page.locator('[data-work]')
    await expect(work).toBeFocused()
    await expect(work).toHaveAccessibleName(/set 1 of \d+, /)

    await expect(work).toHaveText(/^Done/)
    await page.keyboard.press('Enter')
    await said(page, /^Set 1 of .* logged: /)
    await expect(work).toBeFocused()
    await expect(work).toHaveAccessibleName(/set \d+ of \d+, /)
    await page
      .getByRole('button', { name: /^Change set/ })
      .first()
      .press('Enter')
    await expect(focused(page)).toHaveRole('textbox')
    page.on('dialog', (dialog) => void dialog.accept())
    await page.getByRole('button', { name: 'Finish the session' }).press('Enter')
    await expect(page.getByRole('heading', { name: `${name} is done` })).toBeFocused()
    await hasNoFaults(page)

    // Another page: its title, and the keyboard at its beginning.
    await page.getByRole('link', { name: 'Progress' }).press('Enter')
    await expect(page).toHaveTitle('Progress · Young Oak')
    await expect(page.locator('#content')).toBeFocused()
  })
})
