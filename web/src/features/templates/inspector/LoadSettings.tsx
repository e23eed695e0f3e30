import { useState } from 'react'
import type { Template } from '@young-oak/core/template'
import { useLibrary } from '../../library/useLibrary.ts'
import { Button } from '../../../ui/Button.tsx'
import { Modal } from '../../../ui/Modal.tsx'
import { saySettings } from './loadSettings.ts'
import { SettingsForm } from './SettingsForm.tsx'

/** How the template makes loads of maxes and takes missed weeks: what is set, as sentences; what is usual on request. */
export function LoadSettings({ draft }: { draft: Template }) {
  const library = useLibrary()
  const [isOpen, setOpen] = useState(false)
  const { set, usual } = saySettings(library, draft)
  return (
    <section aria-label="Loads">
      <h3 className="text-lg">Loads</h3>
      <ul className="mt-1 text-sm text-bark">
        {set.map((said) => (
          <li key={said}>{said}.</li>
        ))}
      </ul>
      <details className="text-sm text-bark">
        <summary className="cursor-pointer py-1 underline underline-offset-4">
          Usual settings ({usual.length})
        </summary>
        <ul>
          {usual.map((said) => (
            <li key={said}>{said}.</li>
          ))}
        </ul>
      </details>
      <Button look="plain" className="mt-2 text-sm" onClick={() => setOpen(true)}>
        Change load settings
      </Button>
      <Modal
        title="Loads"
        about="Changes act from the next version on."
        isOpen={isOpen}
        onClose={() => setOpen(false)}
      >
        <SettingsForm draft={draft} onClose={() => setOpen(false)} />
      </Modal>
    </section>
  )
}
