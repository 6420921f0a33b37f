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

/** Why a text is not an address as everybody writes and reads it, or null: blanks and leading zeros mean something else to some devices. */
export function writingFault(text: string): string | null {
  if (ipv4(text) === null || text !== text.trim())
    return `“${text}” is not an IPv4 address. Write four numbers with dots, 10.1.1.20.`
  return /(^|\.)0\d/.test(text)
    ? `${text} has leading zeros, which some devices read as another number. Leave them out.`
    : null
}

/** What is wrong with the subnet of a site: the field, and how to mend it. Null where nothing is. */
export function networkFault(n: SiteNetwork): { field: 'address' | 'gateway' | 'timeServer'; says: string } | null {
  const written = writingFault(n.address)
  if (written) return { field: 'address', says: written }
  const base = ipv4(n.address) ?? 0
  const size = 2 ** (32 - n.prefix)
  const whole = `${n.address}/${n.prefix}`
  if (base % size !== 0)
    return {
      field: 'address',
      says: `${n.address} has bits of a device in it for /${n.prefix}. Write the address at which the subnet begins, ${ipv4Text(base - (base % size))}.`,
    }
  const way = writingFault(n.gateway)
  if (way) return { field: 'gateway', says: way }
  const gateway = ipv4(n.gateway) ?? 0
  const fault = (says: string) => ({ field: 'gateway' as const, says })
  if (gateway < base || gateway >= base + size) return fault(`The gateway ${n.gateway} lies outside ${whole}.`)
  // A pair of two has neither (RFC 3021).
  if (n.prefix < 31 && gateway === base)
    return fault(`${n.gateway} is the network address of ${whole}; no gateway can have it.`)
  if (n.prefix < 31 && gateway === base + size - 1)
    return fault(`${n.gateway} is the broadcast address of ${whole}; no gateway can have it.`)
  const clock = n.timeServer === '' ? null : writingFault(n.timeServer)
  return clock ? { field: 'timeServer', says: clock } : null
}

/** What is wrong with an address for a device on this site, or null. `taken` maps an address to who has it. */
export function addressFault(address: string, network: SiteNetwork, taken: ReadonlyMap<string, string>): string | null {
  const value = ipv4(address)
  if (value !== null && writingFault(address)) return writingFault(address)
  if (value === null)
    return `${address || 'An empty address'} is not an IPv4 address. Write four numbers, for example ${network.gateway}.`
  const base = ipv4(network.address) ?? 0
  const size = 2 ** (32 - network.prefix)
  const whole = `${network.address}/${network.prefix}`
  if (!sameSubnet(address, network.address, network.prefix))
    return `${address} lies outside ${whole}, the subnet of this site.`
  if (network.prefix < 31 && value === base)
    return `${address} is the network address of ${whole}; no device can have it.`
  if (network.prefix < 31 && value === base + size - 1)
    return `${address} is the broadcast address of ${whole}; no device can have it.`
  if (address === network.gateway) return `${address} is the gateway.`
  if (address === network.timeServer) return `${address} is the time server.`
  const owner = taken.get(address)
  return owner ? `${address} is already planned for ${owner}.` : null
}
