// Editing the largest template in Chromium: the script that a key runs before its cell can be painted, and the time to the worker's answer.
import type { Page } from '@playwright/test'
import { pick } from '../../e2e/pickers.ts'
import { headers, openChromium, signedIn } from './chromium.ts'
import type { Figure } from './figure.ts'
import { largeTemplate } from './largeTemplate.ts'

type Measured = { keys: number[]; answers: number[] }

/** Signs a writer in, stores the largest template and types in it, on this processor and on one four times slower. */
export async function benchEditing(base: string, email: string, password: string): Promise<Figure[]> {
  const browser = await openChromium()
  try {
    const page = await signedIn(browser, base, email, password)
    const { id } = (await (
      await page.request.post('/api/templates', { data: { template: largeTemplate() }, headers })
    ).json()) as { id: string }
    const figures: Figure[] = []
    for (const slowed of [1, 4]) {
      const began = performance.now()
      await open(page, id)
      const opened = performance.now() - began
      const client = await page.context().newCDPSession(page)
      await client.send('Emulation.setCPUThrottlingRate', { rate: slowed })
      const { keys, answers } = await typing(page)
      await client.send('Emulation.setCPUThrottlingRate', { rate: 1 })
      const where = slowed === 1 ? '' : `, processor ${slowed} times slower`
      const budget = slowed === 1 ? { budget: 12 } : {}
      figures.push(
        {
          what: `script of a key until its cell is drawn, typing and keeping cells, p50${where}`,
          value: at(keys, 0.5),
          unit: 'ms',
        },
        {
          what: `script of a key until its cell is drawn, typing and keeping cells, p95${where}`,
          value: at(keys, 0.95),
          unit: 'ms',
          ...budget,
        },
        {
          what: `last key to the member’s load from the worker, p95${where}`,
          value: at(answers, 0.95),
          unit: 'ms',
          ...(slowed === 1 && { budget: 100 }),
        },
      )
      if (slowed === 1)
        figures.push({ what: 'the page with the largest template open', value: opened, unit: 'ms' })
    }
    return figures
  } finally {
    await browser.close()
  }
}

async function open(page: Page, id: string): Promise<void> {
  await page.goto(`/templates/${id}`)
  await pick(page, 'Loads of', 'a strong lifter, made up')
  await page
    .getByRole('gridcell', { name: /: how it was worked out$/ })
    .first()
    .waitFor()
}

/** Types a percent into cells one after the other, as a writer does, and waits each time for the load to follow. */
async function typing(page: Page): Promise<Measured> {
  await page.evaluate(() => {
    const seen: number[] = []
    let from = 0
    // What a key starts runs between the first listener of the page and its last: the page has drawn its cells anew by then.
    for (const event of ['keydown', 'input']) {
      addEventListener(event, () => void (from = performance.now()), true)
      addEventListener(event, () => {
        const ms = performance.now() - from
        seen.push(event === 'input' ? (seen.pop() ?? 0) + ms : ms)
      })
    }
    Object.assign(window, { seenKeys: seen })
  })
  const answers: number[] = []
  for (let i = 0; i < 24; i++) {
    const line = [0, 3, 5, 6][i % 4] ?? 0
    const cell = page.locator(`[data-cell="${i % 3}-${line}-3"]`)
    await cell.focus()
    const load = page.locator(`[data-cell="${i % 3}-${line}-6"]`)
    const before = await load.textContent()
    await page.keyboard.type(`${60 + ((i * 7) % 30)}`)
    const began = performance.now()
    await page.keyboard.press('Enter')
    await page
      .waitForFunction(
        ([where, was]) => document.querySelector(`[data-cell="${where}"]`)?.textContent !== was,
        [`${i % 3}-${line}-6`, before] as const,
        { timeout: 3000 },
      )
      .catch(() => undefined)
    answers.push(performance.now() - began)
    await page.keyboard.press('ArrowRight')
  }
  return { keys: await page.evaluate(() => (window as unknown as { seenKeys: number[] }).seenKeys), answers }
}

const at = (times: number[], part: number): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * part)] ?? 0
