// npm run screenshots: takes the pictures of docs/screenshots from a freshly started demo (E2E_URL, or port 4600).
import { fileURLToPath } from 'node:url'
import { chromium, type Browser, type Page } from '@playwright/test'

const base = process.env.E2E_URL ?? 'http://127.0.0.1:4600'
const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url))
const phone = { width: 390, height: 844 }

async function main(): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
    ],
  })
  await takeWriter(browser)
  await takeMember(browser)
  await browser.close()
}

async function takeWriter(browser: Browser): Promise<void> {
  const page = await enter(browser, 'Odell', { width: 1280, height: 800 })
  await shoot(page, 'templates')
  await page.getByRole('link', { name: 'Estuary waves' }).click()
  await page.getByLabel('Loads of').selectOption({ label: 'Rafe Otterby' })
  await page.getByRole('button', { name: /^Week 7,/ }).click()
  await page.getByRole('button', { name: /^Why / }).nth(3).waitFor()
  await shoot(page, 'workbench')
  await page.getByRole('button', { name: /^Week 8,/ }).click()
  await page.getByRole('button', { name: /^Why / }).first().click()
  await shoot(page, 'why')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Publish …' }).click()
  await page.getByRole('dialog').getByLabel('Anselm Pike').check()
  await shoot(page, 'publish')
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'Members' }).click()
  await page.getByRole('cell', { name: 'Isla Fenwater' }).waitFor()
  await shoot(page, 'members')
}

async function takeMember(browser: Browser): Promise<void> {
  const wide = await enter(browser, 'Isla', { width: 1280, height: 800 })
  await wide.getByRole('link', { name: 'Maxes' }).click()
  await wide.getByLabel('Lift').selectOption('benchPress')
  await wide.getByLabel('Load', { exact: true }).fill('50')
  await wide.getByLabel('Reps', { exact: true }).fill('4')
  await shoot(wide, 'maxes')
  const page = await enter(browser, 'Isla', phone)
  await page.getByRole('button', { name: /^Start / }).waitFor()
  await shoot(page, 'today-phone')
  await page.getByRole('button', { name: /^Start / }).click()
  const log = page.getByRole('button', { name: /^(Done:|Log this set)/ })
  await log.first().click()
  await shoot(page, 'set-phone')
  while (await log.count()) await log.first().click()
  await page.getByRole('button', { name: 'Finish the session' }).click()
  await page.getByRole('list', { name: 'What comes next' }).waitFor()
  await page.getByRole('button', { name: 'Change to the dark theme' }).click()
  await shoot(page, 'next-phone-dark')
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
