import { Button } from '../ui/Button.tsx'
import { sayError } from './api.ts'

type Props = { error: unknown; onRetry: () => unknown; className?: string }

/** What could not be read, and a button to try again; nothing where it could. */
export const NotRead = ({ error, onRetry, className = 'mt-6' }: Props) =>
  error ? (
    <p role="alert" className={className}>
      {sayError(error)}{' '}
      <Button look="quiet" onClick={() => void onRetry()}>
        Try again
      </Button>
    </p>
  ) : null
