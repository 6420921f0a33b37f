import type { Controller } from '@rauta/core'
import { ability, hasCode, type Driver, type Secret } from '@rauta/drivers'
import { factorySecret, type Context } from '../context'
import { strongSecret } from '../security/vault'
import { openerOf, openersOf, renewOpener, settleOpener } from './opener'

/** The account by which this job opens a device: its sheet's, or the one that somebody entered when it was taken. */
const accountOf = ({ log: { facts } }: Context, controller: Controller): string =>
  facts.claim[controller.id]?.user ?? facts.reach[controller.id]?.user ?? factorySecret(facts, controller).user

const named = (context: Context, controller: Controller, password: string): Secret => ({
  user: accountOf(context, controller),
  password,
})

/** This job's password of a device, where it has one. */
export async function ownSecret(context: Context, controller: Controller): Promise<Secret | null> {
  const password = await openerOf(context.vault, controller.id)
  return password ? named(context, controller, password) : null
}

/** Every password of this job that may open a device: the one that does, and one that was on its way when something broke. */
export const ownSecrets = async (context: Context, controller: Controller): Promise<Secret[]> =>
  (await openersOf(context.vault, controller.id)).map((password) => named(context, controller, password))

/** The one that was on its way has opened the device: it is the device's from now on. */
export const settle = (context: Context, controller: Controller, opened: Secret): Promise<void> =>
  settleOpener(context.vault, controller.id, opened.password)

/**
 * Gives a device a password that nothing else ever had.
 * @param driver opened by what opens it now, so that none that was on its way before is the device's; @param opened a driver under another password
 * @throws DeviceError
 */
export async function renewSecret(
  context: Context,
  controller: Controller,
  driver: Driver,
  opened: (secret: Secret) => Driver,
): Promise<void> {
  const password = strongSecret()
  await renewOpener(
    context.vault,
    controller.id,
    password,
    () => ability(driver, 'setSecret')(password),
    () => opened(named(context, controller, password)).identify(),
  )
}

/** After a refusal: whether the password that was on its way opens the device; then it is its own from now on. */
export async function settledBy(
  context: Context,
  controller: Controller,
  opened: (secret: Secret) => Driver,
): Promise<boolean> {
  for (const secret of (await ownSecrets(context, controller)).slice(1)) {
    try {
      await opened(secret).identify()
      await settle(context, controller, secret)
      return true
    } catch (error) {
      if (!hasCode(error, 'notAuthorized')) throw error
    }
  }
  return false
}
