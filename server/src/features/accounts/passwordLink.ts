// npm run password-link: prints a link by which a person chooses another password. Whoever runs the server hands it to them.
import { parseArgs } from 'node:util'
import { connect } from '../../database/open.ts'
import { hashToken, newToken } from '../../security/token.ts'
import { readOwnerUrl, readPublicUrl } from '../../settings.ts'

async function main(): Promise<void> {
  const { email } = parseArgs({ options: { email: { type: 'string' } } }).values
  if (!email) throw new Error('--email is missing: the address that the person signs in with.')
  const publicUrl = readPublicUrl()
  const db = connect(readOwnerUrl())
  try {
    const account = await db('account').whereRaw('lower(email) = lower(?)', [email]).first('id')
    if (!account) throw new Error(`Nobody signs in with ${email}.`)
    const token = newToken()
    await db('account_letter').insert({
      token_hash: hashToken(token),
      account_id: account.id,
      ends_at: db.raw(`now() + interval '1 hour'`),
    })
    process.stdout.write(
      `Make sure that it is really this person who asks, and hand them this link. It works once, within an hour:\n${publicUrl}/reset#${token}\n`,
    )
  } finally {
    await db.destroy()
  }
}

main().catch((error: Error) => {
  process.stderr.write(`No link was made. ${error.message}\n`)
  process.exit(2)
})
