import { hash, verify } from '@node-rs/argon2'

/** argon2id with the library's parameters (19 MiB, two passes), which follow OWASP's password storage advice. */
export const hashPassword = (password: string): Promise<string> => hash(password)

/** Takes as long for an account that does not exist, so that time tells nobody which do. */
export async function isPassword(stored: string | undefined, password: string): Promise<boolean> {
  nobody ??= await hashPassword('nobody signs in with this')
  const fits = await verify(stored ?? nobody, password)
  return fits && stored !== undefined
}

let nobody: string | undefined
