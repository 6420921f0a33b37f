import { accessPlaces, knowsWho } from './accesspoints'
import { abilityFacts, asked } from './abilities'
import { decidingFindings } from './deciding'
import { drivenLocks } from './driven'
import { partOf, type Behaviour, type Door } from './door'
import { timesFindings } from './times'
import { boardOf } from '../devices/board'
import { sheetOf, type Sheets } from '../devices/sheet'
import { all, type Facts } from '../job/facts'
import { refsOf } from '../job/order'
import { stop, warn, type Finding } from '../job/finding'
import { firstOverlap, longestRunH } from '../time/overlap'

const stops = (rule: string, says: string, at?: string): Finding => stop('load', rule, says, at)
const warns = (rule: string, says: string, at?: string): Finding => warn('load', rule, says, at)

/** What contradicts itself in how a door is to behave: its settings among themselves, with its hardware, with its controller, with the doors around it. */
export function behaviourFindings(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  return [
    ...timesFindings(door),
    ...abilityFindings(facts, door, sheets),
    ...decidingFindings(facts, door, sheets),
    ...unseenFindings(door),
    ...relockFindings(door, sheets),
    ...hoursFindings(facts, door, sheets),
    ...enteringFindings(door, sheets),
    ...codeFindings(door, sheets),
    ...passbackFindings(facts, door, sheets),
  ]
}

function abilityFindings(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  const controller = facts.controller[door.placement?.controller ?? '']
  const wanted = asked(door)
  if (!controller || wanted.length === 0) return []
  const able = boardOf(sheets, controller).controller?.abilities ?? []
  return wanted
    .filter((a) => !able.includes(a))
    .map((a) =>
      stops(
        'not-kept',
        `${controller.ref} cannot keep ${abilityFacts[a].says}: its type does not know it. Leave it out, or place the door on another controller.`,
      ),
    )
}

/** What hangs on seeing the leaf, at a door where nothing sees it. */
function unseenFindings(door: Door): Finding[] {
  const b = door.behaviour
  const found: Finding[] = []
  if (b.preAlarmS !== undefined && b.preAlarmS >= b.heldOpenS)
    found.push(
      stops(
        'warning-too-early',
        `The warning is to come ${b.preAlarmS} s before the held-open alarm, and that comes after ${b.heldOpenS} s: it would come at once. Make it shorter.`,
      ),
    )
  if (partOf(door, 'contact')) return found
  const blind = (rule: string, what: string) =>
    found.push(
      stops(rule, `Nothing sees the leaf open at ${door.ref}, so ${what}. Plan a door contact, or leave it out.`),
    )
  if (b.preAlarmS !== undefined) blind('warning-unseen', 'no warning before the held-open alarm would ever come')
  if (b.relockAt === 'opening') blind('relock-unseen', 'it would not lock at opening')
  return found
}

function relockFindings(door: Door, sheets: Sheets): Finding[] {
  const lock = partOf(door, 'lock')
  if (door.behaviour.relockAt !== 'opening' || !lock) return []
  return sheetOf(sheets, lock.sheet).lock?.principle === 'motor'
    ? [
        stops(
          'bolt-out',
          `${lock.id} throws its bolt when it locks: locked at opening, the bolt would stand out while the leaf is open, and hit the frame. Let it lock once the leaf is shut.`,
          lock.id,
        ),
      ]
    : []
}

function hoursFindings(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  const { freeOn, barredOn, firstPerson } = door.behaviour
  const [free, barred] = [facts.schedule[freeOn ?? ''], facts.schedule[barredOn ?? '']]
  const found: Finding[] = []
  if (firstPerson && !free)
    found.push(
      stops(
        'first-of-nothing',
        'The first person is to free the door, and it has no free hours. Choose its free hours.',
      ),
    )
  const both = free && barred ? firstOverlap(free.periods, barred.periods) : null
  if (both)
    found.push(
      stops(
        'free-and-barred',
        `From ${both} on it would be free by ${free?.name ?? ''} and barred by ${barred?.name ?? ''} at once. Let the hours not meet.`,
      ),
    )
  return [...found, ...(free ? drivenFindings(door, sheets, longestRunH(free.periods)) : [])]
}

/** A lock that lets go only while it is driven is driven through all free hours. */
function drivenFindings(door: Door, sheets: Sheets, hours: number): Finding[] {
  if (hours === 0) return []
  return drivenLocks(door, sheets).flatMap(({ part, duty }) => {
    if (duty !== null)
      return [
        stops(
          'driven-too-long',
          `${part.id} lets go only while it is driven, and may be driven ${Math.round(duty * 100)} % of the time: the free hours would drive it for ${hours} h without a break. Choose a lock that may be driven all the time, or no free hours.`,
          part.id,
        ),
      ]
    return [
      warns(
        'driven-long',
        `${part.id} lets go only while it is driven: the free hours drive it for ${hours} h without a break, and without current it locks, free hours or not.`,
        part.id,
      ),
    ]
  })
}

/** What holds whoever comes in needs something that reads whoever comes in. */
const ofReader: readonly [rule: string, what: string, set: (b: Behaviour) => boolean][] = [
  ['delay-unread', 'there is nobody whom a delay before unlocking could keep', (b) => b.unlockAfterS !== undefined],
  ['barred-unread', 'there is nobody whom barred hours could refuse', (b) => b.barredOn !== undefined],
  ['first-unread', 'no first person can free it', (b) => b.firstPerson === true],
  ['two-unread', 'two people cannot be told from one', (b) => b.pairWithinS !== undefined],
  ['reentry-unread', 'nobody can be known to enter twice', (b) => b.reentryS !== undefined],
  ['passback-unread', 'nobody can be known to be in already', (b) => b.passback !== undefined],
]

const reads = (door: Door, sheets: Sheets, leaving: boolean): boolean =>
  accessPlaces(door, sheets).some((p) => knowsWho(p) && p.leaving === leaving)

const enteringFindings = (door: Door, sheets: Sheets): Finding[] =>
  reads(door, sheets, false)
    ? []
    : ofReader
        .filter(([, , set]) => set(door.behaviour))
        .map(([rule, what]) =>
          stops(rule, `Nothing reads who comes in at ${door.ref}, so ${what}. Plan a reader, or leave it out.`),
        )

/** A code that nobody could enter, or keys that nothing asks for. */
function codeFindings(door: Door, sheets: Sheets): Finding[] {
  const { code, pairWithinS } = door.behaviour
  const entries = accessPlaces(door, sheets).filter((p) => !p.leaving)
  const { ref } = door
  if (code === undefined)
    return entries
      .filter((p) => p.keys && !p.cards)
      .map(({ part }) =>
        stops(
          'code-not-asked',
          `${part.id} knows nobody but by a code, and ${ref} asks for none. Let it ask for a code alone, under Behaviour.`,
          part.id,
        ),
      )
  if (!entries.some((p) => p.keys))
    return [
      stops('code-no-keys', `${ref} asks for a code, and nothing there has keys. Plan a keypad, or leave it out.`),
    ]
  const keyless = entries.filter((p) => code === 'with' && p.cards && !p.keys)
  const reading = entries.filter((p) => code === 'alone' && p.cards)
  const cardless = entries.filter((p) => code === 'with' && p.keys && !p.cards)
  return [
    ...(code === 'alone' && pairWithinS !== undefined
      ? [
          stops(
            'code-alone-pair',
            `Two people are to come in together at ${ref}, and a code alone does not tell two people from one who was told both codes. Let it read cards, or let one come in.`,
          ),
        ]
      : []),
    ...keyless.map(({ part }) =>
      stops(
        'code-keyless-reader',
        `${part.id} has no keys, and ${ref} asks for a code with every card: nobody would come in there. Choose a reader with keys.`,
        part.id,
      ),
    ),
    ...cardless.map(({ part }) =>
      stops(
        'code-cardless-reader',
        `${part.id} reads no cards, and ${ref} asks for a code with the card: nobody would come in there. Let it ask for a code alone, or choose a reader of cards.`,
        part.id,
      ),
    ),
    ...reading.map(({ part }) =>
      stops(
        'code-card-unasked',
        `${part.id} reads cards, and ${ref} asks for a code alone. Let it ask for a code with the card, or instead of it.`,
        part.id,
      ),
    ),
  ]
}

function passbackFindings(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  const { passback, passbackS } = door.behaviour
  if (passback === undefined) return []
  if (door.from === door.to)
    return [
      stops(
        'passback-one-area',
        `${door.ref} leads from ${facts.area[door.from]?.name ?? 'an area'} into the same area: nobody is ever in or out by it. Give its two sides two areas.`,
      ),
    ]
  const name = facts.area[door.to]?.name ?? 'the area'
  const others = all(facts, 'door').filter((d) => d.id !== door.id && d.from !== d.to)
  const own = door.placement?.controller
  const unread = [door, ...others].filter(
    (d) => (d.from === door.to || d.to === door.to) && !reads(d, sheets, d.to === door.to),
  )
  const outs = [door, ...others].filter((d) =>
    d.to === door.to ? reads(d, sheets, true) : d.from === door.to && reads(d, sheets, false),
  )
  const found: Finding[] = []
  if (passback === 'refuse' && passbackS === undefined && !outs.some((d) => d.placement?.controller === own))
    found.push(
      stops(
        'passback-no-way-out',
        `Nothing that ${door.ref} knows of reads whoever leaves ${name}: whoever came in once would be refused for ever. Plan an exit reader, or let it be forgotten after some time.`,
      ),
    )
  const free = unread.filter((d) => d.id !== door.id)
  if (free.length)
    found.push(
      warns(
        'passback-unread-ways',
        `${refsOf(free)} ${free.length === 1 ? 'leads' : 'lead'} in or out of ${name} too, and nothing there reads it: who passes there stays in, or out, as far as ${door.ref} knows.`,
      ),
    )
  const away = others.filter(
    (d) => (d.to === door.to || d.from === door.to) && !unread.includes(d) && d.placement?.controller !== own,
  )
  if (away.length)
    found.push(
      warns(
        'passback-elsewhere',
        `${refsOf(away)} ${away.length === 1 ? 'leads' : 'lead'} in or out of ${name} too and ${away.length === 1 ? 'is' : 'are'} on another controller, which tells this one nothing.`,
      ),
    )
  return found
}
