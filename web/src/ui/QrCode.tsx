import { toString as drawQr } from 'qrcode'
import { useEffect, useState } from 'react'
import { Modal } from './Modal.tsx'

type Props = { link: string; whose: string; onClose: () => void }

/** A link as a picture, for a phone that is held against the screen. */
export function QrCode({ link, whose, onClose }: Props) {
  const [drawn, setDrawn] = useState('')
  useEffect(() => {
    void drawQr(link, { type: 'svg', margin: 2 }).then(setDrawn)
  }, [link])
  return (
    <Modal
      isOpen
      title={`QR code for ${whose}`}
      about="Open the phone’s camera and point it here."
      onClose={onClose}
    >
      {drawn && (
        <img
          alt={`QR code of the link for ${whose}`}
          src={`data:image/svg+xml;utf8,${encodeURIComponent(drawn)}`}
          className="mx-auto w-full max-w-72"
        />
      )}
    </Modal>
  )
}
