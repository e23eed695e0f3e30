import { Command } from 'cmdk'
import { Modal } from '../../ui/Modal.tsx'
import { acts, keyOf, type Act, type ActName } from './sheet/acts/index.ts'

export type PaletteCommand = { label: string; keys?: string; run: () => void }

type Props = {
  isOpen: boolean
  /** What is done with the whole template. */
  commands: PaletteCommand[]
  /** Does something on the cell that the keyboard stands on. */
  onAct: (name: ActName) => void
  onClose: () => void
}

/** Everything that can be done, by its name: type a few letters of it and press Enter. */
export function Palette({ isOpen, commands, onAct, onClose }: Props) {
  const choose = (run: () => void) => () => {
    onClose()
    // The keyboard goes back to the sheet first: what is chosen acts on the cell that it stands on.
    requestAnimationFrame(run)
  }
  return (
    <Modal title="Commands" isOpen={isOpen} onClose={onClose}>
      <Command label="Find a command" loop>
        <Command.Input
          autoFocus
          placeholder="Find a command"
          className="min-h-11 w-full rounded-md border border-edge bg-sheet px-3 text-ink"
        />
        <Command.List className="mt-2 max-h-[55dvh] overflow-y-auto">
          <Command.Empty className="p-3 text-bark">No command has these words.</Command.Empty>
          <Command.Group heading="Template" className={headed}>
            {commands.map(({ label, keys, run }) => (
              <Item key={label} keys={keys} onSelect={choose(run)}>
                {label}
              </Item>
            ))}
          </Command.Group>
          <Command.Group heading="Exercise, session and week" className={headed}>
            {acts.map((act: Act & { name: ActName }) =>
              act.label === undefined ? null : (
                <Item key={act.name} keys={keyOf(act)} onSelect={choose(() => onAct(act.name))}>
                  {act.label}
                </Item>
              ),
            )}
          </Command.Group>
        </Command.List>
      </Command>
    </Modal>
  )
}

const headed =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-bark'

type ItemProps = { keys?: string; onSelect: () => void; children: string }

const Item = ({ keys, onSelect, children }: ItemProps) => (
  <Command.Item
    onSelect={onSelect}
    className="flex cursor-pointer justify-between gap-6 rounded px-3 py-1.5 data-[selected=true]:bg-leaf-wash"
  >
    {children}
    {keys && <span className="text-sm text-bark">{keys}</span>}
  </Command.Item>
)
