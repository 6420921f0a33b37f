/** Made once: with a locale and options each comparison would make one anew. */
const collator = new Intl.Collator('en', { numeric: true })

/** Names and numbers as people put them in order: `Q-2` before `Q-10`. */
export const inNameOrder = (a: string, b: string): number => collator.compare(a, b)

/** By reference, `Q-2` before `Q-10`. */
export const byRef = (a: { ref: string }, b: { ref: string }): number => inNameOrder(a.ref, b.ref)

/** References in their order: `D-2, D-10`. */
export const refsOf = (things: readonly { ref: string }[]): string =>
  [...things]
    .sort(byRef)
    .map((t) => t.ref)
    .join(', ')

/** In the order in which doors are walked. */
export const byWalk = (a: { walk: number; ref: string }, b: { walk: number; ref: string }): number =>
  a.walk - b.walk || byRef(a, b)
