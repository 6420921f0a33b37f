import { all, type Controller } from '@rauta/core'
import { severalAtOnce } from '@rauta/drivers'
import type { Context } from '../context'
import { failureWords } from '../words'
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

/** Gives every device in service a new password, each proved by opening it; one that is not reached keeps the one it has. */
export async function renewPasswords(context: Context): Promise<Renewed[]> {
  const { facts } = context.log
  const controllers = all(facts, 'controller').filter((c) => facts.reach[c.id]?.owned)
  return await severalAtOnce(controllers, (c) => renewed(context, c), atOnce)
}

async function renewed(context: Context, controller: Controller): Promise<Renewed> {
  const { ref } = controller
  try {
    await within(context, eachMs, ref, async (signal) => {
      const driver = await provenDriver(context, controller.id, signal)
      const reach = context.log.facts.reach[controller.id]
      if (!driver || !reach) throw new Error('it is not in service')
      await renewSecret(context, controller, driver, driversOf(context, controller, reach, signal))
    })
    return { ref, ok: true, says: 'Has a new password, and opens to it.' }
  } catch (error) {
    return { ref, ok: false, says: `${failureWords(error, ref)} It keeps the password that it has.` }
  }
}
