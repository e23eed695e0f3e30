// npm run screenshots: takes the pictures of docs/screenshots from a freshly started demo (E2E_URL, or port 4600).
import { fileURLToPath } from 'node:url'
import { chromium, type Browser, type Page } from '@playwright/test'
import { chromiumOptions } from '../e2e/chromium.ts'
import { choose, pick } from '../e2e/pickers.ts'

const base = process.env.E2E_URL ?? 'http://127.0.0.1:4600'
const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url))
const phone = { width: 390, height: 844 }

async function main(): Promise<void> {
  const browser = await chromium.launch(chromiumOptions)
  await takeWriter(browser)
  await takeRules(browser)
  await takeOwner(browser)
  await takeMember(browser)
  await browser.close()
}

async function takeWriter(browser: Browser): Promise<void> {
  const page = await enter(browser, 'Odell', { width: 1280, height: 800 })
  await page.getByRole('button', { name: 'New template…' }).click()
  await page.getByRole('tab', { name: 'Start from a ready-made template' }).click()
  await shoot(page, 'beginnings')
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'Estuary waves' }).click()
  await pick(page, 'Loads of', 'Rafe Otterby')
  await page.getByRole('button', { name: /^Week 7,/ }).click()
  await page
    .getByRole('gridcell', { name: /: how it was worked out$/ })
    .nth(3)
    .waitFor()
  await page
    .getByRole('gridcell', { name: /^Load of Back squat/ })
    .first()
    .focus()
  await page.getByRole('region', { name: 'Exercise Back squat' }).waitFor()
  await shoot(page, 'workbench')
  await page.getByRole('button', { name: /^Week 8,/ }).click()
  await page
    .getByRole('gridcell', { name: /: how it was worked out$/ })
    .first()
    .click()
  await shoot(page, 'why')
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'Templates' }).click()
  await page.getByRole('link', { name: 'Regatta ladder' }).click()
  await pick(page, 'Loads of', 'Silas Coble')
  await page.getByRole('button', { name: /^Week 6,/ }).click()
  await page
    .getByRole('gridcell', { name: /: how it was worked out$/ })
    .nth(3)
    .waitFor()
  await page.getByRole('tab', { name: 'Tracks' }).click()
  await choose(page.getByRole('combobox', { name: /^Track/ }), 'Lighter')
  await shoot(page, 'tracks')
  await publishing(page)
  await page.getByRole('link', { name: 'Exercises' }).click()
  await choose(page.getByLabel('Whose'), 'our own')
  await page.getByRole('button', { name: /^Sliding-seat squat/ }).click()
  await shoot(page, 'exercises')
  await page.getByRole('link', { name: 'Members' }).click()
  await page.getByRole('rowheader', { name: 'Isla Fenwater' }).waitFor()
  await shoot(page, 'members')
  await page.getByRole('link', { name: 'Maxes' }).click()
  await page.getByRole('rowheader', { name: 'Rafe Otterby' }).waitFor()
  await shoot(page, 'max-table')
  await page.getByRole('link', { name: 'Equipment' }).click()
  await page.getByText('The boathouse gym').click()
  await shoot(page, 'equipment')
}

/** A rule beside what it comes to and another one, and how a member does. */
async function takeRules(browser: Browser): Promise<void> {
  const page = await enter(browser, 'Wren', { width: 1280, height: 800 })
  await page.getByRole('link', { name: 'Mudflat sets' }).click()
  await page.getByRole('tab', { name: 'Template' }).click()
  await page.getByRole('region', { name: 'Progressions' }).getByText('Back squat').first().waitFor()
  const line = page
    .getByRole('region', { name: 'Progressions' })
    .getByRole('listitem')
    .filter({ hasText: 'Start at 70%' })
  await line.getByRole('button', { name: 'Change' }).click()
  await choose(page.getByLabel('After these misses', { exact: true }), 'cut the load, then step less often')
  await page.getByText('Now and changed, if all goes to plan').waitFor()
  await shoot(page, 'rule-preview')
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'Members' }).click()
  await page.getByRole('link', { name: 'Progress of Bram Oxley' }).click()
  await page.getByRole('heading', { name: 'Take a deload week.' }).waitFor()
  await shoot(page, 'progress')
}

/** Publishing with two cells changed, which are given back afterwards. */
async function publishing(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Week 10,/ }).click()
  await page.getByRole('gridcell', { name: /^Load of Back squat: 90%/ }).focus()
  await page.keyboard.type('88')
  await page.keyboard.press('Enter')
  await page.getByRole('gridcell', { name: /^Rest of Deadlift: 4:00/ }).focus()
  await page.keyboard.type('5 min')
  await page.keyboard.press('Shift+Enter')
  await page.getByText('Saved', { exact: true }).waitFor()
  await page.getByRole('button', { name: 'Publish…' }).click()
  await page.getByLabel('Show').click()
  await page.getByRole('option', { name: 'On this program' }).click()
  await page.getByRole('button', { name: /^Add the/ }).click()
  await page.getByRole('button', { name: /different sets or loads/ }).click()
  await page.getByRole('button', { name: 'old and new loads' }).first().waitFor()
  await page.evaluate(() => scrollTo(0, 0))
  await shoot(page, 'publish')
  await page.getByRole('link', { name: 'Back to the template' }).click()
  await page.getByRole('button', { name: /^Week 10,/ }).click()
  await page.getByRole('gridcell', { name: /^Load of Back squat: 88%/ }).focus()
  await page.keyboard.type('90')
  await page.keyboard.press('Enter')
  await page.getByRole('gridcell', { name: /^Rest of Deadlift: 5:00/ }).focus()
  await page.keyboard.type('4 min')
  await page.keyboard.press('Shift+Enter')
  await page.getByText('Saved', { exact: true }).waitFor()
}

async function takeOwner(browser: Browser): Promise<void> {
  const page = await enter(browser, 'Perrin', { width: 1280, height: 800 })
  await page.getByRole('link', { name: 'People' }).click()
  await page.getByLabel('People, one a line').fill(invited)
  await page.getByText('Line 3: This is not an e-mail address.').waitFor()
  await shoot(page, 'people')
}

/** A list as it is pasted from a spreadsheet, with a slip in it. */
const invited = [
  'Name\tE-mail\tWriter',
  'Rue Sallow\true@oak.example\tWren Harrow',
  'Sedge Mere\tsedge at oak\tOdell Marsh',
  'Tern Ebb\ttern@oak.example\tOdell Marsh',
].join('\n')

async function takeMember(browser: Browser): Promise<void> {
  const wide = await enter(browser, 'Isla', { width: 1280, height: 800 })
  await wide.getByRole('link', { name: 'Maxes' }).click()
  await pick(wide, 'Lift', 'Bench press')
  await wide.getByLabel('Load', { exact: true }).fill('50')
  await wide.getByLabel('Reps', { exact: true }).fill('4')
  await shoot(wide, 'maxes')
  await wide.getByRole('link', { name: 'Calculator' }).click()
  await wide.getByLabel('Load', { exact: true }).fill('100')
  await shoot(wide, 'calculator')
  const page = await enter(browser, 'Isla', phone)
  await page.getByRole('button', { name: /^Start / }).waitFor()
  await shoot(page, 'today-phone')
  await page.getByRole('button', { name: /^Start / }).click()
  const log = page.locator('[data-work]').filter({ hasText: /^(Done:|Log this set)/ })
  await log.first().click()
  await shoot(page, 'set-phone')
  while (await log.count()) {
    // A total over sets asks how many there were.
    const reps = page.locator('li[aria-current="step"]').getByLabel('Reps', { exact: true }).last()
    if ((await reps.count()) && !(await reps.inputValue())) await reps.fill('4')
    await log.first().click()
  }
  await page.getByRole('button', { name: 'Finish the session' }).click()
  await page.getByRole('list', { name: 'What comes next' }).waitFor()
  await page.evaluate(() => (document.documentElement.dataset.theme = 'dark'))
  await shoot(page, 'next-phone-dark')
  const seeker = await browser.newPage({ viewport: phone, reducedMotion: 'reduce' })
  await seeker.goto(base)
  await seeker.getByLabel('E-mail address').fill('juno@demo.example')
  await seeker.getByLabel('Password').fill('tideway-demo')
  await seeker.getByRole('button', { name: 'Sign in', exact: true }).click()
  await seeker.getByRole('button', { name: /^Start / }).click()
  await seeker
    .getByRole('button', { name: /Back squat/ })
    .first()
    .click()
  await seeker.getByRole('button', { name: 'Find my load now' }).first().click()
  await seeker.getByRole('button', { name: '8 or more' }).click()
  await seeker.getByText('17.5 kg × 5').waitFor()
  await shoot(seeker, 'find-phone')
  const racer = await enter(browser, 'Tamsin', phone)
  await racer.getByRole('button', { name: /^Start / }).waitFor()
  await racer
    .getByRole('button', { name: /: how it was worked out$/ })
    .first()
    .click()
  await shoot(racer, 'countdown-phone')
}

async function enter(
  browser: Browser,
  who: string,
  viewport: { width: number; height: number },
): Promise<Page> {
  const page = await browser.newPage({ viewport, reducedMotion: 'reduce' })
  page.on('dialog', (dialog) => void dialog.accept())
  await page.goto(base)
  await page.getByRole('button', { name: new RegExp(who) }).click()
  await page.getByRole('button', { name: 'Sign out' }).waitFor()
  return page
}

/** Waits until nothing moves, takes the pointer away, and takes the picture. */
async function shoot(page: Page, name: string): Promise<void> {
  await page.mouse.move(0, 0)
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(500)
  await page.screenshot({ path: `${folder}${name}.png` })
}

await main()
