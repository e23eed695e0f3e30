import { expect, type Browser, type Locator, type Page } from '@playwright/test'
import { phone, signIn } from './people.ts'

/** Opens a program on the member's phone. */
export async function onPhone(
  browser: Browser,
  name: string,
  who = 'hal',
): Promise<{ hand: Page; program: Locator }> {
  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, `${who}@demo.example`)
  return { hand, program: hand.locator('section').filter({ hasText: name }).first() }
}

/** Does the sets of the first exercise as they are asked, and finishes the session without the rest. */
export async function train(hand: Page, program: Locator, sets: number, all = sets): Promise<void> {
  await program.getByRole('button', { name: 'Start Slipway day' }).click()
  await doSets(program, sets, all)
  await finish(hand, program)
}

/** Does so many sets of the exercise that is next, of all that it has, as they are asked. */
export async function doSets(program: Locator, sets: number, all = sets): Promise<void> {
  for (let n = 1; n <= sets; n++) {
    await program
      .getByRole('button', { name: /^Done: / })
      .first()
      .click()
    await expect(program.getByText(`${n} of ${all}`, { exact: true }).first()).toBeVisible()
  }
}

/** Finishes the session, with whatever is left in it. */
export async function finish(hand: Page, program: Locator): Promise<void> {
  hand.once('dialog', (dialog) => void dialog.accept())
  await program.getByRole('button', { name: 'Finish the session' }).click()
  await expect(program.getByRole('heading', { name: /is done/ })).toBeVisible()
  // What comes next is worked out once the sets are sent.
  await expect(
    program.getByText('The next session is worked out as soon as your sets are sent.'),
  ).toBeHidden()
}

/** Reads why a line of the next session is what it is. */
export async function readWhy(
  hand: Page,
  program: Locator,
  line: RegExp,
  why: RegExp | string,
): Promise<void> {
  await program.getByRole('button', { name: line }).last().click()
  await expect(hand.getByText(why).first()).toBeVisible()
  await hand.keyboard.press('Escape')
}

/** Types over a cell of the sheet, in all later weeks too. */
export const type = async (page: Page, cell: string, text: string) => {
  await page.getByRole('gridcell', { name: cell }).first().focus()
  await page.keyboard.type(text)
  await page.keyboard.press('Shift+Enter')
}
