import { all, type Facts } from '../job/facts'
import { jobOf } from '../job/records'
import { withoutWords, type Door } from '../doors/door'
import { scheduleActive } from '../time/schedule'
import { hoursAt, type DoorHours } from '../doors/hours'
import type { Person, PersonCard, Rule } from './records'
import { limitWords, passesDoor, rulesFor, ruleValidAt, whoWords } from './rights'
import { validityAt } from './validity'

export type RefusalReason =
  | 'barred'
  | 'no card'
  | 'no code'
  | 'card lost'
  | 'card withdrawn'
  | 'not yet valid'
  | 'expired'
  | 'no rule'
  | 'right not yet'
  | 'right ended'
  | 'out of hours'

export interface Decision {
  passes: boolean
  reason: RefusalReason | 'rule' | 'free'
  /** The rule that lets the person pass, or the one that came nearest. */
  rule: string | null
  /** In words, with the rule named. */
  says: string
}

/**
 * What would happen if a person presented a card at a door at a moment, and entered their code where one is asked for, by what
 * the job wants (not by what a device holds), and which rule decides.
 * @param atMs milliseconds since 1970 UTC
 */
export function decide(facts: Facts, person: Person, door: Door, atMs: number, card?: PersonCard): Decision {
  const hours = hoursAt(facts, door, atMs)
  if (hours === 'free' && !door.behaviour.firstPerson)
    return { passes: true, reason: 'free', rule: null, says: `Passes: ${door.ref} is free then, for everybody.` }
  const unknown = unknownThere(person, door, card)
  if (unknown) return unknown
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const validity = validityAt(person, atMs, zone)
  if (validity === 'notYet')
    return refuse('not yet valid', null, `${person.name} may pass from ${person.validFrom} on, not before.`)
  if (validity === 'expired')
    return refuse('expired', null, `The time of ${person.name} ended ${person.validUntil}: refused at every door.`)
  if (hours === 'barred')
    return refuse(
      'barred',
      null,
      `Refused: ${door.ref} is barred then for whoever comes in. Whoever leaves is let out.`,
    )
  const everyRule = rulesFor(facts, person).filter((rule) => passesDoor(facts, rule, door.id))
  const rules = everyRule.filter((rule) => ruleValidAt(facts, rule, atMs) === 'valid')
  if (rules.length === 0) return noRule(facts, person, door, everyRule, atMs)
  const open = rules.find((rule) => ruleActive(facts, rule, atMs, zone))
  if (open && door.behaviour.code === 'with' && person.code === undefined) return noCode(person, door)
  if (open)
    return {
      passes: true,
      reason: 'rule',
      rule: open.id,
      says: `Passes: ${ruleWords(facts, open)}.${conditions(door, hours)}`,
    }
  const nearest = rules[0] as Rule
  return refuse('out of hours', nearest.id, `Refused, out of hours: ${ruleWords(facts, nearest)} is not in force then.`)
}

const noCode = (person: Person, door: Door): Decision =>
  refuse('no code', null, `Refused: ${door.ref} asks for a code, and ${person.name} has none.`)

/** Why a door would not know somebody, by the card that is shown or by their code; null where it does. */
function unknownThere(person: Person, door: Door, card: PersonCard | undefined): Decision | null {
  const { code } = door.behaviour
  if (code === 'alone') return person.code === undefined ? noCode(person, door) : null
  const shown = card ?? person.cards.find((c) => c.state === 'in use') ?? person.cards[0]
  if (!card && code === 'instead' && person.code !== undefined && shown?.state !== 'in use') return null
  if (!shown) return refuse('no card', null, `${person.name} has no card.`)
  if (shown.state === 'lost')
    return refuse('card lost', null, `The card of ${person.name} is reported lost: refused at every door.`)
  return shown.state === 'withdrawn'
    ? refuse('card withdrawn', null, `The card of ${person.name} is withdrawn: refused at every door.`)
    : null
}

/** No rule, or none that counts at that moment: one that is still to come is told before one that ended. */
function noRule(facts: Facts, person: Person, door: Door, rules: readonly Rule[], atMs: number): Decision {
  const toCome = rules.find((rule) => ruleValidAt(facts, rule, atMs) === 'notYet')
  const over = rules.find((rule) => ruleValidAt(facts, rule, atMs) === 'expired')
  if (toCome)
    return refuse('right not yet', toCome.id, `Refused: ${ruleWords(facts, toCome)} counts ${limitWords(toCome)}.`)
  if (over) return refuse('right ended', over.id, `Refused: ${ruleWords(facts, over)} counted ${limitWords(over)}.`)
  return refuse('no rule', null, `No rule lets ${groupWords(facts, person)} pass ${door.ref}. No rule means refused.`)
}

/** What else has to be so for somebody who has the right to come in; it hangs on who was there before. */
function conditions({ behaviour: b, decides }: Door, hours: DoorHours): string {
  const wait = (seconds: number) => `${seconds} s`
  return [
    b.code === 'with' ? ' Only with their code besides.' : '',
    b.pairWithinS === undefined ? '' : ` Only with a second person within ${wait(b.pairWithinS)}.`,
    b.reentryS === undefined ? '' : ` Not twice within ${wait(b.reentryS)}.`,
    b.passback === 'refuse' ? ' Not while in already.' : '',
    decides?.by === 'server' ? ` The server is asked; without it ${withoutWords[decides.then]}.` : '',
    b.firstPerson && hours === 'free' ? ' Whoever comes first frees the door for everybody.' : '',
  ].join('')
}

const refuse = (reason: RefusalReason, rule: string | null, says: string): Decision => ({
  passes: false,
  reason,
  rule,
  says,
})

function ruleActive(facts: Facts, rule: Rule, atMs: number, zone: string): boolean {
  const schedule = facts.schedule[rule.schedule]
  return schedule !== undefined && scheduleActive(schedule, all(facts, 'specialDay'), atMs, zone)
}

export function ruleWords(facts: Facts, rule: Rule): string {
  const on = `on schedule ${facts.schedule[rule.schedule]?.name ?? rule.schedule}`
  return rule.group === undefined
    ? `the right of ${whoWords(facts, rule)} ${on}`
    : `group ${facts.group[rule.group]?.name ?? rule.group} ${on}`
}

function groupWords(facts: Facts, person: Person): string {
  const names = person.groups.map((id) => facts.group[id]?.name ?? id)
  return names.length ? `${person.name} (${names.join(', ')})` : `${person.name} (in no group)`
}
