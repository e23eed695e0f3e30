// The same input gives the same plan in Node and in Chromium, to the last plate.
import { fileURLToPath } from 'node:url'
import { expect, test } from './site.ts'
import { build } from 'vite'
import { fixtureJson, fixtureNames, readFixture } from '../core/fixtures/read.ts'
import { planFiles } from './planInPage.ts'

/** The engine bundled for a page, as one script that leaves `engine` behind. */
async function bundle(): Promise<string> {
  const made = await build({
    configFile: false,
    logLevel: 'error',
    build: {
      write: false,
      lib: {
        entry: fileURLToPath(new URL('planInPage.ts', import.meta.url)),
        formats: ['iife'],
        name: 'engine',
      },
    },
  })
  const [first] = Array.isArray(made) ? made : [made]
  const [chunk] = first && 'output' in first ? first.output : []
  if (!chunk || !('code' in chunk)) throw new Error('the engine was not bundled')
  return chunk.code
}

test('every case worked by hand is planned alike in Node and in Chromium', async ({ page }) => {
  await page.goto('about:blank')
  await page.addScriptTag({ content: await bundle() })
  for (const name of fixtureNames) {
    const templates = Object.fromEntries(
      Object.keys(readFixture(name).versions).map((one) => [one, JSON.stringify(fixtureJson(name, one))]),
    )
    const member = JSON.stringify(fixtureJson(name, 'member'))
    const inPage = await page.evaluate(
      ([files, text]) =>
        (globalThis as unknown as { engine: { planFiles: typeof planFiles } }).engine.planFiles(files, text),
      [templates, member] as const,
    )
    expect(inPage, name).toBe(planFiles(templates, member))
  }
})
