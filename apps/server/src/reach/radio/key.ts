import { randomBytes } from 'node:crypto'
import { keyCheck, radioKeyBytes } from '@rauta/protocols'
import type { Context } from '../../context'

/** The one radio key of the job, sealed. */
const sealedAs = 'radio/site'

const bytesOf = (hex: string): Uint8Array => new Uint8Array(Buffer.from(hex, 'hex'))

let making: Promise<unknown> = Promise.resolve()

/** The radio key of the job; made when it is first asked for, and sealed before any hub has it. @throws VaultClosedError */
export function siteRadioKey({ vault }: Context): Promise<{ key: Uint8Array; check: string }> {
  // Two hubs that are taken at the same moment get one key.
  const asked = making.then(async () => {
    const kept = await vault.get(sealedAs)
    const hex = kept ?? randomBytes(radioKeyBytes).toString('hex')
    if (kept === null) await vault.put(sealedAs, hex)
    const key = bytesOf(hex)
    return { key, check: keyCheck(key) }
  })
  making = asked.catch(() => undefined)
  return asked
}
