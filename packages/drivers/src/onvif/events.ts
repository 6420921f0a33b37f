import { functionFacts, modeWords, readByCode, type HeldPoint, type StandingMode } from '@rauta/core'
import { disabledReasons, isConfigurationTopic, topics, type Notification } from '@rauta/protocols'
import type { Counted, DecisionAsked, Pulled, ToldEvent } from '../driver'

const reasons: Record<string, [string, string]> = {
  CredentialNotFound: ['unknown', 'the card is unknown'],
  CredentialNotEnabled: ['lost', 'the card is lost'],
  CredentialNotActive: ['notYet', 'it is not valid yet'],
  CredentialExpired: ['expired', 'its time has ended'],
  NotPermitted: ['no rule', 'no rule lets it pass'],
  NotPermittedAtThisTime: ['hours', 'out of hours'],
  DoorLockedDown: ['lockedDown', 'the door is locked from the screen'],
  DoorBarred: ['barred', 'the door is barred now'],
  ReentryTooSoon: ['reentry', 'it entered a moment ago'],
  AntipassbackViolation: ['passback', 'it is in already'],
  InvalidPIN: ['wrongCode', 'the code is wrong'],
  CodeMissing: ['noCode', 'no code came'],
  CodeNotFound: ['unknownCode', 'nobody has this code'],
  NoRadio: ['noRadio', 'its radio was gone'],
  SecondPersonMissing: ['alone', 'the second person did not come'],
  CredentialWithdrawn: ['withdrawn', 'the card is withdrawn'],
  NoDecision: ['noDecision', 'the server that decides is out of reach'],
}
const alarms: Record<string, [string, string]> = {
  DoorForcedOpen: ['forced', 'forced open'],
  DoorOpenTooLong: ['heldOpen', 'held open too long'],
  Normal: ['none', 'alarm over'],
}

const notices: Record<string, [string, string]> = {
  [topics.preAlarm]: ['preAlarm', 'Warning: the leaf is still open'],
  [topics.passback]: ['passback', 'In already, and let in again'],
  [topics.codeWanted]: ['code', 'Waits for the code'],
  [topics.duress]: ['duress', 'Under duress'],
  [topics.standby]: ['standby', 'Let go without radio for the standby credential'],
  [topics.secondWanted]: ['second', 'Waits for the second person'],
  [topics.request]: ['asked', 'Asks the server'],
  [topics.requestTimeout]: ['unanswered', 'The server did not answer in time'],
}
/** As its own hours have a door: modes of the ONVIF door control specification. */
const byHours: Readonly<Record<string, [string, string]>> = {
  Unlocked: ['free', 'Free by its hours'],
  Blocked: ['barred', 'Barred by its hours'],
}

/** Why a door that asks a server is free: nothing was heard of it. */
const deciderAway = 'DeciderAway'
const freeWithoutServer = 'Free: the server that decides is out of reach'

/** The reason of a refusal as a device tells it, from the word that events have for it. */
export const reasonNamed = (state: string): string =>
  Object.entries(reasons).find(([, [word]]) => word === state)?.[0] ?? 'Other'

/** Standing modes of the ONVIF door control specification; any other is the door's own doing. */
const standing: Readonly<Record<string, StandingMode>> = { LockedOpen: 'heldOpen', LockedDown: 'lockedDown' }

/**
 * A device's notification as an event in our words, or null for what no door is concerned with.
 * @param points what the device holds of its wiring, by port: an input or relay is told as the part that sits on it
 */
export function toldEvent(n: Notification, points: ReadonlyMap<string, HeldPoint> = new Map()): ToldEvent | null {
  const [door = '', reader = ''] = (n.source['AccessPointToken'] ?? n.source['DoorToken'] ?? '').split('.')
  const boot = n.data['Boot'] ?? ''
  const seq = Number(n.data['Sequence'] ?? 0)
  const bits = n.data['Bits'] ?? ''
  const card = n.data['By'] === 'PIN' ? readByCode(n.data['CredentialToken'] ?? '') : (n.data['Card'] ?? '')
  const base = { boot, seq, at: n.utcMs, door, reader, card, ...(bits ? { bits } : {}) }
  const made = (kind: ToldEvent['kind'], state: string, says: string): ToldEvent => ({ ...base, kind, state, says })
  const holder = n.data['CredentialHolderName'] ?? ''
  switch (n.topic) {
    case topics.granted:
      return made('granted', 'granted', `Released for ${holder || 'a card'} at ${reader}`)
    case topics.grantedAnonymous: {
      const point = points.get(n.data['InputToken'] ?? '')
      const desk = n.data['External'] === 'RequestToEnter'
      const named = point && Object.hasOwn(functionFacts, point.function)
      const unnamed = desk ? 'Desk button' : 'Exit device'
      const says = `${named ? `${point.part}, ${functionFacts[point.function].says}` : unnamed}: released`
      return {
        ...made(desk ? 'desk' : 'exit', 'active', says),
        door: n.data['DoorToken'] ?? door,
        reader: '',
        ...(point ? { part: point.part } : {}),
      }
    }
    case topics.input:
      return portEvent('input', n, base, n.source['InputToken'] ?? '', points)
    case topics.relay:
      return portEvent('output', n, base, n.source['RelayToken'] ?? '', points)
    case topics.denied:
    case topics.unknownCard:
    case topics.unknownCode: {
      const reason = n.data['Reason'] ?? ''
      const withdrawn = reason === 'CredentialNotEnabled' && n.data['StateReason'] === disabledReasons.withdrawn
      const [state, says] = withdrawn
        ? ['withdrawn', 'the card is withdrawn']
        : ((Object.hasOwn(reasons, reason) ? reasons[reason] : undefined) ?? ['other', reason || 'no reason given'])
      return made('refused', state, `Refused at ${reader}${holder ? `, ${holder}` : ''}: ${says}`)
    }
    case topics.leaf:
      return made(
        'leaf',
        n.data['State'] === 'Open' ? 'open' : 'closed',
        n.data['State'] === 'Open' ? 'Leaf opened' : 'Leaf closed',
      )
    case topics.lock:
      return made(
        'lock',
        n.data['State'] === 'Unlocked' ? 'unlocked' : 'locked',
        n.data['State'] === 'Unlocked' ? 'Lock released' : 'Locked again',
      )
    case topics.mode: {
      const told = n.data['State'] ?? ''
      const hours = Object.hasOwn(byHours, told) ? byHours[told] : undefined
      if (hours) return made('mode', hours[0], n.data['Reason'] === deciderAway ? freeWithoutServer : hours[1])
      const mode = standing[told]
      return made('mode', mode ?? 'normal', mode ? `The door stands ${modeWords[mode]}` : 'Back to its settings')
    }
    case topics.alarm: {
      const [state, says] = alarms[n.data['State'] ?? ''] ?? ['other', n.data['State'] ?? '']
      return made('alarm', state, state === 'none' ? 'Alarm over' : `Alarm: ${says}`)
    }
    case topics.preAlarm:
    case topics.passback:
    case topics.codeWanted:
    case topics.duress:
    case topics.standby:
    case topics.secondWanted:
    case topics.request:
    case topics.requestTimeout: {
      const [state, says] = notices[n.topic] ?? ['other', '']
      return made('notice', state, holder ? `${says}: ${holder} at ${reader}` : says)
    }
    case topics.decider:
      return n.data['State'] === 'Away'
        ? made('notice', 'deciderAway', 'The server that decides is out of reach')
        : made('notice', 'deciderBack', 'The server decides again')
    default:
      return null
  }
}

/** Whom a controller asks about, as its request tells it. */
function askedAbout({ topic, operation, source, data }: Notification): DecisionAsked[] {
  const accessPoint = source['AccessPointToken'] ?? ''
  const credential = data['CredentialToken'] ?? ''
  if (topic !== topics.request || operation !== 'Changed' || !accessPoint || !credential) return []
  return [{ accessPoint, credential, door: accessPoint.split('.')[0] ?? '' }]
}

/** What happened among the notifications of one pull; a state that is only repeated is no event. */
export function toldEvents(notifications: readonly Notification[], points: ReadonlyMap<string, HeldPoint>): Pulled {
  return {
    events: notifications.filter((n) => n.operation === 'Changed').flatMap((n) => toldEvent(n, points) ?? []),
    boot: notifications.at(-1)?.data['Boot'] ?? '',
    counted: countedOf(notifications),
    asks: notifications.flatMap(askedAbout),
    configured: notifications.some((n) => isConfigurationTopic(n.topic)),
    modes: notifications
      .filter((n) => n.topic === topics.mode)
      .map((n) => ({ door: n.source['DoorToken'] ?? '', mode: standing[n.data['State'] ?? ''] ?? null })),
  }
}

/** Told twice is told once; a count that is none (no whole number, two starts in one answer) is taken for none. */
function countedOf(notifications: readonly Notification[]): Counted | null {
  const boot = notifications[0]?.data['Boot'] ?? ''
  const numbers = [...new Set(notifications.map((n) => Number(n.data['Sequence'] ?? Number.NaN)))].sort((a, b) => a - b)
  const counts = numbers.every((n) => Number.isSafeInteger(n) && n > 0)
  if (numbers.length === 0) return { boot, numbers }
  return counts && boot !== '' && notifications.every((n) => n.data['Boot'] === boot) ? { boot, numbers } : null
}

/** Told as the states of the door anyhow: the leaf, the lock. */
const toldOtherwise: ReadonlySet<string> = new Set(['contact', 'lock', 'secondLock'])

const isActive = (n: Notification): boolean => n.data['LogicalState'] === 'true' || n.data['LogicalState'] === 'active'

/** What came from a port: of the part that sits on it, or, where nothing is planned on an input, of the input by its own name. */
function portEvent(
  kind: 'input' | 'output',
  n: Notification,
  base: Omit<ToldEvent, 'kind' | 'state' | 'says'>,
  port: string,
  points: ReadonlyMap<string, HeldPoint>,
): ToldEvent | null {
  const point = points.get(port)
  if (point) return pointEvent(kind, n, base, port, point)
  if (kind === 'output' || !port) return null
  const active = isActive(n)
  return {
    ...base,
    door: '',
    reader: '',
    port,
    kind,
    state: active ? 'active' : 'idle',
    says: `${port}, where nothing is planned: ${active ? 'active' : 'at rest'}`,
  }
}

/** An input or relay that went active or idle, as the part that sits on it. A door's only contact and its locks are told as its leaf and its lock. */
function pointEvent(
  kind: 'input' | 'output',
  n: Notification,
  base: Omit<ToldEvent, 'kind' | 'state' | 'says'>,
  port: string,
  point: HeldPoint,
): ToldEvent | null {
  if (!Object.hasOwn(functionFacts, point.function) || (toldOtherwise.has(point.function) && !point.twoLeaves))
    return null
  const active = isActive(n)
  return {
    ...base,
    port,
    door: point.door,
    reader: '',
    part: point.part,
    kind,
    state: active ? 'active' : 'idle',
    says: `${point.part}, ${functionFacts[point.function].says}: ${stateWords(point, active)}`,
  }
}

function stateWords(point: HeldPoint, active: boolean): string {
  switch (point.function) {
    case 'lockSensing':
      return active ? 'unlocked' : 'locked'
    case 'glassPole':
      return active ? 'broken' : 'whole again'
    case 'contact':
    case 'secondContact':
      return active ? 'open' : 'closed'
    case 'opener':
      return active ? 'started' : 'ended'
    default:
      return active ? 'active' : 'at rest'
  }
}
