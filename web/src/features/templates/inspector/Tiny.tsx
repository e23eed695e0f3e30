import { Button } from '../../../ui/Button.tsx'

type TinyProps = { label: string; isOff?: boolean; onClick: () => void; children: string }

export const Tiny = ({ label, isOff, onClick, children }: TinyProps) => (
  <Button look="quiet" aria-label={label} disabled={isOff} className="min-h-7 px-1 text-sm" onClick={onClick}>
    {children}
  </Button>
)
