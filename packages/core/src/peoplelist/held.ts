import { codeFormat } from '../config/parts/credential'
import { cardFromData, cardName, formatName, type StoredCard } from '../cards/card'
import type { Cell, Table } from '../columns/table'
import { readKey } from '../config/parts'
import { ownProfile } from '../access/rights'
import { asObject, plainWords } from '../config/parts/kind'
import type { Config, Json } from '../config/records'
import { minuteText, wallClock } from '../time/wallClock'
import { personMeaningWords, type PersonMeaning } from './meanings'

const columns = [
  'number',
  'name',
  'groups',
  'cards',
  'remark',
  'validFrom',
  'validUntil',
  'longer',
] as const satisfies readonly PersonMeaning[]

/** A card with its format before it, unless it is of the usual one. */
export const cardCell = (card: StoredCard): string =>
  card.format === undefined ? cardName(card) : `${formatName(card.format)}: ${cardName(card)}`

/** What parts the cells of a list within themselves is no part of a name. */
const tame = (text: string): string => text.replace(/[;|\n\r]+/g, ' ').trim()

/** A moment as a device told it, by the site's clock; what is none stays as it was told, and is named as that in the preview. */
function clockCell(told: Json | undefined, zone: string): string {
  if (typeof told !== 'string') return ''
  const at = Date.parse(told)
  if (Number.isNaN(at)) return tame(told)
  const { date, minute } = wallClock(at, zone)
  return `${date} ${minuteText(minute)}`
}

interface Holder {
  name: string
  number: string
  groups: Set<string>
  cards: string[]
  remarks: string[]
  from: string
  until: string
  longer: boolean
}

/** A number of digits before a name is its number: so this job writes them, and many others do. */
function named(holder: string): { number: string; name: string } {
  const [, number = '', name = holder] = /^(\d{1,9}) (.+)$/.exec(holder) ?? []
  return { number, name }
}

/**
 * The people that a device holds, as a list that is looked through like any other: one row a holder, with all of their cards. The test
 * cards of this job are left out; a card that is not enabled there is a remark, no card.
 * @param ref how the device is called @param zone IANA zone of the site
 */
export function peopleHeld(config: Config, ref: string, zone: string): Table {
  const holders = new Map<string, Holder>()
  for (const [key, value] of Object.entries(config)) {
    const { name, test } = readKey(key)
    if (test || name !== 'credential') continue
    const told = asObject(value)
    const who = tame(plainWords(told['holder']))
    let holder = holders.get(who)
    if (!holder)
      holders.set(
        who,
        (holder = {
          ...named(who),
          groups: new Set(),
          cards: [],
          remarks: [],
          from: clockCell(told['from'], zone),
          until: clockCell(told['until'], zone),
          longer: told['longer'] === true,
        }),
      )
    for (const group of groupsIn(told['profiles'], config)) holder.groups.add(group)
    holder.remarks.push(...limitedIn(told['limited'], config, zone).map((right) => `${right} on ${ref}`))
    addCard(holder, told, ref)
  }
  const rows = [...holders.values()].map((h): Cell[] => [
    h.number,
    h.name,
    [...h.groups].join('; '),
    h.cards.join('; '),
    [...new Set(h.remarks)].join('. '),
    h.from,
    h.until,
    h.longer ? 'yes' : '',
  ])
  return { name: ref, rows: [columns.map(personMeaningWords), ...rows] }
}

function addCard(holder: Holder, told: Readonly<Record<string, Json | undefined>>, ref: string): void {
  const card = cardFromData(plainWords(told['format']), plainWords(told['card']))
  if (told['format'] === codeFormat) holder.remarks.push(`A code is held on ${ref}; codes are not read out`)
  else if (!card) holder.remarks.push(`A card that no format reads on ${ref}: ${plainWords(told['card']).slice(0, 40)}`)
  else if (told['enabled'] === false) holder.remarks.push(`Card ${cardCell(card)} is not in use on ${ref}`)
  else holder.cards.push(cardCell(card))
}

function groupsIn(profiles: Json | undefined, config: Config): string[] {
  if (!Array.isArray(profiles)) return []
  return profiles.flatMap((token) => groupNamed(plainWords(token), config) ?? [])
}

/** Name of a group that a device holds; null where it tells none, and for what stands for one rule of this job alone. */
function groupNamed(token: string, config: Config): string | null {
  const key = `profile/${token}`
  const name = Object.hasOwn(config, key) ? asObject(config[key])['name'] : undefined
  return typeof name === 'string' && tame(name) && !token.startsWith(ownProfile) ? tame(name) : null
}

/** Groups through which somebody passes between two moments alone: a list has no column for that, so each is told. */
function limitedIn(limited: Json | undefined, config: Config, zone: string): string[] {
  if (!Array.isArray(limited)) return []
  return limited.map(asObject).flatMap(({ profile, from, until }) => {
    const name = groupNamed(plainWords(profile), config)
    const when = [
      from === undefined ? '' : `from ${clockCell(from, zone)}`,
      until === undefined ? '' : `until ${clockCell(until, zone)}`,
    ]
    return name ? [`In ${[name, ...when].filter(Boolean).join(' ')}`] : []
  })
}
