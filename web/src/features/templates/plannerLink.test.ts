import { expect, test } from '@jest/globals'
import type { Command, Template } from '@young-oak/core/template'
import type { PlannerLine } from '../../workers/openPlanner.ts'
import { makePlanner } from '../../workers/planner.ts'
import { plannerLink, type Source } from './plannerLink.ts'

const template: Template = {
  format: 2,
  name: 'One day',
  maxes: { use: 'newest' },
  missed: 'hold',
  rounding: 'nearest',
  phases: [{ id: 'p', name: 'Block', weeks: 1, rotation: ['d'], perWeek: 1, deloads: [] }],
  sessions: { d: { name: 'Day', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: {
    squat: {
      exercise: 'backSquat',
      by: 'week',
      uses: [],
      rows: { p: [[{ id: 'a', sets: 3, goal: { reps: 5 }, load: { of: 'free' } }]] },
    },
  },
  progressions: {},
  tracks: {},
}
const rename = (from: string, to: string): Command => ({ do: 'setName', from, to })
/** Planners here answer in microtasks, all of which are done before the next timer. */
const settled = () => new Promise((resolve) => setTimeout(resolve))

/** A page whose planner is the real one, off a worker; `troubles` says what happens to each that is opened. */
function page(...troubles: ('throws' | 'hangs' | undefined)[]) {
  const source: Source = {
    template: 't',
    day: '2026-03-02',
    library: {},
    draft: template,
    asked: { track: null, phase: 'p', phaseWeek: 1, laid: [] },
    trial: null,
  }
  const seen: string[] = []
  const opened: { crash: () => void; isOver: boolean }[] = []
  const open = (crash: () => void): PlannerLine => {
    const trouble = troubles[opened.length]
    const mine = { crash, isOver: false }
    opened.push(mine)
    const own = makePlanner()
    const planner = new Proxy(own, {
      get:
        (target, name: keyof typeof own) =>
        (...args: never[]) => {
          if (name === 'seasons' && trouble === 'throws') return Promise.reject(new Error('out of memory'))
          if (name === 'seasons' && trouble === 'hangs') return new Promise(() => undefined)
          return Promise.resolve().then(() => (target[name] as (...all: never[]) => unknown)(...args))
        },
    })
    return { planner: planner as never, end: () => (mine.isOver = true) }
  }
  const link = plannerLink(open, () => source, {
    preview: () => undefined,
    seasons: ({ own }) => seen.push(`${own.length} week${own.length === 1 ? '' : 's'}`),
    fault: (is) => seen.at(-1) !== 'fault' && is && seen.push('fault'),
  })
  return { source, seen, opened, link }
}

test('is sent the draft and then what changes, and shows what comes of it', async () => {
  const { source, seen, link, opened } = page()
  link.ask()
  await settled()
  expect(seen).toEqual(['1 week'])
  link.draft(rename('One day', 'Another'))
  await settled()
  source.draft = { ...template, phases: [{ ...template.phases[0]!, weeks: 3 }] } as Template
  link.draft(null)
  await settled()
  expect(seen).toEqual(['1 week', '1 week', '3 weeks'])
  expect(opened).toHaveLength(1)
})

test('a planner that throws is closed, and another is sent everything', async () => {
  const { seen, link, opened } = page('throws')
  link.ask()
  await settled()
  expect(seen).toEqual(['fault', '1 week'])
  expect(opened.map(({ isOver }) => isOver)).toEqual([true, false])
})

test('one whose worker breaks never answers: another is opened, and the last draft is shown', async () => {
  const { source, seen, link, opened } = page('hangs')
  link.ask()
  await settled()
  source.draft = { ...template, phases: [{ ...template.phases[0]!, weeks: 2 }] } as Template
  link.draft(null)
  opened[0]?.crash()
  await settled()
  expect(seen).toEqual(['fault', '2 weeks'])
})

test('what fails twice waits for a change, and is tried again with it', async () => {
  const { seen, link, opened } = page('throws', 'throws')
  link.ask()
  await settled()
  expect(opened).toHaveLength(2)
  link.ask()
  await settled()
  expect(seen).toEqual(['fault', '1 week'])
  expect(opened).toHaveLength(3)
})

test('after its end nothing is opened or shown any more', async () => {
  const { seen, link, opened } = page('hangs')
  link.ask()
  link.end()
  opened[0]?.crash()
  link.ask()
  await settled()
  expect(seen).toEqual([])
  expect(opened.map(({ isOver }) => isOver)).toEqual([true])
})
