import { choiceField } from '../parsing/index.ts'
import type { Unit } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

export const unit = defineFact<{ unit: Unit }, { unit: Unit }>({
  kind: 'unit',
  shape: factShape({ unit: choiceField(['kg', 'lb']).required() }),
  none: { unit: 'kg' },
  learn: (_, fact) => ({ unit: fact.unit }),
  examples: [{ say: 'pounds from here on', fact: { unit: 'lb' }, want: { unit: 'lb' } }],
})
