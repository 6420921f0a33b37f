import type { Json, ReactionCause } from '@rauta/core'
import { doorReactionsCodec, type OnvifReaction } from '@rauta/protocols'
import { list, listIfKnown, set } from './entity'
import { dict, ours, text, theirs, type Dict } from './json'
import type { OnvifSession } from './session'

const causes: Readonly<Record<ReactionCause, string>> = {
  granted: 'Granted',
  refused: 'Refused',
  duress: 'Duress',
  forced: 'ForcedOpen',
  heldOpen: 'OpenTooLong',
  preAlarm: 'PreAlarm',
  exit: 'ExitRequested',
  desk: 'DeskRelease',
  input: 'InputActive',
  inputEnds: 'InputIdle',
}
const actions: Readonly<Record<string, string>> = { pulse: 'Pulse', hold: 'Hold', release: 'ReleaseDoor' }

/** What is called the same on both sides but for its name. */
const words = {
  input: 'input',
  members: 'members',
  schedule: 'schedule',
  output: 'output',
  lets: 'door',
  unless: 'unless',
  is: 'unlessState',
} as const
const times = { twiceWithin: 'twiceWithinS', seconds: 'seconds' } as const

function valueOf(r: OnvifReaction): Json {
  const value: { [field: string]: Json } = { when: ours(causes, r.cause), then: ours(actions, r.action) }
  for (const [field, key] of Object.entries(words)) if (r[key] !== undefined) value[field] = r[key]
  for (const [field, key] of Object.entries(times)) if (r[key] !== undefined) value[field] = r[key]
  return value
}

function reactionOf(token: string, value: Dict): OnvifReaction {
  const r: OnvifReaction = {
    token,
    cause: theirs(causes, text(value['when'])),
    action: theirs(actions, text(value['then'])),
  }
  for (const [field, key] of Object.entries(words)) if (value[field] !== undefined) r[key] = text(value[field])
  for (const [field, key] of Object.entries(times)) if (value[field] !== undefined) r[key] = Number(value[field])
  return r
}

/** What a device does by itself, door by door; nothing where it does not know of such a thing. One that it holds twice shows as a difference. */
export async function readReactions(session: OnvifSession): Promise<[token: string, value: Json][]> {
  const held = await listIfKnown(() => list(session, doorReactionsCodec))
  return held.map(({ token, reactions }) => {
    const value: { [id: string]: Json } = {}
    for (const r of reactions) value[Object.hasOwn(value, r.token) ? `${r.token} again` : r.token] = valueOf(r)
    return [token, value]
  })
}

export const writeReactions = (session: OnvifSession, token: string, value: Dict) =>
  set(session, doorReactionsCodec, {
    token,
    reactions: Object.entries(value).map(([id, reaction]) => reactionOf(id, dict(reaction))),
  })
