/**
 * How addresses of the site map to addresses of this computer while a simulated site stands in for the real one.
 * Prefixes are mapped one to one, so an address on screen looks like the site's and moving a device moves its listener.
 */
export interface NetTable {
  prefixes: { site: string; wire: string; length: number }[]
  /** Port on the site to port on the wire, for example 80 to 18080. */
  ports: Record<string, number>
  /** Interfaces that this computer is taken to have, in the site's terms. */
  interfaces: { name: string; address: string; prefix: number }[]
  discoveryPort?: number
}

const value = (address: string) => address.split('.').reduce((sum, part) => sum * 256 + Number(part), 0)
const dotted = (n: number) => [24, 16, 8, 0].map((shift) => Math.floor(n / 2 ** shift) % 256).join('.')

function translate(address: string, pairs: readonly { from: string; to: string; length: number }[]): string | null {
  for (const { from, to, length } of pairs) {
    const size = 2 ** (32 - length)
    if (Math.floor(value(address) / size) === Math.floor(value(from) / size))
      return dotted(Math.floor(value(to) / size) * size + (value(address) % size))
  }
  return null
}

export const toWire = (table: NetTable, address: string): string | null =>
  translate(
    address,
    table.prefixes.map((p) => ({ from: p.site, to: p.wire, length: p.length })),
  )
export const toSite = (table: NetTable, address: string): string | null =>
  translate(
    address,
    table.prefixes.map((p) => ({ from: p.wire, to: p.site, length: p.length })),
  )
export const wirePort = (table: NetTable, port: number): number => table.ports[String(port)] ?? port
export function sitePort(table: NetTable, port: number): number {
  const entry = Object.entries(table.ports).find(([, wire]) => wire === port)
  return entry ? Number(entry[0]) : port
}
