/** A link names its gym, since what stands behind it is read behind the wall of that gym. What follows "#" is sent to no server by a browser. */
const linkOf = (publicUrl: string, behind: string): string => `${new URL('/join', publicUrl).href}#${behind}`

/** The link of an invitation, as a message keeps it: which server it is on is settled when it is sent or shown. */
export const invitePath = (gym: string, token: string): string => `/join#${gym}.${token}`

/** The link of an invitation. */
export const inviteLink = (publicUrl: string, gym: string, token: string): string =>
  linkOf(publicUrl, `${gym}.${token}`)

/** The link by which anybody may ask to join a gym. */
export const askLink = (publicUrl: string, gym: string, token: string): string =>
  linkOf(publicUrl, `${gym}.${asks}${token}`)

/** What stands before the token of a link that asks. No token of an invitation has a tilde. */
const asks = '~'

/** The gym of a link's token, and the secret of it; nothing where it is none. */
export function readLink(token: string): { gym: string; secret: string; isRequest: boolean } | null {
  const [gym = '', behind = '', ...rest] = token.split('.')
  if (!isUuid.test(gym) || rest.length > 0 || !behind) return null
  const isRequest = behind.startsWith(asks)
  return { gym, secret: isRequest ? behind.slice(asks.length) : behind, isRequest }
}

const isUuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/
