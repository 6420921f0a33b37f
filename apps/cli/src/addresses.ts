import {
  addressFault,
  FreeAddresses,
  ipv4,
  networkFault,
  reservedRanges,
  sameSubnet,
  writingFault,
  type SiteNetwork,
} from '@rauta/core'
import { refuseTwins } from './input'
import { Bad, told, type Outcome } from './outcome'

interface Subnet {
  name?: string
  network: string
  prefix: number
  gateway: string
  timeServer?: string
  reserved?: string
}
interface AddressDevice {
  ref: string
  address?: string
  factory?: string
  mac?: string
  /** Name of its subnet, where there are several. */
  subnet?: string
}
export interface AddressesInput extends Partial<Subnet> {
  subnets?: (Subnet & { name: string })[]
  /** Addresses of somebody else, with whose they are. */
  foreign?: { address: string; whose: string }[]
  devices: AddressDevice[]
}

/** A subnet with what is taken in it, and what may still be given. */
interface Open {
  network: SiteNetwork
  taken: Map<string, string>
  free: FreeAddresses | null
}

/** Addresses for devices, in order: each keeps one that is right, and every fault of one that is not is told. */
export function addresses(input: AddressesInput): Outcome {
  const subnets = subnetsOf(input)
  refuseTwins(input.devices.map((d) => d.ref), 'devices') // prettier-ignore
  for (const f of input.foreign ?? []) exact(f.address, 'foreign')
  for (const d of input.devices) if (d.factory !== undefined) exact(d.factory, `devices: ${d.ref}, factory`)
  const open = new Map(subnets.map((s): [string, Open] => [s.name ?? '', openedOf(s, input.foreign ?? [])]))
  const faults = new Map(input.devices.map((d) => [d.ref, faultsOf(d, placeOf(d, open), macsOf(input.devices))]))
  const devices = input.devices.map((d) => {
    const found = faults.get(d.ref) ?? []
    if (d.address && found.length === 0) return { ref: d.ref, address: d.address }
    const place = placeOf(d, open)
    place.free ??= new FreeAddresses(place.network, place.taken.keys(), 1)
    const given = onlyMac(found) && d.address ? d.address : place.free.take()
    return {
      ref: d.ref,
      address: given || null,
      ...faultsTold(given ? found : [...found, `The subnet ${place.network.address}/${place.network.prefix} is full.`]),
    }
  })
  return told(
    devices.every((d) => !('faults' in d)),
    { devices, collidingFactoryAddresses: collisions(input.devices) },
  )
}

const faultsTold = (faults: string[]) => (faults.length ? { fault: faults.join(' '), faults } : {})

function subnetsOf(input: AddressesInput): Subnet[] {
  const { network, prefix, gateway, timeServer, reserved, subnets = [] } = input
  const own = network !== undefined && prefix !== undefined && gateway !== undefined
  const list: Subnet[] = own
    ? [
        {
          network,
          prefix,
          gateway,
          ...(timeServer === undefined ? {} : { timeServer }),
          ...(reserved === undefined ? {} : { reserved }),
        },
        ...subnets,
      ]
    : subnets
  if (list.length === 0) throw new Bad('the input needs network, prefix and gateway, or subnets.')
  refuseTwins(list.map((s) => s.name ?? ''), 'subnets') // prettier-ignore
  for (const s of list) checkSubnet(s)
  const overlap = list.find((a, i) => list.some((b, k) => k < i && meet(a, b)))
  if (overlap) throw new Bad(`subnets: ${overlap.network}/${overlap.prefix} lies in another one of the list.`)
  return list
}

const meet = (a: Subnet, b: Subnet): boolean => sameSubnet(a.network, b.network, Math.min(a.prefix, b.prefix))

/** @throws Bad where it is no address as everybody writes it */
function exact(text: string, where: string): void {
  const fault = writingFault(text)
  if (fault) throw new Bad(`${where}: ${fault}`)
}

function checkSubnet(s: Subnet): void {
  const where = s.name ? `subnets: ${s.name}, ` : ''
  const fault = networkFault(networkOf(s))
  if (fault) throw new Bad(`${where}${fault.field === 'address' ? 'network' : fault.field}: ${fault.says}`)
  const { faults } = reservedRanges(s.reserved ?? '')
  if (faults[0]) throw new Bad(`${where}reserved: ${faults[0]}`)
}

const networkOf = (s: Subnet): SiteNetwork => ({
  address: s.network,
  prefix: s.prefix,
  gateway: s.gateway,
  timeServer: s.timeServer ?? '',
  reserved: s.reserved ?? '',
})

const openedOf = (s: Subnet, foreign: readonly { address: string; whose: string }[]): Open => ({
  network: networkOf(s),
  taken: new Map(foreign.map((f) => [f.address, f.whose])),
  free: null,
})

function placeOf(device: AddressDevice, open: ReadonlyMap<string, Open>): Open {
  const named = device.subnet === undefined ? [...open.values()][0] : open.get(device.subnet)
  if (!named) throw new Bad(`devices: ${device.ref} is in subnet ${device.subnet}, which is not in the list.`)
  if (device.subnet === undefined && open.size > 1 && device.address) {
    const within = [...open.values()].find((o) => sameSubnet(device.address ?? '', o.network.address, o.network.prefix))
    return within ?? named
  }
  return named
}

function macsOf(devices: readonly AddressDevice[]): ReadonlyMap<string, string[]> {
  const by = new Map<string, string[]>()
  for (const d of devices)
    if (d.mac) {
      const key = d.mac.toUpperCase().replaceAll('-', ':')
      by.set(key, [...(by.get(key) ?? []), d.ref])
    }
  return by
}

const macWords = 'has the same MAC address as'
const onlyMac = (faults: readonly string[]): boolean => faults.length > 0 && faults.every((f) => f.includes(macWords))

/** All that is wrong with a device's address; a right one is taken. */
function faultsOf(device: AddressDevice, place: Open, macs: ReadonlyMap<string, string[]>): string[] {
  const found: string[] = []
  const twins = macs.get((device.mac ?? '').toUpperCase().replaceAll('-', ':')) ?? []
  if (twins.length > 1)
    found.push(
      `${device.ref} ${macWords} ${twins.filter((r) => r !== device.ref).join(' and ')}: one of them is written wrong.`,
    )
  const { address } = device
  if (address === undefined) return found
  const n = ipv4(address)
  const { ranges } = reservedRanges(place.network.reserved ?? '')
  if (n !== null && ranges.some((r) => n >= r.from && n <= r.to)) found.push(`${address} is reserved.`)
  const fault = addressFault(address, place.network, place.taken)
  if (fault) found.push(fault)
  if (found.length === 0 || onlyMac(found)) place.taken.set(address, device.ref)
  return found
}

const collisions = (devices: readonly AddressDevice[]): { address: string; refs: string[] }[] => {
  const by = new Map<string, string[]>()
  for (const d of devices) if (d.factory) by.set(d.factory, [...(by.get(d.factory) ?? []), d.ref])
  return [...by].filter(([, refs]) => refs.length > 1).map(([address, refs]) => ({ address, refs }))
}
