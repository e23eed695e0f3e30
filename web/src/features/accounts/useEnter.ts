import { useNavigate } from 'react-router'
import { api } from '../../app/api.ts'
import { endSigningOut } from '../../app/signingOut.ts'
import { useAppDispatch } from '../../app/store.ts'

/** Opens a page for whoever has just been signed in by the server: their first, or the one that is named. */
export function useEnter(): (to?: string) => Promise<void> {
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  return async (to = '/') => {
    endSigningOut()
    await dispatch(api.endpoints.session.initiate(undefined, { forceRefetch: true }))
    void navigate(to)
  }
}
