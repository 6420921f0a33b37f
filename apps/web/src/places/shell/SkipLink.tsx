import { useState } from 'react'
import { faces, useGround } from '../../theme'

/** The list, where one stands beside its detail, or the detail alone: whichever comes first. */
const firstStop = ['region', 'main'].map((role) => `[role="${role}"] [tabindex="0"]`).join(', ')

/** The first Tab leads past the places to what the screen is about; seen only while it has the cursor. */
export function SkipLink() {
  const ground = useGround()
  const [on, setOn] = useState(false)
  const skip = () => document.querySelector<HTMLElement>(firstStop)?.focus()
  return (
    <button
      type="button"
      onFocus={() => setOn(true)}
      onBlur={() => setOn(false)}
      onClick={skip}
      style={{
        position: 'absolute',
        zIndex: 20,
        top: 8,
        left: on ? 8 : -9999,
        minHeight: 44,
        padding: '0 16px',
        fontFamily: faces.strong,
        fontSize: 17,
        color: ground.ink,
        background: ground.sheet,
        border: `2px solid ${ground.ink}`,
      }}
    >
      To what this screen is about
    </button>
  )
}
