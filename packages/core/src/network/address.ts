import type { SiteNetwork } from '../job/records'

/** Dotted IPv4 to an unsigned number, or null where it is not one. */
export function ipv4(text: string): number | null {
  const match = /^(\d{1,3})\.(\d{1,3})\.(\d{1,3})\.(\d{1,3})$/.exec(text.trim())
  if (!match) return null
  const bytes = match.slice(1).map(Number)
  if (bytes.some((b) => b > 255)) return null
  return bytes.reduce((sum, b) => sum * 256 + b, 0)
}

export function ipv4Text(value: number): string {
  return [24, 16, 8, 0].map((shift) => Math.floor(value / 2 ** shift) % 256).join('.')
}

export function maskOf(prefix: number): string {
  return ipv4Text(2 ** 32 - 2 ** (32 - prefix))
}

/** Whether two addresses share their first `prefix` bits. */
export function sameSubnet(a: string, b: string, prefix: number): boolean {
  const x = ipv4(a)
  const y = ipv4(b)
  if (x === null || y === null) return false
  const size = 2 ** (32 - prefix)
  return Math.floor(x / size) === Math.floor(y / size)
}

/** What is wrong with an address for a device on this site, or null. `taken` maps an address to who has it. */
export function addressFault(address: string, network: SiteNetwork, taken: ReadonlyMap<string, string>): string | null {
  const value = ipv4(address)
  if (value === null)
    return `${address || 'An empty address'} is not an IPv4 address. Write four numbers, for example ${network.gateway}.`
  const base = ipv4(network.address) ?? 0
  const size = 2 ** (32 - network.prefix)
  const whole = `${network.address}/${network.prefix}`
  if (!sameSubnet(address, network.address, network.prefix))
    return `${address} lies outside ${whole}, the subnet of this site.`
  if (value === base) return `${address} is the network address of ${whole}; no device can have it.`
  if (value === base + size - 1) return `${address} is the broadcast address of ${whole}; no device can have it.`
  if (address === network.gateway) return `${address} is the gateway.`
  const owner = taken.get(address)
  return owner ? `${address} is already planned for ${owner}.` : null
}
