import { expect, test } from './site.ts'
import { enter, goPublishing, importTemplate, inspect, phone, signIn } from './people.ts'
import { choose, pick } from './pickers.ts'

/** A top set with back-offs that follow it, two tracks, and a day that one of them leaves something out of. */
const template = (name: string) => ({
  format: 2,
  name,
  phases: [{ id: 'p', name: 'Block', weeks: 3, rotation: ['d'], perWeek: 1 }],
  sessions: { d: { name: 'Bench day', sections: [{ name: 'Main', slots: ['bench', 'curl'] }] } },
  slots: {
    bench: {
      exercise: 'benchPress',
      rows: {
        p: [
          [
            { id: 'top', sets: 1, goal: { reps: 5 }, load: { of: 'max', percent: 80 }, kind: 'top' },
            { id: 'back', sets: 2, goal: { reps: 5 }, load: { of: 'topSet', percent: 90 }, kind: 'backOff' },
          ],
        ],
      },
    },
    curl: {
      exercise: 'dumbbellCurl',
      rows: { p: [[{ id: 'a', sets: 1, goal: { reps: 10 }, load: { of: 'free' } }]] },
    },
  },
  tracks: {
    lighter: {
      name: 'Lighter',
      changes: [
        { id: 'load', do: { kind: 'scaleLoad', by: -10 }, where: {} },
        { id: 'curl', do: { kind: 'drop' }, where: { slots: ['curl'] } },
      ],
    },
  },
})

test('a track is told line by line, tried on a member, and published to one, who sees why', async ({
  browser,
}) => {
  const desk = await browser.newPage()
  await enter(desk, 'Odell')
  await importTemplate(desk, template('Tracks to try'))
  await inspect(desk, 'Tracks')
  const tracks = desk.getByRole('region', { name: 'Tracks' })
  await expect(tracks.getByText('everywhere: load −10%')).toBeVisible()
  await expect(tracks.getByText('Dumbbell curl (Bench day): left out')).toBeVisible()

  // Hal's bench of 126 kg was given as a set of five: 80% of its estimate, and 10% less on the track.
  await pick(desk, 'Loads of', 'Hal Tideman')
  const load = desk
    .getByRole('region', { name: 'Bench day, day 1' })
    .getByRole('gridcell', { name: /: how it was worked out$/ })
    .first()
  const plain = Number.parseFloat((await load.textContent()) ?? '')
  await choose(desk.getByRole('combobox', { name: /^Track/ }), 'Lighter')
  const apart = async () => Math.abs(Number.parseFloat((await load.textContent()) ?? '') - plain * 0.9)
  await expect.poll(apart).toBeLessThanOrEqual(2.5)

  await goPublishing(desk)
  await desk.getByRole('checkbox', { name: 'Hal Tideman' }).check()
  await desk.getByLabel('Start date').fill(new Date().toISOString().slice(0, 10))
  await choose(desk.getByLabel('Track', { exact: true }), 'Lighter, for all')
  await desk.getByRole('button', { name: 'Publish version 1 to 1 member' }).click()
  await expect(desk.getByText(/Version 1 is published to 1 member/)).toBeVisible()

  const hand = await browser.newPage({ viewport: phone })
  await signIn(hand, 'hal@demo.example')
  const program = hand.locator('section').filter({ hasText: 'Tracks to try' }).first()
  await expect(program.getByText('Tracks to try, Lighter')).toBeVisible()
  await expect(program.getByText(/left out today \(track Lighter: left out\)/)).toBeVisible()
  await program
    .getByRole('button', { name: /: how it was worked out$/ })
    .first()
    .click()
  await expect(hand.getByText('Track Lighter: load −10%')).toBeVisible()
  await hand.keyboard.press('Escape')

  // Back-offs follow the bar at once: 60 kg on top makes them 90% of it, 54, on plates 55.
  await program.getByRole('button', { name: 'Start Bench day' }).click()
  await program.getByRole('button', { name: 'Change' }).click()
  await program.getByRole('textbox', { name: 'Load' }).fill('60')
  await program.getByRole('button', { name: /^Log/ }).first().click()
  await expect(program.getByRole('button', { name: 'Done: 55 kg × 5' })).toBeVisible()
  await Promise.all([desk.close(), hand.close()])
})
