type Props = { label: string; isOn: boolean; isDisabled?: boolean; onChange: (isOn: boolean) => void }

/** Something that is so or not, with a box to tick by thumb. */
export function Mark({ label, isOn, isDisabled, onChange }: Props) {
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-5 shrink-0 accent-leaf"
        disabled={isDisabled}
        checked={isOn}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  )
}
