import { defineCheck } from './check.ts'

/** Something in the profile asks for the word of a licensed professional, and there is none yet. */
export const notCleared = defineCheck({
  kind: 'notCleared',
  title: 'See a licensed professional first',
  sure: 'rule',
  ofMember({ evidence: { askFirst } }) {
    if (!askFirst.reasons.length || askFirst.isCleared) return []
    return [
      {
        message: 'open',
        subject: 'profile',
        where: 'Profile',
        data: { reasons: askFirst.reasons.join(', ') },
      },
    ]
  },
  messages: {
    open: {
      what: 'The profile names: {reasons}.',
      next: 'See a licensed professional before training, then say so in the profile.',
    },
  },
})
