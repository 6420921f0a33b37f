import type { Json } from '@rauta/core'
import { doorBehaviourCodec, type DoorBehaviour } from '@rauta/protocols'
import { list, listIfKnown, set } from './entity'
import { ours, text, theirs, type Dict } from './json'
import type { OnvifSession } from './session'

const times = {
  unlockAfter: 'unlockAfterS',
  pairWithin: 'pairWithinS',
  reentry: 'reentryS',
  passbackFor: 'passbackS',
} as const
const words = {
  code: { with: 'WithCard', instead: 'InsteadOfCard', alone: 'Alone' },
  relockAt: { opening: 'Opening' },
  passback: { refuse: 'Hard', tell: 'Soft' },
} as const

/** What a device holds of its doors' own rules; nothing where it does not know of such a thing. */
export async function readBehaviours(session: OnvifSession): Promise<[token: string, value: Json][]> {
  const held = await listIfKnown(() => list(session, doorBehaviourCodec))
  return held.map((b) => {
    const value: { [field: string]: Json } = {}
    for (const [field, key] of Object.entries(times)) if (b[key] !== undefined) value[field] = b[key]
    for (const field of ['freeOn', 'barredOn'] as const) if (b[field] !== undefined) value[field] = b[field]
    if (b.relockAt !== undefined) value['relockAt'] = ours(words.relockAt, b.relockAt)
    if (b.passback !== undefined) value['passback'] = ours(words.passback, b.passback)
    if (b.code !== undefined) value['code'] = ours(words.code, b.code)
    if (b.firstPerson) value['firstPerson'] = true
    return [b.token, value]
  })
}

export async function writeBehaviour(session: OnvifSession, token: string, value: Dict): Promise<void> {
  const b: DoorBehaviour = { token }
  for (const [field, key] of Object.entries(times)) if (value[field] !== undefined) b[key] = Number(value[field])
  for (const field of ['freeOn', 'barredOn'] as const) if (value[field] !== undefined) b[field] = text(value[field])
  if (value['relockAt'] !== undefined) b.relockAt = theirs(words.relockAt, text(value['relockAt']))
  if (value['passback'] !== undefined) b.passback = theirs(words.passback, text(value['passback']))
  if (value['code'] !== undefined) b.code = theirs(words.code, text(value['code']))
  if (value['firstPerson'] === true) b.firstPerson = true
  await set(session, doorBehaviourCodec, b)
}
