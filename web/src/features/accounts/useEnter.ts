import { useNavigate } from 'react-router'
import { api } from '../../app/api.ts'
import { endSigningOut } from '../../app/signingOut.ts'
import { useAppDispatch } from '../../app/store.ts'

/** Opens the page of whoever has just been signed in by the server. */
export function useEnter(): () => Promise<void> {
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  return async () => {
    endSigningOut()
    await dispatch(api.endpoints.session.initiate(undefined, { forceRefetch: true }))
    void navigate('/')
  }
}
