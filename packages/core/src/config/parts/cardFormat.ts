import { sendingOf } from '../../cards/sending'
import type { BitRun, CardFormat } from '../../cards/formats'
import { formatName } from '../../cards/card'
import { toldPoints } from '../../wiring/points'
import type { Json } from '../records'
import { asObject, fieldName, plainWords, shape, type PartKind } from './kind'

const whole = { type: 'integer', minimum: 0 }
const run = shape({ from: whole, length: whole })
const names: Readonly<Record<string, string>> = {
  name: 'Name',
  bits: 'Bits',
  facility: 'Facility',
  number: 'Number',
  parity: 'Parity',
  keeps: 'Kept as',
}

/** A way of sending of the job's own, for the readers of this controller that send so. */
export const cardFormatKind: PartKind = {
  name: 'cardFormat',
  schema: shape(
    {
      name: { type: 'string' },
      bits: whole,
      facility: run,
      number: run,
      parity: { type: 'array', items: shape({ at: whole, kind: { enum: ['even', 'odd'] }, over: run }) },
      keeps: { type: 'string' },
    },
    ['facility'],
  ),
  want({ facts, doors, board, sheets }) {
    if (!board.controller?.ownFormats) return {}
    const used = new Set(doors.flatMap((door) => toldPoints(door, board, sheets).flatMap((p) => p.format ?? [])))
    return Object.fromEntries(
      [...used].flatMap((id) => {
        const format = sendingOf(facts, id)
        return format?.keeps === undefined ? [] : [[id, valueOf(format)]]
      }),
    )
  },
  doorOf: () => null,
  /** Through the readers of the door that send so. */
  touches(door, both) {
    const formats = new Set(
      [both.held, both.wanted].flatMap((config) =>
        Object.values(asObject(config[`terminals/${door}`])).map((point) => plainWords(asObject(point)['format'])),
      ),
    )
    return ({ token }) => formats.has(token)
  },
  group: 'Card formats',
  title: ({ token }) => `Card format ${token}`,
  summary: (value) => `${plainWords(asObject(value)['bits'])} bits`,
  field: (field, value) => ({ name: fieldName(names, field), says: says(field, value) }),
}

function says(field: string, value: Json | undefined): string {
  if (field === 'facility' || field === 'number') return value === undefined ? 'none' : runText(asObject(value))
  if (field === 'keeps') return formatName(plainWords(value))
  if (field === 'parity' && Array.isArray(value))
    return value.length
      ? value
          .map(asObject)
          .map((p) => `bit ${Number(p['at']) + 1} ${plainWords(p['kind'])} over ${runText(asObject(p['over']))}`)
          .join('; ')
      : 'not checked'
  return plainWords(value)
}

/** Counted from 1, as people count: `bits 2 to 9`. */
const runText = (told: { [key: string]: Json }): string => {
  const from = Number(told['from'])
  return `bits ${from + 1} to ${from + Number(told['length'])}`
}

const runOf = ({ from, length }: BitRun): Json => ({ from, length })
const valueOf = ({ name, bits, facility, number, parity, keeps = '' }: CardFormat): Json => ({
  name,
  bits,
  ...(facility ? { facility: runOf(facility) } : {}),
  number: runOf(number),
  parity: parity.map(({ at, kind, over }) => ({ at, kind, over: runOf(over) })),
  keeps,
})
