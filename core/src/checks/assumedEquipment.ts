import { isAssumed } from '../evidence/index.ts'
import { liftKey, liftName } from '../library/index.ts'
import { hasComputedLoad } from '../template/index.ts'
import { defineCheck } from './check.ts'

/** Loads that are made of the usual equipment, since nobody has listed what there is. Said once, of the first such lift. */
export const assumedEquipment = defineCheck({
  kind: 'assumedEquipment',
  title: 'Equipment not listed',
  sure: 'rule',
  ofEnrolment({ library, template, evidence }) {
    const slot = Object.values(template.slots).find(
      (one) => hasComputedLoad(one) && isAssumed(library, evidence, one),
    )
    return slot ? [{ message: 'assumed', subject: liftKey(slot), where: liftName(library, slot) }] : []
  },
  messages: {
    assumed: {
      what: 'The equipment here is not listed: the usual bar, plates, dumbbells and stacks are assumed.',
      next: 'List the equipment of the location.',
    },
  },
})
