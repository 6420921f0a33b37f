import {
  cardFormatCodec,
  doorWiringCodec,
  el,
  envelope,
  openEnvelope,
  scheduleCodec,
  servicePaths,
  specialDayGroupCodec,
  type Markup,
} from '@rauta/protocols'
import { noEntities } from '../src/device/memory'
import { handlerFor, type Call } from '../src/device/services'
import type { Unit } from '../src/device/unit'

/** A device with room for two schedules and one group of special days. */
function little() {
  const entities = noEntities()
  const unit = {
    memory: { entities },
    sheet: { times: { schedules: 2, periodsADay: 4, specialDays: 1 } },
    save: () => undefined,
    altered: () => undefined,
  } as unknown as Unit
  const tell = (operation: string, markup: Markup) => {
    const { body } = openEnvelope(envelope(el(`tsc:${operation}`, markup)))
    const call = { unit, body, base: '', query: new URLSearchParams() } as unknown as Call
    return handlerFor(servicePaths.tsc, operation)?.(call)
  }
  const schedule = (token: string, name = token) =>
    tell('SetSchedule', scheduleCodec.write({ token, name, standard: 'BEGIN:VCALENDAR', specialDays: [] }))
  const group = (token: string) =>
    tell('SetSpecialDayGroup', specialDayGroupCodec.write({ token, name: token, days: '' }))
  return { entities, schedule, group }
}

it('a device holds as many schedules and special days as its sheet says, and no more; what it holds may be altered', () => {
  const { entities, schedule, group } = little()
  schedule('a')
  schedule('b')
  expect(() => schedule('c')).toThrow(expect.objectContaining({ subcode: 'ter:MaxSchedules' }) as Error)
  schedule('b', 'other')
  expect(Object.values(entities.Schedule).map((s) => s.name)).toEqual(['a', 'other'])
  group('x')
  expect(() => group('y')).toThrow(expect.objectContaining({ subcode: 'ter:MaxSpecialDayGroups' }) as Error)
  group('x')
  expect(Object.keys(entities.SpecialDayGroup)).toEqual(['x'])
})

/** A device that can be told two formats by fields. */
function withFormats(ownFormats: number) {
  const entities = noEntities()
  const unit = {
    memory: { entities },
    sheet: { ownFormats, cardFormats: ['wiegand26'], bitOrders: ['bytesReversed'] },
    save: () => undefined,
    altered: () => undefined,
  } as unknown as Unit
  const tell = (operation: string, markup: Markup) => {
    const { body } = openEnvelope(envelope(el(`cx:${operation}`, markup)))
    const call = { unit, body, base: '', query: new URLSearchParams() } as unknown as Call
    return handlerFor(servicePaths.cx, operation)?.(call)
  }
  const format = (token: string, number = { from: 1, length: 16 }) =>
    tell('SetCardFormat', cardFormatCodec.write({ token, name: token, bits: 20, number, parity: [], keeps: 'wide' }))
  const reader = (over: object) =>
    tell(
      'SetDoorWiring',
      doorWiringCodec.write({
        token: 'D',
        readers: [{ part: 'R1', function: 'entryReader', port: 'reader 1', accessPoint: 'D.R1', ...over }],
        inputs: [],
        outputs: [],
        forcedAlarm: false,
      }),
    )
  return { entities, format, reader, remove: (token: string) => tell('DeleteCardFormat', el('cx:Token', token)) }
}
const subcode = (code: string) => expect.objectContaining({ subcode: code }) as Error

it('formats by fields: as many as its sheet says, none that contradict themselves, none taken away under a reader', () => {
  const { entities, format, reader, remove } = withFormats(2)
  format('a')
  format('b')
  expect(() => format('c')).toThrow(subcode('ter:MaxCardFormats'))
  expect(() => format('b', { from: 10, length: 16 })).toThrow(subcode('ter:InvalidArgVal'))
  reader({ format: 'a', order: 'bytesReversed' })
  expect(() => reader({ format: 'nobody’s' })).toThrow(subcode('ter:InvalidArgVal'))
  expect(() => reader({ order: 'bitsReversed' })).toThrow(subcode('ter:InvalidArgVal'))
  expect(() => remove('a')).toThrow(subcode('ter:ReferenceInUse'))
  remove('b')
  expect(Object.keys(entities.CardFormat)).toEqual(['a'])
})

it('a type that can be told none does not know of them', () => {
  expect(() => withFormats(0).format('a')).toThrow(subcode('ter:ActionNotSupported'))
})
