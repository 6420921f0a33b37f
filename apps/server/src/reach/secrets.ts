import type { Controller } from '@rauta/core'
import { ability, hasCode, type Driver, type Secret } from '@rauta/drivers'
import { factorySecret, type Context } from '../context'
import { strongSecret } from '../security/vault'

const secretId = (controller: string) => `device/${controller}`
/** One that was sent, or is about to be, and has not opened the device yet. */
const nextId = (controller: string) => `device/${controller}/next`

const named = (context: Context, controller: Controller, password: string): Secret => ({
  user: factorySecret(context.log.facts, controller).user,
  password,
})

/** This job's password of a device, where it has one. */
export async function ownSecret(context: Context, controller: Controller): Promise<Secret | null> {
  const password = await context.vault.get(secretId(controller.id))
  return password ? named(context, controller, password) : null
}

/** Every password of this job that may open a device: the one that does, and one that was on its way when something broke. */
export async function ownSecrets(context: Context, controller: Controller): Promise<Secret[]> {
  const kept = await Promise.all([secretId, nextId].map((id) => context.vault.get(id(controller.id))))
  return kept.flatMap((password) => (password ? [named(context, controller, password)] : []))
}

/** The one that was on its way has opened the device: it is the device's from now on. */
export async function settle(context: Context, controller: Controller, opened: Secret): Promise<void> {
  const next = await context.vault.get(nextId(controller.id))
  if (next === opened.password) await context.vault.move(nextId(controller.id), secretId(controller.id))
}

/**
 * Gives a device a password that nothing else ever had. It is kept before it is sent, beside the one before: wherever it breaks off,
 * one of the two opens the device. Only when the device has opened to it does it take the other's place.
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
  await context.vault.put(nextId(controller.id), password)
  await ability(driver, 'setSecret')(password)
  const secret = named(context, controller, password)
  await opened(secret).identify()
  await settle(context, controller, secret)
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
