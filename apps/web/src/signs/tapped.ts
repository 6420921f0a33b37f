interface Tap {
  clientX: number
  clientY: number
  currentTarget: { getBoundingClientRect(): { left: number; top: number } }
}

/** Where a drawing was tapped, in its own pixels. Goes on the view around a drawing: the drawing itself hears only presses without a place. */
export function tapped(then: (x: number, y: number) => void): object {
  return {
    onClick: (tap: Tap) => {
      const { left, top } = tap.currentTarget.getBoundingClientRect()
      then(tap.clientX - left, tap.clientY - top)
    },
  }
}
