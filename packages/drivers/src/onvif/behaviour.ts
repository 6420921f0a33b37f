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
  reachFor: 'reachS',
} as const
const words = {
  code: { with: 'WithCard', instead: 'InsteadOfCard', alone: 'Alone' },
  relockAt: { opening: 'Opening' },
  passback: { refuse: 'Hard', tell: 'Soft' },
  decidedBy: { server: 'Server' },
  without: { staysShut: 'Shut', opens: 'Open', knownCards: 'Local' },
} as const

const worded = Object.keys(words) as (keyof typeof words)[]

/** What a device holds of its doors' own rules; nothing where it does not know of such a thing. */
export async function readBehaviours(session: OnvifSession): Promise<[token: string, value: Json][]> {
  const held = await listIfKnown(() => list(session, doorBehaviourCodec))
  return held.map((b) => {
    const value: { [field: string]: Json } = {}
    for (const [field, key] of Object.entries(times)) if (b[key] !== undefined) value[field] = b[key]
    for (const field of ['freeOn', 'barredOn'] as const) if (b[field] !== undefined) value[field] = b[field]
    for (const field of worded) {
      const word = b[field]
      if (word !== undefined) value[field] = ours(words[field], word)
    }
    if (b.firstPerson) value['firstPerson'] = true
    return [b.token, value]
  })
}

export async function writeBehaviour(session: OnvifSession, token: string, value: Dict): Promise<void> {
  const b: DoorBehaviour = { token }
  for (const [field, key] of Object.entries(times)) if (value[field] !== undefined) b[key] = Number(value[field])
  for (const field of ['freeOn', 'barredOn'] as const) if (value[field] !== undefined) b[field] = text(value[field])
  for (const field of worded) if (value[field] !== undefined) b[field] = theirs(words[field], text(value[field]))
  if (value['firstPerson'] === true) b.firstPerson = true
  await set(session, doorBehaviourCodec, b)
}
