import { fromDuration } from '../duration'
import { el, elements, textOf, type Element, type Markup } from '../xml'
import { cxText, cxTime, optional, type EntityCodec } from './entities'

/** Extension: something that a controller does by itself when something happens at one of its doors. */
export interface OnvifReaction {
  token: string
  /** `Granted`, `Refused`, `Duress`, `ForcedOpen`, `OpenTooLong`, `PreAlarm`, `ExitRequested`, `DeskRelease`, `InputActive`, `InputIdle`. */
  cause: string
  /** Part of the door whose input it is. */
  input?: string
  /** Token of an access profile that whoever is let in must have. */
  members?: string
  /** The same credential a second time within so long. */
  twiceWithinS?: number
  schedule?: string
  /** `Pulse`, `Hold`, `ReleaseDoor`. */
  action: string
  /** Part of the door that is driven. */
  output?: string
  seconds?: number
  /** Token of the door that is let go. */
  door?: string
  /** Part of the door whose input keeps it from happening, and in which state: `active` or `idle`. */
  unless?: string
  unlessState?: string
}

/** All reactions at one door, set at once. */
export interface DoorReactions {
  token: string
  reactions: OnvifReaction[]
}

const writeReaction = (r: OnvifReaction): Markup =>
  el(
    'cx:Reaction',
    { token: r.token },
    el('cx:Cause', r.cause),
    cxText('Input', r.input),
    cxText('Members', r.members),
    cxTime('TwiceWithin', r.twiceWithinS),
    cxText('Schedule', r.schedule),
    el('cx:Action', r.action),
    cxText('Output', r.output),
    cxTime('Duration', r.seconds),
    cxText('Door', r.door),
    cxText('UnlessInput', r.unless),
    cxText('UnlessState', r.unlessState),
  )

const readReaction = (e: Element): OnvifReaction => ({
  token: e.getAttribute('token') ?? '',
  cause: textOf(e, 'Cause'),
  ...optional('input', textOf(e, 'Input'), String),
  ...optional('members', textOf(e, 'Members'), String),
  ...optional('twiceWithinS', textOf(e, 'TwiceWithin'), fromDuration),
  ...optional('schedule', textOf(e, 'Schedule'), String),
  action: textOf(e, 'Action'),
  ...optional('output', textOf(e, 'Output'), String),
  ...optional('seconds', textOf(e, 'Duration'), fromDuration),
  ...optional('door', textOf(e, 'Door'), String),
  ...optional('unless', textOf(e, 'UnlessInput'), String),
  ...optional('unlessState', textOf(e, 'UnlessState'), String),
})

export const doorReactionsCodec: EntityCodec<DoorReactions> = {
  service: 'cx',
  name: 'DoorReactions',
  list: 'GetDoorReactionsList',
  write: (r) => el('cx:DoorReactions', { token: r.token }, r.reactions.map(writeReaction)),
  read: (e) => ({ token: e.getAttribute('token') ?? '', reactions: elements(e, 'Reaction').map(readReaction) }),
}
