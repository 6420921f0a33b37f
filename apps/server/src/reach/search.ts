import { all, outOfReachWords } from '@rauta/core'
import { DeviceError, severalAtOnce, type Heard, type Protocol } from '@rauta/drivers'
import { driverAt, type Context } from '../context'
import { asking, remember } from './remember'
import { within } from './within'

/** Devices wait up to 500 ms before they answer (WS-Discovery), so the search never ends sooner than this in real time. */
const searchMs = 2500

/** Searches the segment in every protocol that can; what answers is put on the bench. Returns how many were heard. */
export async function search(context: Context): Promise<number> {
  context.listen()
  const heard: { device: Heard; protocol: Protocol }[] = []
  const stop = new AbortController()
  context.clock.after(Math.max(searchMs, 300 * context.clock.factor), () => stop.abort())
  const until = AbortSignal.any([stop.signal, context.ending])
  await Promise.all(
    context.protocols.all.map((protocol) =>
      protocol.search?.(context.dialer, (device) => heard.push({ device, protocol }), until),
    ),
  )
  await severalAtOnce(heard, ({ device, protocol }) => remember(context, protocol, device), asking.atOnce)
  return heard.length
}

/** The protocol in which something answers at an address. @throws DeviceError of the first where none does */
async function answersIn(context: Context, address: string, signal: AbortSignal): Promise<Protocol> {
  let first: unknown = null
  for (const protocol of context.protocols.all) {
    try {
      await driverAt(context, protocol, address, null, { signal }).time()
      return protocol
    } catch (error) {
      first ??= error
    }
  }
  throw first
}

/** One address is given so long to answer in any protocol, ms. */
const addressMs = 20_000

/** Names one address by hand: asks it who it is, until `stopped`. @throws DeviceError */
export async function askAddress(context: Context, address: string, stopped: AbortSignal): Promise<string> {
  context.listen()
  if (!context.dialer.inReach(address))
    throw new DeviceError(
      'noAddress',
      `${outOfReachWords(context.log.facts, address)} It has ${context.dialer
        .interfaces()
        .map((i) => `${i.address}/${i.prefix}`)
        .join(', ')}.`,
    )
  const protocol = await within(context, addressMs, address, (signal) =>
    answersIn(context, address, AbortSignal.any([signal, stopped])),
  )
  const known = all(context.log.facts, 'found').find((f) => f.address === address)
  const heard = known ?? { id: `at-${address}`, address, port: protocol.port, name: '', model: '', mac: '', serial: '' }
  await remember(
    context,
    protocol,
    {
      endpoint: heard.id,
      address,
      port: heard.port,
      name: heard.name,
      model: heard.model,
      mac: heard.mac,
      serial: heard.serial,
    },
    true,
  )
  return heard.id
}
