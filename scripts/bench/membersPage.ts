// The members page of a large gym in Chromium: how soon it shows members, and how it scrolls.
import { openChromium, signedIn } from './chromium.ts'
import type { Figure } from './figure.ts'

/** So far it is scrolled, a little with each frame. */
const frames = 240

export async function benchMembersPage(base: string, email: string, password: string): Promise<Figure[]> {
  const browser = await openChromium()
  try {
    const page = await signedIn(browser, base, email, password)
    // What every page loads is there.
    await page.goto('/account')
    await page.getByRole('link', { name: 'Members', exact: true }).waitFor()
    const from = performance.now()
    await page.getByRole('link', { name: 'Members', exact: true }).click()
    const list = page.getByRole('region', { name: 'Members' })
    await list.getByRole('row').nth(10).waitFor()
    const opened = performance.now() - from
    await page
      .getByRole('button', { name: /^Choose all / })
      .and(page.locator(':enabled'))
      .waitFor()
    const whole = performance.now() - from
    const times = await list.evaluate(async (box, count) => {
      const seen: number[] = []
      for (let i = 0; i <= count; i++) {
        seen.push(await new Promise<number>((resolve) => requestAnimationFrame(resolve)))
        box.scrollTop += 90
      }
      return seen
    }, frames)
    const gaps = times.slice(1).map((at, i) => at - (times[i] as number))
    const drawn = gaps.sort((a, b) => a - b)[Math.floor(gaps.length * 0.95)] as number
    return [
      {
        what: 'the members page of 10,000 opens, until members are seen',
        value: opened,
        budget: 1000,
        unit: 'ms',
      },
      { what: 'the same, until all of them are there', value: whole, unit: 'ms' },
      { what: 'scrolling it, from frame to frame, p95', value: drawn, budget: 17, unit: 'ms' },
    ]
  } finally {
    await browser.close()
  }
}
