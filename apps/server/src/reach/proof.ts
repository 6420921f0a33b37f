import { randomInt } from 'node:crypto'
import type { Secured } from '@rauta/core'
import { hasCode, type Protocol, type Secret } from '@rauta/drivers'
import { driverAt, type Context } from '../context'
import { strongSecret } from '../security/vault'

/** So often it is asked; a stranger that guesses which of them is the wrong one is right once in so many. */
const asks = 8

/**
 * Whether a device knows a password, and does not only say yes: of eight questions one, at random, is signed with another password, and
 * it has to refuse that one alone. The password itself is never sent. One wrong password is fewer than shuts any device.
 * A stranger between that passes everything on to the device is not told apart: HTTPS with a pinned certificate does that.
 * @throws DeviceError where it does not answer
 */
export async function knowsSecret(
  context: Context,
  protocol: Protocol,
  at: { address: string; port: number; secured?: Secured | undefined },
  secret: Secret,
  signal: AbortSignal,
): Promise<boolean> {
  const wrong = randomInt(asks)
  for (let i = 0; i < asks; i++) {
    const asked = i === wrong ? { ...secret, password: strongSecret() } : secret
    const driver = driverAt(context, protocol, at.address, asked, { port: at.port, secured: at.secured, signal })
    const refused = await driver.identify().then(
      () => false,
      (error: unknown) => {
        if (hasCode(error, 'notAuthorized')) return true
        throw error
      },
    )
    if (refused !== (i === wrong)) return false
  }
  return true
}
