/** What a supervised input can tell apart. */
export type InputState = 'short' | 'closed' | 'open' | 'cut'

/** Resistors at the far end of a supervised pair: one in series with the contact, one across it. Ohms. */
export interface EndResistors {
  seriesOhm: number
  parallelOhm: number
}
/** Ohms at the input between which a state is taken, from the controller's device sheet: below `short`, up to `closed`, up to `open`, above it cut. */
export interface Thresholds {
  shortBelow: number
  closedBelow: number
  cutAbove: number
}

/** Ohms at the input's terminals with the contact closed or open, the cable out and back counted. */
export function seenOhm(ends: EndResistors, cableOhm: number, contact: 'closed' | 'open'): number {
  return cableOhm + ends.seriesOhm + (contact === 'closed' ? 0 : ends.parallelOhm)
}

export function stateOf(ohm: number, t: Thresholds): InputState {
  if (ohm < t.shortBelow) return 'short'
  if (ohm < t.closedBelow) return 'closed'
  return ohm <= t.cutAbove ? 'open' : 'cut'
}

/** Whether every state is seen as what it is, in words where not. `at`: where the resistors sit. */
export function supervisionFaults(
  ends: EndResistors,
  cableOhm: number,
  t: Thresholds,
  at: 'device' | 'controller',
): string[] {
  const faults: string[] = []
  if (at === 'controller')
    faults.push(
      'The resistors sit at the controller: a short or a cut in the cable then looks like the contact. Put them at the far end.',
    )
  const closed = stateOf(seenOhm(ends, cableOhm, 'closed'), t)
  const open = stateOf(seenOhm(ends, cableOhm, 'open'), t)
  if (closed !== 'closed')
    faults.push(
      `With the contact closed the input sees ${seenOhm(ends, cableOhm, 'closed').toFixed(0)} Ω and takes it for ${closed}.`,
    )
  if (open !== 'open')
    faults.push(
      `With the contact open the input sees ${seenOhm(ends, cableOhm, 'open').toFixed(0)} Ω and takes it for ${open}.`,
    )
  return faults
}
