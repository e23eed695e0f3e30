type Props = { said: string; isOn: boolean; onTap: () => void }

/** One answer among others, on or off. */
export function Chip({ said, isOn, onTap }: Props) {
  return (
    <button
      type="button"
      aria-pressed={isOn}
      onClick={onTap}
      className={`min-h-11 min-w-11 rounded-md border px-3 ${isOn ? 'border-leaf bg-leaf-wash font-semibold' : 'border-edge bg-sheet'}`}
    >
      {said}
    </button>
  )
}
