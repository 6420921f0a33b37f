import { act, fireEvent, render, screen, within } from '@testing-library/react'
import { emptyFacts } from '@rauta/core'

const pushed: string[] = []
jest.mock('expo-router', () => ({
  router: { push: (href: string) => pushed.push(href), replace: (href: string) => pushed.push(href) },
  usePathname: () => '/doors',
  Link: ({ children, href }: { children: unknown; href: string }) => {
    const { createElement } = jest.requireActual<{ createElement: (...args: unknown[]) => unknown }>('react')
    return createElement('a', { href }, children)
  },
}))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { DoorPage } from '../src/places/door/DoorPage'
import { Board } from '../src/places/doors/Board'
import { LoadPage } from '../src/places/load/LoadPage'
import { PlanPage } from '../src/places/plan/PlanPage'
import { BenchPage } from '../src/places/reach/BenchPage'
import { TopLine } from '../src/places/shell/TopLine'
import { WirePage } from '../src/places/wire/WirePage'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'
import { smallJob } from './small'

const sent: [string, unknown][] = []
let refusal: Error | null = null
beforeEach(() => {
  pushed.length = 0
  sent.length = 0
  refusal = null
  const facts = smallJob()
  useJob.setState({
    base: facts,
    facts,
    ready: true,
    connection: 'live',
    outbox: [],
    send: async (name, payload) => {
      if (refusal) throw refusal
      sent.push([name, payload])
      return null
    },
  })
  useSession.setState({ me: { state: 'in', name: 'vesa', role: 'lead' }, expired: false })
})
const press = async (name: string | RegExp) => {
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name }))
  })
}

describe('the board', () => {
  it('says of each door what is next, and why', () => {
    render(<Board />)
    const doors = within(screen.getByRole('list', { name: 'Doors' })).getAllByRole('button')
    expect(doors.map((d) => d.getAttribute('aria-label'))).toEqual([
      'D-01 Front. Wire: W1 to R1 is still to be pulled.',
      'D-02 Back. Plan: The door is on no controller yet. Place it.',
    ])
  })
  it('opens a door', async () => {
    render(<Board />)
    await press(/^D-01 /)
    expect(pushed).toEqual(['/doors/D-01'])
  })
  it('an empty job says what belongs there', () => {
    useJob.setState({ facts: emptyFacts() })
    render(<Board />)
    expect(screen.getByText(/No door yet/)).toBeTruthy()
  })
  it('lets a viewer look, but not add', () => {
    useSession.setState({ me: { state: 'in', name: 'v', role: 'viewer' } })
    render(<Board />)
    expect(screen.queryByRole('button', { name: 'Add a door' })).toBeNull()
  })
})

describe('a door', () => {
  it('heads its page with the marks in words and leads to the next action', async () => {
    render(<DoorPage id="D-01" />)
    expect(screen.getByRole('listitem', { name: 'Plan: done' })).toBeTruthy()
    expect(screen.getByRole('listitem', { name: 'Sign: to do' })).toBeTruthy()
    await press('Wire this door')
    expect(pushed).toEqual(['/doors/D-01/wire'])
  })
  it('says what can never be seen', () => {
    render(<DoorPage id="D-02" />)
    expect(screen.getByText(/Without a door contact nobody can see/)).toBeTruthy()
  })
  it('that is not there says so', () => {
    render(<DoorPage id="X" />)
    expect(screen.getByText(/There is no door X in this job/)).toBeTruthy()
  })
})

describe('planning', () => {
  it('proposes a place and says which terminals', async () => {
    render(<PlanPage id="D-02" />)
    expect(screen.getByText(/Proposed: door port B, terminals 19 20 21 22 23/)).toBeTruthy()
    await press('Place on A1')
    expect(sent).toEqual([['door.placeProposed', { id: 'D-02', controller: 'a1' }]])
  })
  it('places a door with a door station on that station, and says on its page that it stands there', async () => {
    const hardware = { entryReader: 'station-one', lock: 'strike-secure' }
    const plan: [string, unknown] = ['door.edit', { id: 'D-02', fields: { hardware } }]
    useJob.setState({ facts: smallJob([plan]) })
    const { unmount } = render(<PlanPage id="D-02" />)
    expect(screen.queryByRole('button', { name: 'Place on A1' })).toBeNull()
    await press('Place on its own unit, A2')
    expect(sent).toEqual([['door.placeOnUnit', { door: 'D-02', controller: expect.any(String) as string, ref: 'A2' }]])
    unmount()
    useJob.setState({ facts: smallJob([plan, sent[0] as [string, unknown]]) })
    render(<DoorPage id="D-02" />)
    expect(screen.getByText('Outside to Inside · on R1 itself, A2')).toBeTruthy()
  })
  it('moves a lead by tap and tap, and refuses a terminal of another kind', async () => {
    render(<PlanPage id="D-01" />)
    await press(/^Move C1 contact/)
    await press(/^Terminal 1 /)
    expect(screen.getByText('C1 contact does not go on 1 12V: it wants an input.')).toBeTruthy()
    await press(/^Terminal 18 /)
    expect(screen.getByText('Nothing else changes.')).toBeTruthy()
    expect(sent).toEqual([])
    await press('Put it on 18')
    expect(sent[0]).toMatchObject(['door.place', { id: 'D-01', placement: { terminals: { 'C1.a': '18' } } }])
  })
  it('tells what a move would do to the findings before it is made', async () => {
    const facts = smallJob([
      ['door.place', { id: 'D-02', placement: { controller: 'a1', portGroup: 'B', terminals: { 'R1.d0': '18' } } }],
    ])
    useJob.setState({ facts })
    render(<PlanPage id="D-01" />)
    await press(/^Move C1 contact/)
    await press(/^Terminal 18 /)
    expect(screen.getByText('Would come: 2 conductors on terminal 18; it takes 1.')).toBeTruthy()
    expect(sent).toEqual([])
  })
  it('takes metres with a comma and refuses feet', async () => {
    render(<PlanPage id="D-01" />)
    const field = screen.getByRole('textbox', { name: 'Length of W1, m' })
    fireEvent.change(field, { target: { value: '60 ft' } })
    await press('Save W1')
    expect(screen.getByText(/Lengths are in metres/)).toBeTruthy()
    fireEvent.change(field, { target: { value: '18,5' } })
    await press('Save W1')
    expect(sent).toEqual([['cable.set', { door: 'D-01', cable: 'W1', lengthM: 18.5 }]])
  })
})

describe('wiring', () => {
  it('lists every conductor to its numbered terminal', () => {
    render(<WirePage id="D-01" part="K1" />)
    const rows = within(screen.getByRole('table', { name: 'Conductors' })).getAllByRole('row')
    expect(rows).toHaveLength(9)
    expect(rows[0]?.textContent).toBe('K1+, orangeW2 core 114NO')
  })
  it('ticks a cable and enters a reading as it was typed', async () => {
    render(<WirePage id="D-01" part="K1" />)
    await act(async () => {
      fireEvent.click(screen.getByRole('checkbox', { name: 'pulled' }))
    })
    fireEvent.change(screen.getByRole('textbox', { name: 'New loop resistance, Ω' }), { target: { value: '0,7' } })
    await act(async () => {
      fireEvent.click(screen.getAllByRole('button', { name: 'Save reading' })[0] as HTMLElement)
    })
    expect(sent).toMatchObject([
      ['tick.set', { door: 'D-01', cable: 'W2', what: 'pulled', done: true }],
      ['reading.add', { door: 'D-01', cable: 'W2', kind: 'loop', value: 0.7 }],
    ])
  })
  it('keeps what was typed when the server refuses it', async () => {
    render(<WirePage id="D-01" part="K1" />)
    refusal = new Error('No.')
    const field = screen.getByRole<HTMLInputElement>('textbox', { name: 'New volts at rest, V' })
    fireEvent.change(field, { target: { value: '99' } })
    await act(async () => {
      fireEvent.click(screen.getAllByRole('button', { name: 'Save reading' })[1] as HTMLElement)
    })
    expect(screen.getByText('No.')).toBeTruthy()
    expect(field.value).toBe('99')
  })
})

describe('what stands around', () => {
  it('tells the connection and how many records wait', () => {
    useJob.setState({
      connection: 'away',
      outbox: [{ id: '1', name: 'x', payload: {}, seen: 0, seq: 1, by: 'vesa', job: '', madeAt: 0 }],
    })
    render(<TopLine />)
    expect(screen.getByText('No server, 1 wait')).toBeTruthy()
    expect(screen.getByText('North pier')).toBeTruthy()
  })
  it('the bench says what is expected and not heard', () => {
    render(<BenchPage />)
    expect(screen.getByRole('button', { name: /^A1: Not heard/ })).toBeTruthy()
  })
  it('with nothing in service there is nothing to load', () => {
    render(<LoadPage />)
    expect(screen.getByText(/No device is in service yet/)).toBeTruthy()
  })
})
