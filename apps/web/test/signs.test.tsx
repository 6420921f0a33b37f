import { render, screen } from '@testing-library/react'
import { marks, type DeviceEvent, type Door, type DoorMarks, type Facts, type Sign } from '@rauta/core'
import { leavesNow } from '../src/places/door/layers'
import { Tick } from '../src/parts/Action'
import { numberIn } from '../src/parts/Field'
import { Dial } from '../src/places/prove/Dial'
import { BigRungs, MarkCounts, Rungs } from '../src/signs/Rungs'
import { clockTime } from '../src/state/time'

const state = (signs: Sign[]): DoorMarks =>
  Object.fromEntries(
    marks.map((mark, i) => [mark, { mark, sign: signs[i] ?? 'todo', share: 0.5, says: '', findings: [] }]),
  ) as unknown as DoorMarks
const all: Sign[] = ['given', 'stale', 'stopped', 'underWay', 'notNeeded', 'todo']

describe('the rungs', () => {
  it('tell all six marks in words', () => {
    render(<Rungs state={state(all)} />)
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      'Plan done, Wire stale, Reach stopped, Load under way, Prove not needed, Sign to do',
    )
  })
  it('differ in shape, not only in colour', () => {
    const shapes = all.map((sign) => {
      const { container, unmount } = render(<Rungs state={state([sign, sign, sign, sign, sign, sign])} />)
      const html = container.innerHTML
        .replace(/#[0-9a-fA-F]{6}/g, '')
        .replace(/fill="[^"]*"/g, '')
        .replace(/aria-label="[^"]*"/, '')
      unmount()
      return html
    })
    expect(new Set(shapes).size).toBe(all.length - 0)
  })
  it('stand with their words at the head of a door', () => {
    render(<BigRungs state={state(all)} />)
    expect(screen.getAllByRole('listitem').map((i) => i.getAttribute('aria-label'))).toEqual([
      'Plan: done',
      'Wire: stale',
      'Reach: stopped',
      'Load: under way',
      'Prove: not needed',
      'Sign: to do',
    ])
  })
  it('count the doors', () => {
    render(<MarkCounts counts={{ plan: 4, wire: 3, reach: 2, load: 2, prove: 1, sign: 0 }} total={4} />)
    expect(screen.getByRole('listitem', { name: 'Wire: 3 of 4' })).toBeTruthy()
  })
})

it('a box to tick says whether it is ticked', () => {
  render(<Tick label="pulled" on onPress={() => undefined} />)
  expect(screen.getByRole('checkbox', { name: 'pulled' }).getAttribute('aria-checked')).toBe('true')
})

it('a dial shows its seconds and the window they should end in', () => {
  render(<Dial label="Open since" seconds={17.43} from={18} to={22} />)
  expect(screen.getByText('17.4 s')).toBeTruthy()
  expect(screen.getByText('18–22 s')).toBeTruthy()
})

it('reads numbers as a fitter types them', () => {
  expect([numberIn('1,14'), numberIn(' 35 '), numberIn('-2'), numberIn('35 m'), numberIn('')]).toEqual([
    1.14,
    35,
    -2,
    null,
    null,
  ])
})

it('tells times in the site’s zone, to a tenth where it matters', () => {
  expect(clockTime(Date.parse('2026-11-24T12:32:07.250Z'), 'Europe/Helsinki', true)).toBe('14:32:07.2')
})

describe('the leaves of a door', () => {
  const door = (roles: string[]) =>
    ({ id: 'D', parts: roles.map((role, i) => ({ id: `P${i}`, role, sheet: '' })) }) as unknown as Door
  const event = (seq: number, over: Partial<DeviceEvent>) =>
    ({ id: `e${seq}`, at: seq, seq, door: 'D', ...over }) as DeviceEvent
  const facts = (events: DeviceEvent[]) =>
    ({ event: Object.fromEntries(events.map((e) => [e.id, e])) }) as unknown as Facts
  it('stand as the controller told last: one leaf as a whole, two by their own contacts, none where nobody sees it', () => {
    const open = event(1, { kind: 'leaf', state: 'open' })
    expect(leavesNow(facts([open]), door(['contact']))).toEqual({ first: 'open', second: null })
    expect(leavesNow(facts([open, event(2, { kind: 'leaf', state: 'closed' })]), door(['contact']))).toEqual({
      first: 'shut',
      second: null,
    })
    expect(leavesNow(facts([]), door(['lock']))).toEqual({ first: null, second: null })
    const two = door(['contact', 'contact2'])
    expect(leavesNow(facts([event(1, { kind: 'input', part: 'P1', state: 'active' })]), two)).toEqual({
      first: 'shut',
      second: 'open',
    })
    expect(
      leavesNow(
        facts([
          open,
          event(2, { kind: 'input', part: 'P0', state: 'idle' }),
          event(3, { kind: 'input', part: 'P1', state: 'active' }),
        ]),
        two,
      ),
    ).toEqual({ first: 'shut', second: 'open' })
  })
})
