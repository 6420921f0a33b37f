import {
  all,
  boardOf,
  eventsOf,
  failureCauses,
  scriptFor,
  toldDuring,
  type Controller,
  type DeviceEvent,
} from '@rauta/core'
import { event, magnetHardware, sheets, smallJob, strikeHardware, type World } from './world'

const board = (w: World) => boardOf(sheets, w.facts.controller['a1'] as Controller)
const test = (w: World, id: string) => {
  const found = scriptFor(w.facts, w.door(), sheets).find((t) => t.id === id)
  if (!found) throw new Error(`no test ${id}`)
  return found
}
const causes = (w: World, id: string, told: DeviceEvent[]) =>
  failureCauses(w.door(), test(w, id), told, board(w), sheets, all(w.facts, 'door'))
const input = (port: string, over: Partial<DeviceEvent> = {}) =>
  event(0, 1, 'input', 'active', { door: '', port, ...over })

describe('a failed test tells its likeliest causes', () => {
  it('an exit button on another input is found by what came from there, with both screws', () => {
    const w = smallJob(magnetHardware)
    const screw = (port: string) => board(w).terminals.find((t) => t.port === port && t.kind === 'input')?.id
    const [first] = causes(w, 'exit-button', [input('input 4')])
    expect(first).toEqual({
      rule: 'other-input',
      says: `X1 sits on another input: input 4 (terminal ${screw('input 4')}).`,
      tell: `Move its conductor to input 2 (terminal ${screw('input 2')}), then test again.`,
    })
  })
  it('where nothing came it is a loose conductor, a dead button or a rest that is planned wrong, in that order', () =>
    expect(causes(smallJob(magnetHardware), 'exit-button', []).map((c) => c.rule)).toEqual([
      'silent-input',
      'rests-wrong',
    ]))
  it('another door’s button tells of exchanged cables', () => {
    const w = smallJob(magnetHardware)
    w.do('door.add', {
      id: 'D-02',
      fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', hardware: magnetHardware },
    })
    expect(
      causes(w, 'exit-button', [event(0, 1, 'exit', 'active', { door: 'D-02', part: 'X1', port: 'input 4' })])[0],
    ).toMatchObject({ rule: 'exchanged', says: expect.stringContaining('What came was D-02 X1 on input 4') as string })
  })
  it('a button that is seen, and a lock that was told: the lock is looked at, for volts that go or come by its kind', () => {
    const told = [
      event(0, 1, 'exit', 'active', { part: 'X1', port: 'input 2' }),
      event(0, 1.1, 'lock', 'unlocked', { part: 'K1' }),
    ]
    const magnet = causes(smallJob(magnetHardware), 'exit-button', told)
    expect(magnet[0]).toMatchObject({
      rule: 'lock-still',
      tell: 'Measure at K1: its volts must go while it is released.',
    })
    expect(magnet[1]?.rule).toBe('contact-silent')
    const strike = causes(smallJob({ ...strikeHardware, exit: 'button-exit' }), 'exit-button', told)
    expect(strike[0]?.tell).toBe('Measure at K1: its volts must come while it is released.')
    expect(causes(smallJob(magnetHardware), 'exit-button', told.slice(0, 1))[0]?.rule).toBe('not-released')
  })
  it('a card that nobody heard is the reader’s; one heard at another door is exchanged', () => {
    const w = smallJob(magnetHardware)
    expect(causes(w, 'good-card', []).map((c) => c.rule)).toEqual(['no-read'])
    expect(causes(w, 'good-card', [event(0, 1, 'granted', 'granted', { door: 'D-07' })])[0]?.rule).toBe('exchanged')
  })
  it('what was told while it ran is kept with a failure, of its own controller and its own time', () => {
    const w = smallJob(magnetHardware)
    w.reached()
    w.loaded()
    w.put('event', { ...input('input 3'), id: 'early', at: w.now - 60_000 })
    w.do('trial.start', { door: 'D-01', test: 'exit-button' })
    w.put('event', { ...input('input 4'), id: 'mine', at: w.now + 500 })
    w.put('event', { ...input('input 4', { controller: 'a9' }), id: 'other', at: w.now + 500 })
    const trial = w.facts.trial['D-01']
    expect(trial && toldDuring(w.facts, trial).map((e) => e.id)).toEqual(['mine'])
    w.do('trial.answer', { door: 'D-01', test: 'exit-button', answer: 'failed', says: 'Nothing happens.' })
    const proof = all(w.facts, 'proof')[0]
    expect(proof && eventsOf(proof).map((e) => e.id)).toEqual(['mine'])
  })
})
