import {
  accessPlaces,
  all,
  drop,
  keptFormats,
  mostBits,
  ownFormatFault,
  put,
  readerOrders,
  readersSetTo,
  readsWords,
  sendingOf,
  usualFormat,
  type Door,
  type Facts,
  type OwnFormat,
  type Part,
  type Reads,
  type Sheets,
} from '@rauta/core'
import { defineCommand, everyFitter, existing, id, object, Refusal } from './command'

const bitCount = { type: 'integer', minimum: 1, maximum: mostBits } as const
const bitAt = { type: 'integer', minimum: 0, maximum: mostBits } as const
const run = object({ from: bitAt, length: bitCount })
const ownFormat = object(
  {
    id: { type: 'string', pattern: '^[a-z0-9-]{1,40}$' },
    name: { type: 'string', minLength: 1, maxLength: 60, pattern: '\\S' },
    bits: bitCount,
    facility: run,
    number: run,
    parity: { type: 'array', maxItems: 8, items: object({ at: bitAt, kind: { enum: ['even', 'odd'] }, over: run }) },
    keeps: { enum: keptFormats },
  },
  ['facility'],
)

/** A format of the job's own, as it stands after this. @throws Refusal with the field at fault */
function soundFormat(facts: Facts, format: OwnFormat, at = ''): OwnFormat {
  const named = { ...format, name: format.name.trim() }
  const fault = ownFormatFault(named)
  if (fault) throw new Refusal(fault.says, `${at}${fault.field}`)
  const twin = all(facts, 'cardFormat').find(
    (f) => f.id !== format.id && f.name.toLowerCase() === named.name.toLowerCase(),
  )
  if (twin) throw new Refusal(`There is a card format ${twin.name} already. Give this one another name.`, `${at}name`)
  return named
}

export const cardFormatPut = defineCommand<OwnFormat>()({
  name: 'cardFormat.put',
  roles: everyFitter,
  schema: ownFormat,
  apply: (facts, p) => [put(facts, 'cardFormat', soundFormat(facts, p))],
  words: (f, p) => `${f.cardFormat[p.id] ? 'Changed' : 'New'} card format ${p.name}`,
})

export const cardFormatRemove = defineCommand<{ id: string }>()({
  name: 'cardFormat.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply(facts, p) {
    const format = existing(facts.cardFormat[p.id], 'card format', p.id)
    const readers = readersSetTo(facts, p.id).map(({ door, part }) => `${part.id} of ${door.ref}`)
    if (readers.length)
      throw new Refusal(
        `${format.name} stays: ${readers.slice(0, 5).join(', ')}${readers.length > 5 ? ` and ${readers.length - 5} more` : ''} read it. Set them otherwise first.`,
        'id',
      )
    return drop(facts, 'cardFormat', p.id)
  },
  words: (f, p) => `Removed card format ${f.cardFormat[p.id]?.name ?? p.id}`,
})

/** What a reader is set to. */
type SetTo = Reads & { format: string }
const setting = { format: { type: 'string', maxLength: 40 }, order: { enum: readerOrders } } as const

/** A door with one of its readers set so; what is usual is not written down. */
function withReader(door: Door, part: string, { format, order = 'asSent' }: SetTo, sheets: Sheets): Door {
  const reader = existing(
    door.parts.find((x) => x.id === part),
    `part of ${door.ref}`,
    part,
  )
  if (!accessPlaces(door, sheets).some((place) => place.part.id === part && place.cards))
    throw new Refusal(`${part} reads no cards.`, 'part')
  const { format: _format, order: _order, ...rest } = reader
  const next: Part = {
    ...rest,
    ...(format === usualFormat ? {} : { format }),
    ...(order === 'asSent' ? {} : { order }),
  }
  return { ...door, parts: door.parts.map((x) => (x.id === part ? next : x)) }
}

const checkFormat = (facts: Facts, format: string) => {
  if (!sendingOf(facts, format)) throw new Refusal(`There is no card format ${format}.`, 'format')
}
/** How one reader's bits are read; an order that is not said is as sent. */
export const partFormat = defineCommand<{ door: string; part: string } & SetTo>()({
  name: 'part.format',
  roles: everyFitter,
  schema: object({ door: id, part: id, ...setting }, ['order']),
  apply(facts, p, { sheets }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    checkFormat(facts, p.format)
    return [put(facts, 'door', withReader(door, p.part, p, sheets))]
  },
  words: (f, p) => `${p.part} of ${f.door[p.door]?.ref ?? p.door} reads ${readsWords(f, p)}`,
})

const mostReaders = 500

/** Several readers at once, also to a format that is made with it. */
export const readersSet = defineCommand<{ readers: { door: string; part: string }[]; own?: OwnFormat } & SetTo>()({
  name: 'readers.set',
  roles: everyFitter,
  schema: object(
    {
      readers: { type: 'array', minItems: 1, maxItems: mostReaders, items: object({ door: id, part: id }) },
      ...setting,
      own: ownFormat,
    },
    ['order', 'own'],
  ),
  apply(facts, p, { sheets }) {
    if (p.own && p.own.id !== p.format)
      throw new Refusal('The format that is made is not the one that is set.', 'format')
    const made = p.own && soundFormat(facts, p.own, 'own.')
    if (!made) checkFormat(facts, p.format)
    const doors = new Map<string, Door>()
    for (const { door, part } of p.readers) {
      const before = doors.get(door) ?? existing(facts.door[door], 'door', door)
      doors.set(door, withReader(before, part, p, sheets))
    }
    return [
      ...(made ? [put(facts, 'cardFormat', made)] : []),
      ...[...doors.values()].map((door) => put(facts, 'door', door)),
    ]
  },
  words(f, p) {
    const [first] = p.readers
    const which =
      p.readers.length === 1 && first
        ? `${first.part} of ${f.door[first.door]?.ref ?? first.door} reads`
        : `${p.readers.length} readers read`
    const known = p.own ? { ...f, cardFormat: { ...f.cardFormat, [p.own.id]: p.own } } : f
    return `${which} ${readsWords(known, p)}`
  },
})
