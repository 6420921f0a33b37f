import type { Json } from '@rauta/core'
import { doorRadioCodec, formatOfType, typeOfFormat, type LockKeeps } from '@rauta/protocols'
import { list, listIfKnown, set } from './entity'
import { dict, text, type Dict } from './json'
import type { OnvifSession } from './session'

/** What wireless locks keep, door by door, as they say; nothing where the device has no hubs. */
export async function readRadio(session: OnvifSession): Promise<[token: string, value: Json][]> {
  const held = await listIfKnown(() => list(session, doorRadioCodec))
  return held.map(({ token, locks }) => {
    const value: { [part: string]: Json } = {}
    for (const { part, port, sent, ...keeps } of locks)
      value[part] = { port, ...keptOf(keeps), ...(sent ? { sent: keptOf(sent) } : {}) }
    return [token, value]
  })
}

const keptOf = ({ format, standby }: LockKeeps): { [field: string]: Json } => ({
  ...(format === undefined ? {} : { format: formatOfType(format) }),
  ...(standby === undefined ? {} : { standby }),
})

export const writeRadio = (session: OnvifSession, token: string, value: Dict) =>
  set(session, doorRadioCodec, {
    token,
    locks: Object.entries(value).map(([part, of]) => {
      const lock = dict(of)
      return {
        part,
        port: text(lock['port']),
        ...(lock['format'] === undefined ? {} : { format: typeOfFormat(text(lock['format'])) }),
        ...(lock['standby'] === undefined ? {} : { standby: text(lock['standby']) }),
      }
    }),
  })
