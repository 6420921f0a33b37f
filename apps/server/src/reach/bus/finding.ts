import { busDevicesOn, type BusDevice } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { hasCode, type BusAt } from '@rauta/drivers'
import type { Context } from '../../context'
import { wantedAt, type Bus } from './through'

/** How far the search is, is told after so many addresses. */
const tellEvery = 16

/** Where a device was found that nobody has taken yet, or why it was not. */
export type FoundOnBus = { at: BusAt } | { why: string }

/** Who answers at an address. @throws DeviceError where the bus itself is not reached */
async function answersAt(bus: Bus, at: BusAt, tries?: number): Promise<'nobody' | 'somebody' | 'several'> {
  try {
    await bus.at(at, tries === undefined ? {} : { tries }).identify()
    return 'somebody'
  } catch (error) {
    if (hasCode(error, 'silent')) return 'nobody'
    if (hasCode(error, 'garbled')) return 'several'
    // It understood, and has a key: somebody is there.
    if (hasCode(error, 'notAuthorized') || hasCode(error, 'refused')) return 'somebody'
    throw error
  }
}

/** Looks for a planned device on its bus: where it is wanted, where it leaves the factory, at other speeds, at every address. */
export async function findOnBus(
  context: Context,
  device: BusDevice,
  bus: Bus,
  tell: (says: string) => Promise<unknown>,
): Promise<FoundOnBus> {
  const { protocol } = bus
  const wanted = wantedAt(device, protocol)
  // Whoever answers where another is planned is that one, taken or not.
  const others = new Set(
    busDevicesOn(context.log.facts, sheetsFor(context.log.facts), device.controller)
      .filter((d) => d.port === device.port && d.id !== device.id)
      .map((d) => d.address),
  )
  const there = await answersAt(bus, wanted)
  if (there === 'somebody') return { at: wanted }
  if (there === 'several') return { why: garbledWords(await othersHurt(bus, device), wanted) }
  const heard = await atOtherSpeeds(bus, wanted)
  if (heard) return heard
  const strangers: number[] = []
  for (let address = 0; address <= protocol.highestAddress; address++) {
    if (address === wanted.address || others.has(address)) continue
    if (address % tellEvery === 0)
      await tell(`Nobody at ${wanted.address}: asking every address, ${address} of ${protocol.highestAddress} done.`)
    if ((await answersAt(bus, { ...wanted, address }, 1)) !== 'nobody') strangers.push(address)
  }
  const [only, ...more] = strangers
  if (only === undefined) {
    const crowded = await crowdedAmong(bus, [...others], wanted)
    if (crowded !== null)
      return {
        why: `Nobody answers at ${wanted.address}, and several at once at address ${crowded}, where another reader is planned: this one may be set to it.`,
      }
    return {
      why: `Nothing answers on ${device.port}. Has the reader its supply, and are A and B on their own screws at both ends?`,
    }
  }
  if (more.length === 0) return { at: { ...wanted, address: only } }
  return {
    why: `Readers that are planned nowhere answer at ${strangers.join(', ')}, and none at ${wanted.address}. Leave only this one on the bus, or set its address first.`,
  }
}

/** The first of these addresses at which several answer at once. */
async function crowdedAmong(bus: Bus, addresses: readonly (number | null)[], { speed }: BusAt): Promise<number | null> {
  for (const address of addresses)
    if (address !== null && (await answersAt(bus, { address, speed }, 1)) === 'several') return address
  return null
}

/** At another speed nobody but the one that is set to it makes sense of a question. */
async function atOtherSpeeds(bus: Bus, wanted: BusAt): Promise<FoundOnBus | null> {
  for (const speed of bus.protocol.speeds) {
    if (speed === wanted.speed) continue
    try {
      return { at: { address: await bus.protocol.alone(bus.line, speed), speed } }
    } catch (error) {
      if (hasCode(error, 'garbled'))
        return { why: `Several readers answer at ${speed} bit/s. Leave only this one on the bus.` }
      if (hasCode(error, 'notAuthorized') || hasCode(error, 'refused'))
        return {
          why: `A reader answers at ${speed} bit/s, and says who it is only under a key. Bring it back to its factory state as its maker says, then go on.`,
        }
      if (!hasCode(error, 'silent')) throw error
    }
  }
  return null
}

/** Whether what other readers of the bus say comes hurt as well. */
export async function othersHurt(bus: Bus, device: BusDevice): Promise<boolean> {
  const seen = await bus.controller.busDevices?.()
  return (seen ?? []).some((s) => s.port === device.port && s.address !== device.address && s.garbled > 0)
}

export const garbledWords = (everywhere: boolean, { address }: BusAt): string =>
  everywhere
    ? 'What readers say on this bus comes hurt, that of others too. Look at the terminators: one at each end of the bus and nowhere else.'
    : `Several answer at once at address ${address}, or what is said comes hurt. Look for a second reader at this address, then at the terminators.`
