import type { Locator, Page } from '@playwright/test'

/** Chooses from a list by what an option says. */
export async function choose(field: Locator, option: string): Promise<void> {
  await field.click()
  await field.page().getByRole('option', { name: option, exact: true }).click()
}

/** Chooses one of many by its keys: opened, found by its name, taken with Enter. */
export async function pick(page: Page, label: string, name: string): Promise<void> {
  await page.getByRole('combobox', { name: new RegExp(`^${label} `) }).press('Enter')
  await page.getByRole('combobox', { name: `Find: ${label}` }).fill(name)
  await page.getByRole('option', { name, exact: true }).waitFor()
  await page.keyboard.press('Enter')
}
