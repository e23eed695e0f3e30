import { sayError } from './api.ts'

/** What kept a form from being sent, in one sentence below its fields; nothing where nothing did. */
export const Fault = ({ error, className = '' }: { error: unknown; className?: string }) =>
  error ? (
    <p role="alert" className={`text-brick ${className}`}>
      {sayError(error)}
    </p>
  ) : null
