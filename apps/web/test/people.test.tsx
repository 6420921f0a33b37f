import { act, fireEvent, render, screen, within } from '@testing-library/react'
import { applyChanges, put, type DeviceEvent, type Facts } from '@rauta/core'
import { commands, shippedSheets } from '@rauta/contracts'

const pushed: unknown[] = []
jest.mock('expo-router', () => ({
  router: { push: (href: unknown) => pushed.push(href), replace: (href: unknown) => pushed.push(href) },
  usePathname: () => '/people',
  useLocalSearchParams: () => ({}),
}))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { MatrixPage } from '../src/places/access/MatrixPage'
import { ReadsPage } from '../src/places/door/ReadsPage'
import { FormatsPage } from '../src/places/formats/FormatsPage'
import { EnrolPage } from '../src/places/people/EnrolPage'
import { PeoplePage } from '../src/places/people/PeoplePage'
import { PersonForm } from '../src/places/people/PersonForm'
import { ProblemError } from '../src/state/api'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'
import { smallJob } from './small'

const sent: [string, Record<string, unknown>][] = []
let refuse: Error | null = null
const hold = (facts: Facts) => useJob.setState({ base: facts, facts })
const facts = () => useJob.getState().facts

/** Commands change the job as on the server, so that what comes next is seen. */
function begin(more: [string, unknown][] = []) {
  const made = smallJob([
    ['group.put', { id: 'g', name: 'Staff' }],
    ['schedule.put', { id: 's', name: 'Day', periods: [{ days: [1], from: '08:00', to: '17:00' }] }],
    ['rule.put', { id: 'r', group: 'g', doors: ['D-01'], schedule: 's' }],
    ['person.put', { id: 'a', number: '1', name: 'Alva Quist', cards: [], groups: ['g'] }],
    ['person.put', { id: 'b', number: '2', name: 'Bror Helin', cards: [], groups: ['g'] }],
    [
      'person.put',
      {
        id: 'c',
        number: '3',
        name: 'Cila Ahde',
        cards: [{ id: 'k', facility: 61, number: 7, state: 'lost' }],
        groups: [],
      },
    ],
    ['part.enrols', { door: 'D-01', part: 'R1', may: true }],
    ...more,
  ])
  useJob.setState({
    base: made,
    facts: made,
    ready: true,
    connection: 'live',
    outbox: [],
    send: (async (name: string, payload: Record<string, unknown>) => {
      sent.push([name, payload])
      if (refuse) throw refuse
      const now = facts()
      const changes = commands[name]?.apply(now, payload as never, {
        id: `c${sent.length}`,
        by: 'vesa',
        role: 'lead',
        at: 5000 + sent.length,
        sheets: shippedSheets,
      })
      act(() => hold(applyChanges(now, changes ?? [], now.rev + 1)))
      return null
    }) as never,
  })
}
let seq = 0
/** A card is held at R1 of D-01. */
const read = (over: Partial<DeviceEvent>) =>
  act(() => {
    const at = 1000 + ++seq
    const event: DeviceEvent = {
      id: `a1:b:${seq}`,
      controller: 'a1',
      boot: 'b',
      seq,
      at,
      received: at,
      offsetMs: 0,
      kind: 'refused',
      door: 'D-01',
      reader: 'R1',
      card: '',
      state: 'unknown',
      says: '',
      ...over,
    }
    const now = facts()
    hold(applyChanges(now, [put(now, 'event', event)], now.rev + 1))
  })
const press = (name: string | RegExp) =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }))
  })
const type = (label: string, text: string) =>
  act(async () => {
    fireEvent.change(screen.getByRole('textbox', { name: label }), { target: { value: text } })
  })
const card = (name: string) => screen.queryByRole('status', { name: `Card ${name}` })

beforeEach(() => {
  localStorage.clear()
  sent.length = 0
  pushed.length = 0
  refuse = null
  seq = 0
  useSession.setState({ me: { state: 'in', name: 'vesa', role: 'lead' }, expired: false })
  begin()
})

describe('reading cards in', () => {
  it('who has no card comes first; a card that is read is given to them, and the next person is up', async () => {
    render(<EnrolPage />)
    expect(card('61 04423')).toBeNull()
    read({ card: '3D1147' })
    expect(card('61 04423')).not.toBeNull()
    await press('Give it to Alva Quist')
    expect(sent[0]).toMatchObject(['card.give', { person: 'a', card: { facility: 61, number: 4423 } }])
    screen.getByText('61 04423 is Alva Quist’s now.')
    read({ card: '3D1148' })
    await press('Give it to Bror Helin')
    expect(facts().person['b']?.cards.map((c) => c.number)).toEqual([4424])
  })
  it('what was read before it was opened, and at another reader, is not taken', () => {
    read({ card: '3D1147' })
    render(<EnrolPage />)
    read({ card: '3D1148', reader: 'R2' })
    read({ card: '3D1149', door: 'D-02' })
    expect(screen.queryByRole('button', { name: /^Give it to/ })).toBeNull()
  })
  it('for the person it was opened for, refused in words, and what was read stays', async () => {
    render(<EnrolPage first="b" />)
    read({ card: '3D1147' })
    refuse = new ProblemError(409, 'Somebody gave it to Cila Ahde meanwhile.', undefined)
    await press('Give it to Bror Helin')
    screen.getByText('Somebody gave it to Cila Ahde meanwhile.')
    expect(card('61 04423')).not.toBeNull()
  })
  it('a card that somebody has names them; it is passed on in one step, or found again', async () => {
    render(<EnrolPage />)
    read({ card: '3D0007' })
    screen.getByText('It is Cila Ahde’s, lost: refused at every door.')
    expect(screen.queryByRole('button', { name: /^Give it to/ })).toBeNull()
    await press('Cila Ahde has it again')
    expect(facts().person['c']?.cards[0]?.state).toBe('in use')
    read({ card: '3D0007' })
    await press('Pass it on to Alva Quist')
    expect(facts().person['a']?.cards[0]).toMatchObject({ number: 7, state: 'in use' })
    expect(facts().person['c']?.past).toMatchObject([{ number: 7, to: 'a' }])
  })
  it('a test card is given to nobody', () => {
    begin([
      [
        'testCards.put',
        {
          id: 'kit',
          good: { facility: 88, number: 1 },
          lost: { facility: 88, number: 2 },
          outOfHours: { facility: 88, number: 3 },
          unknown: { facility: 88, number: 4 },
        },
      ],
    ])
    render(<EnrolPage />)
    read({ card: '580001', kind: 'granted', state: 'granted' })
    screen.getByText(/one of the test cards/)
    expect(screen.queryByRole('button', { name: /^Give it to/ })).toBeNull()
  })
  it('an unknown card begins a new person, with the next number', async () => {
    render(<EnrolPage />)
    read({ card: '3D1147' })
    await type('Somebody who is not in the job yet', 'Disa Norrby')
    await press('Add Disa Norrby with it, 4')
    expect(sent[0]).toMatchObject([
      'person.put',
      { number: '4', name: 'Disa Norrby', cards: [{ facility: 61, number: 4423, state: 'in use' }], groups: [] },
    ])
  })
  it('bits of another format say what came: kept as that, or it is found out what the reader sends', async () => {
    render(<EnrolPage />)
    read({ bits: '34/2007A229E' })
    expect(screen.queryByRole('button', { name: /^Give it to/ })).toBeNull()
    await press('What does R1 send?, set it so')
    expect(pushed.at(-1)).toBe('/doors/D-01/reads?part=R1')
    await press('Keep it as 61 04431, 34 bits')
    await press('Give it to Alva Quist')
    expect(facts().person['a']?.cards[0]).toMatchObject({ format: 'wiegand34', facility: 61, number: 4431 })
  })
  it('a card that was read and given to nobody is not forgotten', async () => {
    render(<EnrolPage />)
    read({ card: '3D1147' })
    read({ card: '3D1148' })
    await press('Give it to Alva Quist')
    // Never the next person's by itself.
    expect(card('61 04423')).toBeNull()
    expect(screen.queryByRole('button', { name: /^Give it to/ })).toBeNull()
    await press('Take 61 04423 again')
    await press('Put this card aside')
    expect(card('61 04423')).toBeNull()
    await press('Take 61 04423 again')
    await press('Give it to Bror Helin')
    expect(screen.queryByRole('button', { name: 'Take 61 04423 again' })).toBeNull()
  })
  it('a desk reader has a field of its own; what may be two cards is asked, what is none is told', async () => {
    render(<EnrolPage />)
    await type('Number of the card', 'no card')
    await press('Take it')
    screen.getByText(/That is no card number/)
    await type('Number of the card', '04 A1 B2 C3 D4 E5 F6')
    await press('Take it')
    await press('04 A1 B2 C3 D4 E5 F6, serial number, 7 bytes')
    await press('Give it to Alva Quist')
    expect(facts().person['a']?.cards[0]).toMatchObject({ format: 'serial7', serial: '04A1B2C3D4E5F6' })
  })
  it('says why nothing is heard from the reader; one that is chosen may be used from then on', async () => {
    begin([['part.enrols', { door: 'D-01', part: 'R1', may: false }]])
    render(<EnrolPage />)
    screen.getByText('No reader is chosen.')
    await act(async () => {
      fireEvent.change(screen.getByRole('combobox', { name: 'Reader' }), { target: { value: 'D-01/R1' } })
    })
    expect(sent[0]).toEqual(['part.enrols', { door: 'D-01', part: 'R1', may: true }])
    screen.getByText(/^Nothing is heard from it now:/)
  })
})

describe('who cannot pass yet', () => {
  it('is counted and listed with the reason', async () => {
    render(<PeoplePage />)
    await act(async () => {
      fireEvent.click(screen.getByRole('radio', { name: 'Cannot pass yet 3' }))
    })
    expect(screen.getAllByText('No card.')).toHaveLength(2)
    screen.getByText('Every card is lost or withdrawn. In no group, and no right of their own.')
  })
})

describe('a person', () => {
  it('has days, longer times and more; what is left empty is not said', async () => {
    render(<PersonForm id="a" />)
    await type('Company', ' Lift works ')
    await act(async () => {
      fireEvent.change(screen.getByLabelText('Valid until the end of, empty for no end'), {
        target: { value: '2027-01-31' },
      })
    })
    await act(async () => {
      fireEvent.click(screen.getByRole('checkbox', { name: /^Needs longer/ }))
    })
    await press('Save the person')
    expect(sent[0]).toEqual([
      'person.put',
      {
        id: 'a',
        number: '1',
        name: 'Alva Quist',
        cards: [],
        groups: ['g'],
        knew: [],
        company: 'Lift works',
        validUntil: '2027-01-31',
        longer: true,
      },
    ])
  })
  it('an end before the beginning stands at its field', async () => {
    render(<PersonForm id="a" />)
    for (const [label, value] of [
      ['Valid from, empty for at once', '2027-02-02'],
      ['Valid until the end of, empty for no end', '2027-02-01'],
    ] as const)
      await act(async () => {
        fireEvent.change(screen.getByLabelText(label), { target: { value } })
      })
    await press('Save the person')
    screen.getByText(/before it begins/)
    expect(sent).toEqual([])
  })
  it('has rights of its own, with what has become of each, and leads to another', async () => {
    begin([
      ['doorSet.put', { id: 'set', name: 'Front doors', doors: ['D-01'] }],
      ['rule.put', { id: 'own', person: 'a', doors: [], sets: ['set'], schedule: 's', validUntil: '2020-01-31' }],
      ['rule.put', { id: 'none', person: 'b', doors: ['D-01'], schedule: 's' }],
    ])
    render(<PersonForm id="a" />)
    screen.getByText('Ended: until 2020-01-31')
    expect(screen.queryByRole('button', { name: 'D-01 on Day' })).toBeNull()
    await press('Front doors on Day')
    await press('Add a right of their own')
    expect(pushed).toEqual(['/access/own', { pathname: '/access/new', params: { person: 'a' } }])
  })
  it('says door by door whether their rights have arrived, and leads to reading a card in', async () => {
    begin([['card.give', { person: 'a', card: { id: 'x', facility: 61, number: 9 } }]])
    render(<PersonForm id="a" />)
    const doors = screen.getByRole('group', { name: 'Doors they may pass' })
    within(doors).getByText('D-01')
    within(doors).getByText('not loaded')
    await press('Read a card in')
    expect(pushed).toEqual([{ pathname: '/people/enrol', params: { person: 'a' } }])
  })
})

describe('groups by doors', () => {
  const cell = (name: string) => screen.getByRole('gridcell', { name })
  const choose = (name: string) =>
    act(async () => {
      fireEvent.click(cell(name))
    })
  const set = (label: string, schedule: string) =>
    act(async () => {
      fireEvent.change(screen.getByRole('combobox', { name: label }), { target: { value: schedule } })
    })
  it('a cell is chosen and set; what comes through a group is told; arrows move', async () => {
    begin([
      ['group.put', { id: 'n', name: 'Night', parent: 'g' }],
      ['schedule.put', { id: 'late', name: 'Late', periods: [{ days: [1], from: '18:00', to: '22:00' }] }],
    ])
    render(<MatrixPage />)
    // On a phone one group at a time, the first of the tree.
    cell('Staff at D-01: Day')
    await choose('Staff at D-02: refused')
    await set('Staff at D-02', 'late')
    expect(sent.at(-1)).toEqual(['access.cell', { group: 'g', door: 'D-02', schedule: 'late' }])
    cell('Staff at D-02: Late')
    fireEvent.keyDown(cell('Staff at D-02: Late'), { key: 'ArrowUp' })
    expect(cell('Staff at D-01: Day').getAttribute('aria-selected')).toBe('true')
    fireEvent.keyDown(cell('Staff at D-01: Day'), { key: 'ArrowUp' })
    expect(cell('Staff at D-01: Day').getAttribute('aria-selected')).toBe('true')
    // The keys took the focus along; setting the cell below leaves it there.
    expect(document.activeElement).toBe(cell('Staff at D-01: Day'))
    act(() => screen.getByRole('combobox', { name: 'Staff at D-01' }).focus())
    await set('Staff at D-01', '')
    expect(document.activeElement).toBe(screen.getByRole('combobox', { name: 'Staff at D-01' }))
    expect(sent.at(-1)).toEqual(['access.cell', { group: 'g', door: 'D-01', schedule: null }])
    cell('Staff at D-01: refused')
    await set('Group', 'n')
    cell('Staff / Night at D-02: Late (Staff)')
    await choose('Staff / Night at D-02: Late (Staff)')
    screen.getByText('Passes already by Staff on Late.')
  })
  it('by door its groups stand in rows; what was chosen before is left', async () => {
    begin([['group.put', { id: 'n', name: 'Night', parent: 'g' }]])
    render(<MatrixPage />)
    await choose('Staff at D-01: Day')
    await act(async () => {
      fireEvent.click(screen.getByRole('radio', { name: 'By door' }))
    })
    expect(screen.queryByRole('combobox', { name: 'Staff at D-01' })).toBeNull()
    expect(screen.queryByRole('combobox', { name: 'Group' })).toBeNull()
    cell('Staff at D-01: Day')
    cell('Staff / Night at D-01: Day (Staff)')
    await set('Door', 'D-02')
    await choose('Staff / Night at D-02: refused')
    await set('Staff / Night at D-02', 's')
    expect(sent.at(-1)).toEqual(['access.cell', { group: 'n', door: 'D-02', schedule: 's' }])
    fireEvent.keyDown(cell('Staff / Night at D-02: Day'), { key: 'ArrowUp' })
    expect(cell('Staff at D-02: refused').getAttribute('aria-selected')).toBe('true')
  })
  it('somebody who only looks sets nothing', async () => {
    useSession.setState({ me: { state: 'in', name: 'eyes', role: 'viewer' }, expired: false })
    render(<MatrixPage />)
    await choose('Staff at D-01: Day')
    expect(screen.queryByRole('combobox', { name: 'Staff at D-01' })).toBeNull()
  })
})

describe('what a reader sends', () => {
  it('is asked what stands on the card, said with certainty then, and set; what the controller can’t read is said', async () => {
    render(<ReadsPage id="D-01" part="R1" />)
    screen.getByText('Show a card to R1. Its bits come here.')
    // 61 04417 with all bits the other way round.
    read({ bits: `26/${parseInt('01000001010001000101111000', 2).toString(16).padStart(7, '0')}` })
    screen.getByText(/Type what stands on the card\./)
    expect(screen.queryByRole('button', { name: /^Set R1 so/ })).toBeNull()
    await type('What stands on card 1', 'sixty-one')
    screen.getByText('Write 61 04417, a number alone, or 04 A1 B2 C3.')
    await type('What stands on card 1', '61 04417')
    screen.getByText('R1 sends 26 bits, all bits the other way round.')
    screen.getByText('As R1 is set, it is no card.')
    await press('Set R1 so')
    expect(sent.at(-1)).toEqual([
      'readers.set',
      { readers: [{ door: 'D-01', part: 'R1' }], format: 'wiegand26', order: 'bitsReversed' },
    ])
    screen.getByText('As R1 is set: 61 04417, 26 bits')
    await press('Leave card 1 out')
    screen.getByText('Show a card to R1. Its bits come here.')
  })
  it('data lines that are exchanged are a cable’s matter: nothing is set', async () => {
    render(<ReadsPage id="D-01" part="R1" />)
    const exchanged = '11100001011101110101111101'
    await type('What a tester or another controller shows', exchanged)
    await press('Add 26 bits as a card')
    await type('What stands on card 1', '61 04417')
    screen.getByText('Exchange data 0 and data 1 at one end of its cable.')
    expect(screen.queryByRole('button', { name: /^Set R1 so/ })).toBeNull()
    await type('What a tester or another controller shows', 'zebra')
    screen.getByText('Write 0 and 1, or hexadecimal digits; 256 bits at most.')
  })
})

describe('card formats of the job', () => {
  it('are made by fields as people count them, refused at the field, and stay while a reader sends so', async () => {
    render(<FormatsPage />)
    await type('Name', 'Gate, 30 bits')
    await type('Bits in all', '30')
    await press('Add the format')
    screen.getByText('The number of Gate, 30 bits lies outside its 30 bits.')
    await type('Number, last bit', '')
    await press('Add the format')
    expect(Object.keys(facts().cardFormat)).toEqual([])
    await type('Number, last bit', '29')
    await press('Check a parity bit')
    await type('Counted over, 1, first bit', '2')
    await type('Counted over, 1, last bit', '15')
    await press('Add the format')
    expect(facts().cardFormat['gate-30-bits']).toMatchObject({
      bits: 30,
      facility: { from: 1, length: 16 },
      number: { from: 17, length: 12 },
      parity: [{ at: 0, kind: 'even', over: { from: 1, length: 14 } }],
    })
    await press('Gate, 30 bits')
    await press('Take Gate, 30 bits out')
    expect(facts().cardFormat).toEqual({})
  })
})
