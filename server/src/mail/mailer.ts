import { createTransport } from 'nodemailer'
import type { Settings } from '../settings.ts'

export type Letter = { to: string; subject: string; text: string }

/** Hands a letter to the mail server; rejects where that does not take it. */
export type Mailer = (letter: Letter) => Promise<void>

/** What is sent with, and where links lead to; without a mail server nothing is sent. */
export type Post = { mailer: Mailer | null; publicUrl: string }

/** How long a mail server may be silent, in milliseconds. */
const patience = 10_000

export function openPost({ smtp, publicUrl }: Pick<Settings, 'smtp' | 'publicUrl'>): Post {
  if (!smtp) return { mailer: null, publicUrl }
  const transport = createTransport({
    url: smtp.url,
    connectionTimeout: patience,
    greetingTimeout: patience,
    socketTimeout: patience,
    disableFileAccess: true,
    disableUrlAccess: true,
  })
  return {
    mailer: async (letter) => void (await transport.sendMail({ from: smtp.from, ...letter })),
    publicUrl,
  }
}
