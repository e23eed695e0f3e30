// Two gyms whose own exercises have the same ids and mean different things: a plan knows of no gym but the one it is handed.
import { Worker } from 'node:worker_threads'
import { describe, expect, test } from '@jest/globals'
import { asTable, fixtureJson, inputOf, readFixture } from '../../fixtures/read.ts'
import type { OwnExercise } from '../library/index.ts'
import { planMember, type Planned, type PlanInput } from '../plan/index.ts'

const name = 'a-gyms-own-exercises-one-merged'
const merged = inputOf(readFixture(name))
const row = merged.library['own:slip-row'] as OwnExercise
/** The same files in a gym whose slip row trains the arms: a week that is lighter for the back alone leaves it as it is. */
const other: PlanInput = {
  ...merged,
  library: { ...merged.library, 'own:slip-row': { ...row, direct: ['biceps'], indirect: [] } },
}

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
const table = (input: PlanInput, planned: Planned = planMember(input)) => asTable(input, planned)

/** A thread that has seen nothing before it plans: what it answers comes from its input alone. */
const thread = `
  const { parentPort, workerData } = require('node:worker_threads')
  import('tsx/esm/api').then(({ register }) => register())
    .then(() => import(workerData.core))
    .then(({ planMember }) => parentPort.postMessage(planMember(workerData.input)))
`

/** Planned in a thread that was made for it, from what is left of the input after it was sent as JSON. */
const inFreshThread = (input: PlanInput): Promise<Planned> =>
  new Promise((resolve, reject) => {
    const core = new URL('../plan/index.ts', import.meta.url).href
    const worker = new Worker(thread, { eval: true, workerData: { core, input: plain(input) } })
    worker.once('message', resolve).once('error', reject)
  })

describe('two gyms with own exercises of the same ids', () => {
  test('are not planned alike', () => {
    expect(table(merged)).toEqual(fixtureJson(name, 'expected'))
    expect(table(other)).not.toEqual(table(merged))
  })

  test('planned in turn in one process, each plan is the one it has alone', () => {
    const [first, second] = [plain(planMember(merged)), plain(planMember(other))]
    for (let turn = 0; turn < 3; turn += 1) {
      expect(plain(planMember(other))).toEqual(second)
      expect(plain(planMember(merged))).toEqual(first)
    }
  })

  test('a fresh thread plans each as this one does', async () => {
    const planned = await Promise.all([merged, other].map(inFreshThread))
    expect(planned.map(plain)).toEqual([merged, other].map((input) => plain(planMember(input))))
  }, 120_000)
})
