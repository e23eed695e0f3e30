/** A message to somebody of the gym. */
export type MailLine = {
  id: string
  toName: string
  toAddress: string
  subject: string
  body: string
  /** Null once it was sent, and where the link is worth nothing any more. */
  link: string | null
  madeAt: string
  sentAt: string | null
  /** Why it was not sent the last time that it was tried. */
  fault: string | null
}
