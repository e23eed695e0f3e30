import { expect, type Page } from '@playwright/test'

/** Signs in as one of the demo's people. */
export async function enter(page: Page, who: string): Promise<void> {
  await page.goto('/sign-in')
  await page.getByRole('button', { name: new RegExp(who) }).click()
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible()
}

/** Signs in by an address, as somebody whom the sign-in page does not offer. */
export async function signIn(page: Page, email: string): Promise<void> {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail address').fill(email)
  await page.getByLabel('Password').fill('tideway-demo')
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible()
}

/** Goes from the template that is open to its page for publishing. */
export async function goPublishing(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Publish…' }).click()
  await expect(page.getByRole('heading', { level: 1, name: /^Publish / })).toBeVisible()
}

/** Publishes the template that is open to a member, from today on. */
export async function publishTo(page: Page, member: string): Promise<void> {
  await goPublishing(page)
  await page.getByRole('checkbox', { name: member }).check()
  await page.getByLabel('Start date').fill(new Date().toISOString().slice(0, 10))
  await page.getByRole('button', { name: 'Publish version 1 to 1 member' }).click()
  await expect(page.getByText(/Version 1 is published to 1 member/)).toBeVisible()
}

export const phone = { width: 390, height: 844 }

/** A small template file whose squat is a progression from 60 kg and whose bench press is 75% of the 1RM. */
export const templateFile = (name: string): object => ({
  format: 2,
  name,
  phases: [{ id: 'p', name: 'Block', weeks: 3, rotation: ['d'], perWeek: 2 }],
  sessions: { d: { name: 'Slipway day', sections: [{ name: 'Main', slots: ['squat', 'bench'] }] } },
  slots: {
    squat: {
      exercise: 'backSquat',
      uses: [{ progression: 'squat' }],
      rows: { p: [[{ id: 'a', sets: 2, goal: { reps: 5 }, load: { of: 'progression' }, rest: 120 }]] },
    },
    bench: {
      exercise: 'benchPress',
      rows: { p: [[{ id: 'a', sets: 1, goal: { reps: 5 }, load: { of: 'max', percent: 75 }, rest: 90 }]] },
    },
  },
  progressions: {
    squat: {
      stages: [
        {
          id: 'one',
          rule: 'linear',
          params: { startLoad: { kg: 60, lb: 135 }, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
        },
      ],
    },
  },
})

export async function importTemplate(page: Page, content: object | string): Promise<void> {
  await page.goto('/templates')
  await page.getByLabel('Template file').setInputFiles({
    name: 'template.json',
    mimeType: 'application/json',
    buffer: Buffer.from(typeof content === 'string' ? content : JSON.stringify(content)),
  })
}

/** Opens a part of the workbench's inspector. */
export const inspect = (
  page: Page,
  tab: 'Template' | 'Tracks' | 'Phase' | 'Session' | 'Exercise' | 'Progression',
) => page.getByRole('tab', { name: tab, exact: true }).click()
