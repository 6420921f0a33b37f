import { all, type Facts } from '../job/facts'
import { jobOf } from '../job/records'
import { ipv4, ipv4Text, maskOf, sameSubnet } from './address'
import { takenAddresses } from './plan'

/** An address that this computer may take beside its own, to reach a device in another subnet. */
export interface BesideAddress {
  address: string
  prefix: number
}

/** RFC 3927, 2.1: a device takes one of these when nobody gives it an address; the first and last 256 are kept free. */
const linkLocal = { network: '169.254.0.0', prefix: 16, keptFree: 256 }
/** Common practice, no source: what a device is made with stands in a network of this size. */
const usualPrefix = 24

/** Whether a device gave itself this address since nobody gave it one (RFC 3927). */
export const isLinkLocal = (address: string): boolean => sameSubnet(address, linkLocal.network, linkLocal.prefix)

/**
 * A free address in the subnet of a device, searched from the end, where fewest have theirs.
 * @param site its own subnet, where the device stands in it
 * @returns null where none is free, or the device has none
 */
export function addressBeside(
  device: string,
  taken: ReadonlySet<string>,
  site?: { address: string; prefix: number },
): BesideAddress | null {
  const at = ipv4(device)
  if (at === null) return null
  const local = isLinkLocal(device)
  const inSite = site && sameSubnet(device, site.address, site.prefix) ? site.prefix : null
  const prefix = local ? linkLocal.prefix : (inSite ?? usualPrefix)
  const size = 2 ** (32 - prefix)
  const first = at - (at % size)
  const spared = local ? linkLocal.keptFree : 1
  for (let n = first + size - 1 - spared; n >= first + spared; n--) {
    const address = ipv4Text(n)
    if (n !== at && !taken.has(address)) return { address, prefix }
  }
  return null
}

/** Addresses that are planned, were heard, or belong to the network itself. */
function takenHere(facts: Facts): Set<string> {
  const network = jobOf(facts)?.network
  return new Set([
    ...all(facts, 'found').map((f) => f.address),
    ...takenAddresses(facts, '').keys(),
    ...(network ? [network.gateway, network.timeServer] : []),
  ])
}

/**
 * That this computer cannot reach a device where it stands, and which address to give it for as long as it takes.
 * @param planned the device that it is or may become, where somebody knows
 */
export function outOfReachWords(facts: Facts, device: string, planned?: { ref: string; address: string }): string {
  const site = jobOf(facts)?.network
  const beside = addressBeside(device, takenHere(facts), site)
  const why = isLinkLocal(device) ? ', which it gave itself since nobody gave it another (RFC 3927)' : ''
  const start = `This computer has no address in the subnet of ${device}${why}.`
  if (!beside) return start
  const here = site && sameSubnet(device, site.address, site.prefix)
  const stands = planned?.address ? `until ${planned.ref} stands at ${planned.address}` : 'until the device has its own'
  return `${start} Give its network adapter ${beside.address}, mask ${maskOf(beside.prefix)}, beside its own${here ? '' : `, ${stands}`}; then search again.`
}
