import type { MailLine } from '../mail.ts'
import { contract, paged, pageOf } from './contract.ts'
import { exact, orNull, text } from './reads.ts'

export const mail = {
  ...contract({
    method: 'get',
    path: '/mail',
    says: 'Messages to people of the gym, the latest first: each with its link until it was sent or the link is over.',
    who: ['owner'],
    query: paged,
    answer: pageOf(
      exact<MailLine>(
        {
          id: text(),
          toName: text(),
          toAddress: text(),
          subject: text(),
          body: text(),
          link: orNull(text()),
          madeAt: text(),
          sentAt: orNull(text()),
          fault: orNull(text()),
        },
        'Mail',
      ),
    ),
    problems: [],
  }),
}
