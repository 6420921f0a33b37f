/** By reference, `Q-2` before `Q-10`. */
export const byRef = (a: { ref: string }, b: { ref: string }): number =>
  a.ref.localeCompare(b.ref, 'en', { numeric: true })

/** In the order in which doors are walked. */
export const byWalk = (a: { walk: number; ref: string }, b: { walk: number; ref: string }): number =>
  a.walk - b.walk || byRef(a, b)
