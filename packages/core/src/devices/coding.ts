/** How a bank of switches or a turning switch stands for an address, as the device's sheet says. */
export interface SwitchCoding {
  kind: 'binary' | 'decade'
  /** Switches of a bank, or turning switches of ten positions. */
  positions: number
  /** Which end of the bank counts least, as it is read: switch 1 first. */
  order: 'leastFirst' | 'mostFirst'
  /** True where a switch that is on counts nothing. */
  inverted: boolean
  /** Added to what the switches show: a bank at nought may mean address 1. */
  offset: number
  /** As they stand in the box. */
  factory: number[]
  says?: string
}
export type SwitchAnswer = { ok: true; switches: number[]; words: string } | { ok: false; says: string }

/** Positions of one switch. */
export const base = (coding: Pick<SwitchCoding, 'kind'>) => (coding.kind === 'decade' ? 10 : 2)

/** Lowest and highest address that the switches can stand for. */
export function addressRange(coding: SwitchCoding): { from: number; to: number } {
  return { from: coding.offset, to: base(coding) ** coding.positions - 1 + coding.offset }
}

/** How the switches stand for an address: position 1 first; 1 is on, or the digit of a turning switch. */
export function switchesFor(coding: SwitchCoding, address: number): SwitchAnswer {
  const { from, to } = addressRange(coding)
  if (!Number.isInteger(address) || address < from || address > to)
    return { ok: false, says: `Its switches stand for ${from} to ${to}; ${address} is not among them.` }
  const digits: number[] = []
  let left = address - coding.offset
  for (let i = 0; i < coding.positions; i++) {
    const digit = left % base(coding)
    digits.push(coding.inverted ? base(coding) - 1 - digit : digit)
    left = Math.floor(left / base(coding))
  }
  const switches = coding.order === 'leastFirst' ? digits : digits.reverse()
  return { ok: true, switches, words: switchWords(coding, switches) }
}

/** The other way: what the switches show, and the address that is. @throws RangeError for another number of switches or a position that there is not */
export function addressOf(coding: SwitchCoding, switches: readonly number[]): number {
  if (switches.length !== coding.positions)
    throw new RangeError(
      `This device has ${coding.positions} ${coding.kind === 'decade' ? 'turning switches' : 'switches'}; ${switches.length} were given.`,
    )
  const wrong = switches.find((s) => !Number.isInteger(s) || s < 0 || s >= base(coding))
  if (wrong !== undefined) throw new RangeError(`A switch cannot stand at ${wrong}.`)
  const leastFirst = coding.order === 'leastFirst' ? switches : [...switches].reverse()
  return (
    leastFirst.reduce((sum, s, i) => sum + (coding.inverted ? base(coding) - 1 - s : s) * base(coding) ** i, 0) +
    coding.offset
  )
}

function switchWords(coding: SwitchCoding, switches: readonly number[]): string {
  if (coding.kind === 'decade') return `Turn to ${switches.join(' ')}`
  const on = switches.flatMap((s, i) => (s === 1 ? [i + 1] : []))
  return on.length ? `On: ${on.join(' ')}. All others off.` : 'All off.'
}
