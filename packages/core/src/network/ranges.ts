import { ipv4, ipv4Text } from './address'

/** Addresses from one to another, both counted in. */
export interface AddressRange {
  from: number
  to: number
  /** It was written as a subnet that has an address of its own and one for everybody, which are nobody's. */
  subnet?: true
}

/** Ranges from words like `10.61.8.1-20, 10.61.8.200, 10.61.9.0/26`. Faults name the piece that is not understood. */
export function addressRanges(text: string): { ranges: AddressRange[]; faults: string[] } {
  const ranges: AddressRange[] = []
  const faults: string[] = []
  for (const piece of text
    .split(',')
    .map((p) => p.trim())
    .filter(Boolean)) {
    const range = piece.includes('/') ? subnetOf(piece) : rangeOf(piece)
    if (range) ranges.push(range)
    else faults.push(`“${piece}” is no range. Write 10.1.1.1-20, 10.1.1.0/26 or one address.`)
  }
  return { ranges, faults }
}

function rangeOf(piece: string): AddressRange | null {
  const [first = '', last, ...more] = piece.split(/\s*[-–]\s*/)
  const from = ipv4(first)
  const to = endOfRange(from, last)
  return from === null || to === null || to < from || more.length ? null : { from, to }
}

/** The end of a range that is written whole or by its last number; null where it is neither. */
function endOfRange(from: number | null, last: string | undefined): number | null {
  if (last === undefined) return from
  if (last.includes('.')) return ipv4(last)
  if (from === null || !/^\d{1,3}$/.test(last) || Number(last) > 255) return null
  return from - (from % 256) + Number(last)
}

/** A subnet as it is written, CIDR (RFC 4632): no bits of a device in it. */
function subnetOf(piece: string): AddressRange | null {
  const [address = '', prefix = '', ...more] = piece.split('/')
  const from = ipv4(address)
  const bits = /^\d{1,2}$/.test(prefix) ? Number(prefix) : NaN
  if (from === null || !(bits >= 8 && bits <= 32) || more.length) return null
  const size = 2 ** (32 - bits)
  if (from % size !== 0) return null
  return { from, to: from + size - 1, ...(bits <= 30 ? { subnet: true as const } : {}) }
}

/** So many addresses are asked in one search: sixteen subnets of the usual size. */
export const mostSwept = 4096

/** Every address of ranges that a device may have, each once, in order; or what is wrong with the text. */
export function addressesIn(text: string): { addresses: string[]; fault: string | null } {
  const { ranges, faults } = addressRanges(text)
  if (faults[0]) return { addresses: [], fault: faults[0] }
  if (ranges.length === 0) return { addresses: [], fault: 'Write an address or a range, for example 10.1.1.20-60.' }
  const usable = ranges.map(({ from, to, subnet }) => (subnet ? { from: from + 1, to: to - 1 } : { from, to }))
  const many = usable.reduce((sum, { from, to }) => sum + to - from + 1, 0)
  if (many > mostSwept)
    return {
      addresses: [],
      fault: `That is ${many} addresses; at most ${mostSwept} are asked in one search. Take a smaller range.`,
    }
  const all = new Set<number>()
  for (const { from, to } of usable) for (let n = from; n <= to; n++) all.add(n)
  return { addresses: [...all].sort((a, b) => a - b).map(ipv4Text), fault: null }
}
