import { useEffect } from 'react'
import { api } from './api.ts'

const key = 'young-oak-signing-out'

/** Somebody has signed out here, and the server may not have heard of it yet: nobody's data is shown meanwhile. */
export const isSigningOut = (): boolean => localStorage.getItem(key) !== null
export const beginSigningOut = (): void => localStorage.setItem(key, 'yes')
export const endSigningOut = (): void => localStorage.removeItem(key)

/** Tells the server at the next chance. */
export function useSigningOut(): void {
  const [signOut] = api.useSignOutMutation()
  useEffect(() => {
    if (!isSigningOut()) return
    const tell = async () => {
      if (!isSigningOut()) return
      const { error } = await signOut()
      if (!error) endSigningOut()
    }
    void tell()
    const timer = setInterval(() => void tell(), 3000)
    return () => clearInterval(timer)
  }, [signOut])
}
