import SignaturePadLibrary from 'signature_pad'
import { useEffect, useRef } from 'react'
import { useGround } from '../theme'

/** A field to sign in with a finger; hands over the stroke as SVG path data in a 390 by 150 frame. */
export function SignaturePad({ label, onStroke }: { label: string; onStroke: (path: string) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const ground = useGround()
  useEffect(() => {
    const element = canvas.current
    if (!element) return undefined
    const ratio = window.devicePixelRatio || 1
    element.width = element.offsetWidth * ratio
    element.height = element.offsetHeight * ratio
    element.getContext('2d')?.scale(ratio, ratio)
    const pad = new SignaturePadLibrary(element, { penColor: ground.ink, minWidth: 1.2, maxWidth: 2.6 })
    const scale = Math.min(390 / element.offsetWidth, 150 / element.offsetHeight)
    // A finger may leave the field; what is kept does not.
    const inside = (v: number, most: number) => Math.min(most, Math.max(0, v * scale)).toFixed(1)
    const told = () =>
      onStroke(
        pad
          .toData()
          .map((stroke) =>
            stroke.points.map((p, i) => `${i ? 'L' : 'M'}${inside(p.x, 390)} ${inside(p.y, 150)}`).join(' '),
          )
          .join(' '),
      )
    pad.addEventListener('endStroke', told)
    return () => {
      pad.off()
    }
  }, [ground, onStroke])
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={label}
      style={{
        width: '100%',
        height: 150,
        background: ground.sheet,
        border: `1px solid ${ground.ink}`,
        touchAction: 'none',
      }}
    />
  )
}
