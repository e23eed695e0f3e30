import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from './site.ts'
import { enter, importTemplate, inspect, templateFile } from './people.ts'
import { choose, pick } from './pickers.ts'

const first = (page: Page) => page.getByRole('region', { name: 'Slipway day, day 1' })
const exercise = (page: Page, name: string) =>
  first(page).getByRole('gridcell', { name: `Exercise: ${name}` })
const open = async (page: Page, name: string) => {
  await enter(page, 'Wren')
  await importTemplate(page, templateFile(name))
  await expect(exercise(page, 'Back squat')).toBeVisible()
}
const undo = (page: Page) => page.keyboard.press('Control+z')
const paste = async (page: Page, text: string) => {
  await page.evaluate((copied) => navigator.clipboard.writeText(copied), text)
  await page.keyboard.press('Control+v')
}

test('lines of a spreadsheet become slots, and what is not understood is kept in sight', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await open(page, 'Pasted')
  await first(page).getByRole('gridcell', { name: 'Add an exercise' }).focus()
  await paste(
    page,
    'Exercise\tSets\tReps\t%\tRest\nFront squat\t4\t5\t0.75\t180\nFlux press\t3\t8\t\t\nLeg curl\t3\t10-12\t\t90\n',
  )
  const faults = page.getByRole('dialog', { name: '1 line was not understood' })
  await expect(faults).toContainText('Flux press')
  await expect(faults).toContainText('No exercise is called “Flux press”.')
  await page.keyboard.press('Escape')
  await expect(exercise(page, 'Front squat')).toBeVisible()
  await expect(first(page).getByRole('gridcell', { name: 'Load of Front squat: 75%' })).toBeVisible()
  await expect(exercise(page, 'Leg curl')).toBeVisible()
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(exercise(page, 'Leg curl')).toBeHidden()
  await expect(exercise(page, 'Front squat')).toBeHidden()
})

test('slots are moved, copied, joined and removed by keys, and dragged by their letter', async ({ page }) => {
  await open(page, 'Moved')
  const letters = () => first(page).locator('[data-handle^="Line"]').allTextContents()
  await exercise(page, 'Bench press').focus()
  await page.keyboard.press('Alt+ArrowUp')
  await expect(
    first(page)
      .getByRole('gridcell', { name: /^Exercise/ })
      .first(),
  ).toHaveAccessibleName('Exercise: Bench press')
  await expect(exercise(page, 'Bench press')).toBeFocused()
  await page.keyboard.press('Control+d')
  await expect(first(page).getByRole('gridcell', { name: 'Exercise: Bench press' })).toHaveCount(2)
  await page.keyboard.press('Shift+ArrowDown')
  await page.keyboard.press('Alt+j')
  await expect.poll(letters).toEqual(['A1', 'A2', 'B'])
  await page.keyboard.press('Escape')
  await undo(page)
  await expect.poll(letters).toEqual(['A', 'B', 'C'])
  await page.keyboard.press('Delete')
  await expect.poll(letters).toEqual(['A', 'B'])
  await page.getByRole('button', { name: /^What was done/ }).click()
  await expect(page.getByRole('menuitem', { name: /^Removed: Bench press/ })).toBeVisible()
  await page.getByRole('menuitem', { name: /^Moved/ }).click()
  await expect.poll(letters).toEqual(['A', 'B'])
  await expect(
    first(page)
      .getByRole('gridcell', { name: /^Exercise/ })
      .first(),
  ).toHaveAccessibleName('Exercise: Back squat')

  const from = await first(page).locator('[data-handle="Line A"]').boundingBox()
  const to = await exercise(page, 'Bench press').boundingBox()
  if (!from || !to) throw new Error('nothing to drag')
  await page.mouse.move(from.x + 4, from.y + 4)
  await page.mouse.down()
  await page.mouse.move(to.x + 30, to.y + 8, { steps: 8 })
  await page.mouse.up()
  await expect(
    first(page)
      .getByRole('gridcell', { name: /^Exercise/ })
      .first(),
  ).toHaveAccessibleName('Exercise: Bench press')
})

test('phases are made longer, split, repeated and dragged, and cannot come to nothing', async ({ page }) => {
  await open(page, 'Phases')
  const strip = page.getByRole('region', { name: 'Season strip' })
  await strip.getByRole('button', { name: /^Week 2,/ }).focus()
  await page.keyboard.press('+')
  await expect(strip.getByText('Block, weeks 1 to 4')).toBeVisible()
  await page.keyboard.press('r')
  await expect(strip.getByText('Block, again, weeks 5 to 8')).toBeVisible()
  await undo(page)
  for (let i = 0; i < 3; i++) {
    await strip.getByRole('button', { name: /^Week 1,/ }).focus()
    await page.keyboard.press('-')
  }
  await expect(strip.getByText('Block, weeks 1 to 1')).toBeVisible()
  await page.keyboard.press('-')
  await expect(page.getByText('A phase has at least one week. To delete the phase, remove it.')).toBeVisible()
  const edge = await strip.getByTitle('Drag: longer or shorter').boundingBox()
  if (!edge) throw new Error('no edge')
  await page.mouse.move(edge.x + 4, edge.y + 4)
  await page.mouse.down()
  await page.mouse.move(edge.x - 300, edge.y + 4, { steps: 4 })
  await page.mouse.move(edge.x + 4, edge.y + 4, { steps: 4 })
  await page.mouse.up()
  await expect(strip.getByText('Block, weeks 1 to 1')).toBeVisible()
})

test('what a session and a phase say for all is inherited, looks it, and is written over', async ({
  page,
}) => {
  await open(page, 'Inherited')
  await first(page).getByRole('gridcell', { name: 'Sets of Bench press: 1' }).focus()
  await inspect(page, 'Phase')
  const phase = page.getByRole('region', { name: 'Phase Block' })
  await phase.getByText(/^More settings/).click()
  await phase.getByLabel('RIR').fill('12')
  await page.keyboard.press('Enter')
  await expect(phase.getByText('0 to 10, or a ramp that falls: 3-0, 3-0 over 3 weeks.')).toBeVisible()
  await phase.getByLabel('RIR').fill('3')
  await page.keyboard.press('Enter')
  const left = (said: string) => first(page).getByRole('gridcell', { name: `RIR of Bench press: ${said}` })
  await expect(left('3, inherited')).toBeVisible()
  await left('3, inherited').focus()
  await page.keyboard.type('1')
  await page.keyboard.press('Enter')
  await expect(left('1')).toBeVisible()
  await left('1').focus()
  await page.keyboard.press('Delete')
  await expect(left('3, inherited')).toBeVisible()
})

test('an exercise is replaced across the template, and a new line is offered the progression that its lift has', async ({
  page,
}) => {
  await open(page, 'Replaced')
  await first(page).getByRole('gridcell', { name: 'Add an exercise' }).focus()
  await page.keyboard.type('back squat 2x8')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Back squat has a progression already/)).toBeVisible()
  await first(page).getByRole('gridcell', { name: 'Exercise: Back squat' }).last().focus()
  await page.keyboard.press('Alt+f')
  await expect(first(page).getByRole('gridcell', { name: 'Load of Back squat: progression' })).toHaveCount(2)
  await inspect(page, 'Template')
  const replace = page.getByRole('region', { name: 'Replace an exercise' })
  await choose(replace.getByLabel('Replace'), 'Back squat')
  await replace.getByLabel('With').fill('front sq')
  await replace.getByRole('button', { name: 'Front squat' }).click()
  await expect(first(page).getByRole('gridcell', { name: 'Exercise: Front squat' })).toHaveCount(2)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(first(page).getByRole('gridcell', { name: 'Exercise: Back squat' })).toHaveCount(2)
})

test('a file with a broken slot is kept without it, and one of a newer version is left alone', async ({
  page,
}) => {
  await enter(page, 'Wren')
  const file = templateFile('Broken') as { slots: { bench: object } }
  await importTemplate(page, {
    ...file,
    slots: { ...file.slots, bench: { ...file.slots.bench, exercise: 'fluxPress' } },
  })
  const fault = page.getByRole('alert')
  await expect(fault).toContainText('slots.bench.exercise: expected an exercise of the library')
  await expect(fault).toContainText('without slots.bench')
  await fault.getByRole('button', { name: 'Import the rest' }).click()
  await expect(exercise(page, 'Back squat')).toBeVisible()
  await expect(exercise(page, 'Bench press')).toBeHidden()
  await importTemplate(page, { ...file, format: 3 })
  await expect(page.getByRole('alert')).toContainText('It was written by a newer version')
  await expect(page.getByRole('button', { name: 'Import the rest' })).toBeHidden()
})

test('a template to begin with opens whole, and is given out as the same file', async ({ page }) => {
  await enter(page, 'Wren')
  await page.goto('/templates')
  await page.getByRole('button', { name: 'New template…' }).click()
  await page.getByRole('tab', { name: 'Start from a ready-made template' }).click()
  await choose(page.getByLabel('Days a week'), '6')
  await page.getByRole('button', { name: 'Start with Six-day hybrid' }).click()
  await expect(page.getByLabel('Name of the template')).toHaveValue('Six-day hybrid')
  const waits = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download as a file' }).click()
  const text = await (await waits).createReadStream().then(async (stream) => {
    const parts: Buffer[] = []
    for await (const part of stream) parts.push(part as Buffer)
    return Buffer.concat(parts).toString()
  })
  await importTemplate(page, text)
  await expect(page.getByLabel('Name of the template')).toHaveValue('Six-day hybrid')
  await expect(page.getByRole('gridcell', { name: 'Exercise: Bench press' }).first()).toBeVisible()
})

for (const theme of ['light', 'dark'] as const)
  for (const width of [1280, 1920])
    test(`the workbench, the ways to begin and the exercises have no faults that a machine can find, ${theme}, ${width} wide`, async ({
      page,
    }) => {
      await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' })
      await page.setViewportSize({ width, height: width === 1280 ? 800 : 1080 })
      await open(page, 'Seen')
      const faults = async () =>
        (await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])
      await first(page).getByRole('gridcell', { name: 'Sets of Back squat: 2' }).focus()
      for (const tab of ['Template', 'Tracks', 'Phase', 'Session', 'Exercise', 'Progression'] as const) {
        await inspect(page, tab)
        if (tab === 'Tracks') await page.getByRole('button', { name: 'Add a track' }).click()
        expect([tab, await faults()]).toEqual([tab, []])
      }
      await page.goto('/templates')
      await page.getByRole('button', { name: 'New template…' }).click()
      await page.getByRole('tab', { name: 'Start from a ready-made template' }).click()
      expect(await faults()).toEqual([])
      await page.goto('/exercises')
      await page.getByRole('searchbox', { name: 'Find' }).fill('rom dead')
      await page.getByRole('button', { name: /^Romanian deadlift/ }).click()
      await expect(page.getByText('Hips back, bar down the thighs, flat back.')).toBeVisible()
      expect(await faults()).toEqual([])
    })

/** The small template with another rule for its squat. */
const withRule = (name: string, stage: object): object => ({
  ...templateFile(name),
  progressions: { squat: { stages: [{ id: 'one', ...stage }] } },
})

test('what a rule writes is fixed for one week by typing over it, and given back by Delete', async ({
  page,
}) => {
  await enter(page, 'Wren')
  const schemes = [
    { sets: 5, reps: 5, step: { kg: 2.5, lb: 5 } },
    { sets: 4, reps: 4, step: { kg: 5, lb: 10 } },
  ]
  const params = { startLoad: { kg: 60, lb: 135 }, schemes, misses: 1, backBy: 10 }
  await importTemplate(page, withRule('Fixed', { rule: 'schemeLadder', params }))
  const sets = (said: string) =>
    first(page).getByRole('gridcell', { name: new RegExp(`^Sets of Back squat: ${said}`) })
  await pick(page, 'Loads of', 'a strong lifter, made up')
  await expect(sets('2')).toContainText('→5')
  await sets('2').focus()
  await page.keyboard.type('3')
  await page.keyboard.press('Enter')
  await expect(sets('3, fixed')).toBeVisible()
  await expect(sets('3, fixed')).not.toContainText('→')
  await page.getByRole('button', { name: /^Week 2,/ }).click()
  await expect(weekTwo(page).getByRole('gridcell', { name: /^Sets of Back squat: 2/ })).toBeVisible()
  await page.getByRole('button', { name: /^Week 1,/ }).click()
  await sets('3, fixed').focus()
  await page.keyboard.press('Delete')
  await expect(sets('2')).toContainText('→5')
  // Filled over the weeks, it asks once; for this week alone it does not.
  await page.keyboard.type('4')
  await page.keyboard.press('Shift+Enter')
  const asked = page.getByRole('dialog', { name: 'Fill over computed cells?' })
  await expect(asked).toContainText('2 cells are computed by a progression')
  await asked.getByRole('button', { name: 'Only this week' }).click()
  await expect(sets('4, fixed')).toBeVisible()
  await page.getByRole('button', { name: /^Week 2,/ }).click()
  await expect(weekTwo(page).getByRole('gridcell', { name: /^Sets of Back squat: 2/ })).toBeVisible()
})

const weekTwo = (page: Page) => page.getByRole('region', { name: 'Slipway day, day 1' })

test('a slot has another role at each day of the week', async ({ page }) => {
  await enter(page, 'Wren')
  const params = {
    startPercent: 90,
    startReps: 5,
    heavyPercent: 111,
    volumeStep: { kg: 2.5, lb: 5 },
    heavyStep: { kg: 1, lb: 2.5 },
    misses: 2,
    resetBy: 10,
  }
  const file = withRule('Roles', { rule: 'volumeHeavy', params }) as { slots: Record<string, object> }
  const uses = [{ progression: 'squat', role: 'volume' }]
  await importTemplate(page, { ...file, slots: { ...file.slots, squat: { ...file.slots.squat, uses } } })
  await exercise(page, 'Back squat').focus()
  await inspect(page, 'Progression')
  const rules = page.getByRole('region', { name: 'Progressions of Back squat' })
  await expect(rules.getByLabel('In the role')).toHaveText('volume')
  await rules.getByRole('button', { name: 'One for each day of the week' }).click()
  await expect(rules.getByLabel('Day 1')).toHaveText('volume')
  await choose(rules.getByLabel('Day 2'), 'heavy')
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await page.reload()
  await exercise(page, 'Back squat').focus()
  await inspect(page, 'Progression')
  await expect(rules.getByLabel('Day 2')).toHaveText('heavy')
  await rules.getByRole('button', { name: 'The same on all days' }).click()
  await expect(rules.getByLabel('In the role')).toHaveText('volume')
})

test('a circuit is scored otherwise after it was made', async ({ page }) => {
  await open(page, 'Scored')
  await first(page).getByRole('gridcell', { name: 'Add an exercise' }).focus()
  await page.keyboard.type('dip 3x8')
  await page.keyboard.press('Enter')
  await expect(exercise(page, 'Dip')).toBeVisible()
  await exercise(page, 'Bench press').focus()
  await page.keyboard.press('Shift+ArrowDown')
  await page.keyboard.press('Alt+c')
  const dialog = page.getByRole('dialog', { name: 'One circuit of these lines' })
  await dialog.getByLabel('Rounds').fill('')
  await dialog.getByRole('button', { name: 'Make it' }).click()
  await expect(dialog.getByText('Whole rounds, 1 to 100.')).toBeVisible()
  await dialog.getByLabel('Rounds').fill('4')
  await dialog.getByRole('button', { name: 'Make it' }).click()
  await expect(dialog).toBeHidden()
  const made = first(page).getByRole('gridcell', { name: /^Exercise: Circuit/ })
  await made.focus()
  await inspect(page, 'Exercise')
  const circuit = page.getByRole('form', { name: 'Circuit' })
  await page
    .locator('summary')
    .filter({ hasText: /^Circuit: / })
    .click()
  await expect(circuit.getByLabel('Rounds')).toHaveValue('4')
  await choose(circuit.getByLabel('Scored by'), 'rounds within a time')
  await circuit.getByLabel('Minutes').fill('8')
  await circuit.getByRole('button', { name: 'Save circuit' }).click()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await page.reload()
  await made.focus()
  await inspect(page, 'Exercise')
  await page
    .locator('summary')
    .filter({ hasText: /^Circuit: / })
    .click()
  await expect(circuit.getByLabel('Minutes')).toHaveValue('8')
})

test('what a member has ahead colours the weeks that it falls into', async ({ page }) => {
  await enter(page, 'Wren')
  await page.getByRole('link', { name: /Tideway base/ }).click()
  await pick(page, 'Loads of', 'Isla Fenwater')
  await expect(page.getByRole('button', { name: /^Week \d+, .*Sister’s wedding/ })).toBeVisible()
  // However narrow its column, no cell but a long load is cut.
  const cells = page.getByRole('gridcell', { name: /^(Sets|Reps|RIR|Rest) of / })
  expect(await cells.count()).toBeGreaterThan(20)
  const cut = await cells.evaluateAll((all) =>
    all.filter((one) => one.scrollWidth > one.clientWidth).map((one) => one.ariaLabel),
  )
  expect(cut).toEqual([])
  await pick(page, 'Loads of', 'nobody')
  await expect(page.getByRole('button', { name: /Sister’s wedding/ })).toBeHidden()
})

test('sessions are moved and copied by keys, and dragged by their number', async ({ page }) => {
  await enter(page, 'Wren')
  const file = templateFile('Week') as { phases: object[]; sessions: Record<string, object>; slots: object }
  const phases = file.phases.map((phase) => ({ ...phase, rotation: ['d', 'e'] }))
  const evening = { name: 'Evening', sections: [{ name: 'Main', slots: ['dip'] }] }
  const dip = { exercise: 'dip', rows: { p: [[{ sets: 3, goal: { reps: 8 }, load: { of: 'free' } }]] } }
  await importTemplate(page, {
    ...file,
    phases,
    sessions: { ...file.sessions, e: evening },
    slots: { ...file.slots, dip },
  })
  const order = () =>
    page
      .getByRole('group', { name: /^Week/ })
      .getByRole('heading')
      .evaluateAll((heads) => heads.map((head) => head.textContent))
  await expect.poll(order).toEqual(['1Slipway day', '2Evening'])
  await exercise(page, 'Back squat').focus()
  await page.keyboard.press('Alt+.')
  await expect.poll(order).toEqual(['1Evening', '2Slipway day'])
  await page.keyboard.press('Alt+,')
  await expect.poll(order).toEqual(['1Slipway day', '2Evening'])
  await page.keyboard.press('Alt+Shift+C')
  await expect.poll(order).toEqual(['1Slipway day', '2Slipway day, copy', '3Evening'])
  await page.keyboard.press('Alt+Shift+N')
  await expect.poll(order).toEqual(['1Slipway day', '2Slipway day, copy', '3Evening', '4Session 4'])
  await undo(page)
  await undo(page)
  const handle = (place: number) => page.locator(`[data-handle="Day ${place}"]`)
  const [from, to] = [await handle(2).boundingBox(), await handle(1).boundingBox()]
  if (!from || !to) throw new Error('no handle')
  await page.mouse.move(from.x + 4, from.y + 8)
  await page.mouse.down()
  await page.mouse.move(from.x - 30, from.y + 8, { steps: 4 })
  await page.mouse.move(to.x + 20, to.y + 8, { steps: 8 })
  await page.mouse.up()
  await expect.poll(order).toEqual(['1Evening', '2Slipway day'])
  await undo(page)
  await expect.poll(order).toEqual(['1Slipway day', '2Evening'])
})

test('a lift without a max of its own is tied to its parent as the library has it', async ({ page }) => {
  await open(page, 'Tied')
  await first(page).getByRole('gridcell', { name: 'Add an exercise' }).focus()
  await page.keyboard.type('front squat 3x5 @ 80%')
  await page.keyboard.press('Enter')
  await expect(exercise(page, 'Front squat')).toBeVisible()
  await inspect(page, 'Template')
  const loads = page.getByRole('region', { name: 'Loads', exact: true })
  await loads.getByRole('button', { name: 'Change load settings' }).click()
  const dialog = page.getByRole('dialog', { name: 'Loads' })
  await dialog.getByRole('button', { name: 'Add usual ratios: front squat' }).click()
  await expect(dialog.getByLabel('Percent 1')).toHaveValue('82')
  await dialog.getByRole('button', { name: 'Save loads' }).click()
  await expect(loads).toContainText('Front squat at 82% of the back squat max until it has one')
})
