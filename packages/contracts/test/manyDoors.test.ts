import { all } from '@rauta/core'
import { Ajv } from 'ajv'
import { commands, planEdits, type ManyFields } from '../src'
import { magnetHardware, smallJob, strikeHardware, type World } from './world'

const withTwo = (): World => {
  const w = smallJob(magnetHardware)
  w.do('door.add', {
    id: 'D-02',
    fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', handle: true, hardware: strikeHardware },
  })
  w.do('door.edit', { id: 'D-02', fields: { behaviour: { ...w.door('D-02').behaviour, heldOpenS: 44 } } })
  return w
}
const fits = (payload: unknown): boolean =>
  new Ajv({ strict: false }).compile(commands['doors.edit']?.schema ?? {})(payload)
const many = (w: World, doors: string[], fields: ManyFields) => w.do('doors.edit', { doors, fields })

describe('the same change at many doors', () => {
  it('alters what is named and nothing else, at those doors alone', () => {
    const w = withTwo()
    const before = all(w.facts, 'door')
    many(w, ['D-01', 'D-02'], { escapeRoute: true, behaviour: { releaseS: 7 } })
    expect(all(w.facts, 'door')).toEqual(
      before.map((d) => ({ ...d, escapeRoute: true, behaviour: { ...d.behaviour, releaseS: 7 } })),
    )
    expect(w.door('D-02').behaviour.heldOpenS).toBe(44)
    many(w, ['D-02'], { pinned: true })
    expect([w.door('D-01').pinned ?? false, w.door('D-02').pinned]).toEqual([false, true])
  })

  it('comes to the same as the change made door by door', () => {
    const [together, oneByOne] = [withTwo(), withTwo()]
    many(together, ['D-01', 'D-02'], { handle: false, behaviour: { releaseS: 9, forcedAlarm: false } })
    for (const id of ['D-01', 'D-02'])
      oneByOne.do('door.edit', {
        id,
        fields: { handle: false, behaviour: { ...oneByOne.door(id).behaviour, releaseS: 9, forcedAlarm: false } },
      })
    expect(all(together.facts, 'door')).toEqual(all(oneByOne.facts, 'door'))
  })

  it('is refused as a whole where one door is gone or an area is not there, and can be taken back', () => {
    const w = withTwo()
    const before = all(w.facts, 'door')
    expect(() => many(w, ['D-01', 'D-99'], { handle: true })).toThrow('There is no door D-99')
    expect(() => many(w, ['D-01', 'D-02'], { to: 'nowhere' })).toThrow(/nowhere|area/)
    expect(all(w.facts, 'door')).toEqual(before)
    expect(planEdits.has('doors.edit')).toBe(true)
  })

  it.each([
    ['no door', { doors: [], fields: { handle: true } }],
    ['a door twice', { doors: ['D-01', 'D-01'], fields: { handle: true } }],
    ['nothing to change', { doors: ['D-01'], fields: {} }],
    ['no time to change', { doors: ['D-01'], fields: { behaviour: {} } }],
    ['a time that is none', { doors: ['D-01'], fields: { behaviour: { releaseS: 'soon' } } }],
    ['a time out of range', { doors: ['D-01'], fields: { behaviour: { releaseS: 0 } } }],
    ['what belongs to one door alone', { doors: ['D-01', 'D-02'], fields: { ref: 'X-1' } }],
    ['a field that nobody knows', { doors: ['D-01'], fields: { colour: 'red' } }],
  ])('%s is refused by its schema', (_what, payload) => {
    expect(fits(payload)).toBe(false)
  })
  it('what is as it should be is not', () => {
    expect(fits({ doors: ['D-01'], fields: { handle: true, behaviour: { releaseS: 0.5 } } })).toBe(true)
  })

  it('says what was changed, and of which doors', () => {
    const w = withTwo()
    expect(
      commands['doors.edit']?.words(w.facts, {
        doors: ['D-01', 'D-02', 'a', 'b', 'c'],
        fields: { handle: true, behaviour: { releaseS: 5 } },
      } as never),
    ).toBe('Changed handle, releaseS of D-01, D-02, a and 2 more')
  })
})
