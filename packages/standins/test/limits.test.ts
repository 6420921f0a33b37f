import {
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
