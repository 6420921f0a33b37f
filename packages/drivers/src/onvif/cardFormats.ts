import type { BitRun, Json } from '@rauta/core'
import { cardFormatCodec, formatOfType, typeOfFormat, type OnvifCardFormat } from '@rauta/protocols'
import { list, listIfKnown, set } from './entity'
import { dict, text, type Dict } from './json'
import type { OnvifSession } from './session'

const runOf = ({ from, length }: BitRun): Json => ({ from, length })
const runIn = (value: Json | undefined): BitRun => {
  const { from, length } = dict(value ?? null)
  return { from: Number(from), length: Number(length) }
}

/** What a device holds of ways of sending that it was told; nothing where it does not know of such a thing. */
export async function readCardFormats(session: OnvifSession): Promise<[token: string, value: Json][]> {
  const held = await listIfKnown(() => list(session, cardFormatCodec))
  return held.map(({ token, name, bits, facility, number, parity, keeps }) => [
    token,
    {
      name,
      bits,
      ...(facility ? { facility: runOf(facility) } : {}),
      number: runOf(number),
      parity: parity.map((p) => ({ at: p.at, kind: p.kind, over: runOf(p.over) })),
      keeps: formatOfType(keeps),
    },
  ])
}

export async function writeCardFormat(session: OnvifSession, token: string, value: Dict): Promise<void> {
  const format: OnvifCardFormat = {
    token,
    name: text(value['name']),
    bits: Number(value['bits']),
    ...(value['facility'] === undefined ? {} : { facility: runIn(value['facility']) }),
    number: runIn(value['number']),
    parity: (value['parity'] as Dict[]).map((p) => ({
      at: Number(p['at']),
      kind: p['kind'] === 'even' ? 'even' : 'odd',
      over: runIn(p['over']),
    })),
    keeps: typeOfFormat(text(value['keeps'])),
  }
  await set(session, cardFormatCodec, format)
}
