import { all, busDevicesOn, type BusDevice, type Controller } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { severalAtOnce } from '@rauta/drivers'
import type { Context } from '../context'
import { failureWords } from '../words'
import { rekeyOnBus } from './bus/rekey'
import { driversOf, provenDriver } from './inService'
import { renewSecret } from './secrets'
import { within } from './within'

/** What became of one device when its password was changed. */
export interface Renewed {
  ref: string
  ok: boolean
  says: string
}

/** One device is given so long, ms; so many are at work at once. */
const eachMs = 30_000
const atOnce = 4

/** Gives every device in service a new password, and every reader on a bus a new key, each proved by opening it; one that is not reached keeps the one it has. */
export async function renewPasswords(context: Context): Promise<Renewed[]> {
  const { facts } = context.log
  const controllers = all(facts, 'controller').filter((c) => facts.reach[c.id]?.owned)
  // What hangs on a controller comes after it: both are talked to over the same way.
  const renewed = await severalAtOnce(
    controllers,
    async (controller) => {
      const own = await renewedController(context, controller)
      const devices = busDevicesOn(facts, sheetsFor(facts), controller.id).filter(({ id }) => facts.reach[id]?.owned)
      const hanging: Renewed[] = []
      for (const device of devices) hanging.push(await renewedOnBus(context, device))
      return [own, ...hanging]
    },
    atOnce,
  )
  return renewed.flat()
}

const renewedController = (context: Context, controller: Controller): Promise<Renewed> =>
  renewedBy(context, controller.ref, 'password', async (signal) => {
    const driver = await provenDriver(context, controller.id, signal)
    const reach = context.log.facts.reach[controller.id]
    if (!driver || !reach) throw new Error('it is not in service')
    await renewSecret(context, controller, driver, driversOf(context, controller, reach, signal))
  })

const renewedOnBus = (context: Context, device: BusDevice): Promise<Renewed> =>
  renewedBy(context, device.ref, 'key', (signal) => rekeyOnBus(context, device, signal))

async function renewedBy(
  context: Context,
  ref: string,
  what: 'password' | 'key',
  work: (signal: AbortSignal) => Promise<void>,
): Promise<Renewed> {
  try {
    await within(context, eachMs, ref, work)
    return { ref, ok: true, says: `Has a new ${what}, and opens to it.` }
  } catch (error) {
    return { ref, ok: false, says: `${failureWords(error, ref)} It keeps the ${what} that it has.` }
  }
}
