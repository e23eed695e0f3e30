import { headShape } from '../read/shape.ts'
import { changed, defineCommand, fromNow, swapped } from './command.ts'

export const setName = defineCommand<{ do: 'setName'; from: string; to: string }>({
  do: 'setName',
  apply: (draft, { from, to }) =>
    draft.name === from ? { ...draft, name: to } : changed('The name', draft.name),
  check: (checker, _, { to }) => void checker.check(headShape.pick(['name']), { name: to }, ''),
  say: (_library, _draft, { to }) => `Name: ${to}`,
  inverse: swapped,
  renew: fromNow(({ name }) => name),
})
