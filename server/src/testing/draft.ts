import { randomUUID } from 'node:crypto'
import type { Command } from '@young-oak/core/template'
import type { Agent } from './world.ts'

/** The bench press of the small template in a row: other sets. */
export const benchSets = (from: number, to: number, row = 0): Command => ({
  do: 'setCell',
  slot: 'bench',
  phase: 'p',
  row,
  prescription: 'a',
  field: 'sets',
  from,
  to,
})

/** Sends a writer's commands, as their page does. */
export const edit = (writer: Agent, id: string, ...commands: Command[]) =>
  writer
    .post(`/api/templates/${id}/edits`)
    .send({ since: 0, edits: commands.map((command) => ({ id: randomUUID(), command })) })
