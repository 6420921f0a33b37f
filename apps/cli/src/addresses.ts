import {
  addressFault,
  FreeAddresses,
  ipv4,
  networkFault,
  addressRanges,
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
  const macs = macsOf(input.devices)
  const wrong = new Map(input.devices.map((d) => [d.ref, addressFaults(d, placeOf(d, open))]))
  const devices = input.devices.map((d) => {
    const ofAddress = wrong.get(d.ref) ?? []
    const found = [...macFaults(d, macs), ...ofAddress]
    const place = placeOf(d, open)
    const given = d.address && ofAddress.length === 0 ? d.address : nextFree(place)
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

function nextFree(place: Open) {
  place.free ??= new FreeAddresses(place.network, place.taken.keys(), 1)
  return place.free.take()
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
  const { faults } = addressRanges(s.reserved ?? '')
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

const macKey = (mac: string): string => mac.toUpperCase().replaceAll('-', ':')

function macsOf(devices: readonly AddressDevice[]): ReadonlyMap<string, string[]> {
  const by = new Map<string, string[]>()
  for (const d of devices) if (d.mac) by.set(macKey(d.mac), [...(by.get(macKey(d.mac)) ?? []), d.ref])
  return by
}

/** Two devices with one MAC address: one is written wrong, which says nothing of the IP address. */
function macFaults(device: AddressDevice, macs: ReadonlyMap<string, string[]>): string[] {
  const twins = (macs.get(macKey(device.mac ?? '')) ?? []).filter((r) => r !== device.ref)
  if (twins.length === 0) return []
  return [`${device.ref} has the same MAC address as ${twins.join(' and ')}: one of them is written wrong.`]
}

/** All that is wrong with a device's address; a right one is taken. */
function addressFaults(device: AddressDevice, place: Open): string[] {
  const { address } = device
  if (address === undefined) return []
  const found: string[] = []
  const n = ipv4(address)
  const { ranges } = addressRanges(place.network.reserved ?? '')
  if (n !== null && ranges.some((r) => n >= r.from && n <= r.to)) found.push(`${address} is reserved.`)
  const fault = addressFault(address, place.network, place.taken)
  if (fault) found.push(fault)
  if (found.length === 0) place.taken.set(address, device.ref)
  return found
}

const collisions = (devices: readonly AddressDevice[]): { address: string; refs: string[] }[] => {
  const by = new Map<string, string[]>()
  for (const d of devices) if (d.factory) by.set(d.factory, [...(by.get(d.factory) ?? []), d.ref])
  return [...by].filter(([, refs]) => refs.length > 1).map(([address, refs]) => ({ address, refs }))
}
