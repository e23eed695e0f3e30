import { chromium, type Browser, type Page } from '@playwright/test'
import { chromiumOptions } from '../../e2e/chromium.ts'
import { build, buildHeader } from '@young-oak/api/build'

export const headers = { [buildHeader]: String(build) }

export const openChromium = (): Promise<Browser> => chromium.launch(chromiumOptions)

/** A wide page with somebody signed in. */
export async function signedIn(
  browser: Browser,
  base: string,
  email: string,
  password: string,
): Promise<Page> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: base })
  await page.request.post('/api/session', { data: { email, password }, headers })
  return page
}
