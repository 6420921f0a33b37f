import './idb'
import { act, fireEvent, render, screen, within } from '@testing-library/react'

jest.mock('expo-router', () => ({
  router: { push: () => undefined, replace: () => undefined },
  usePathname: () => '/x',
  Link: ({ children }: { children: unknown }) => children,
}))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { AtHandPage } from '../src/places/job/AtHandPage'
import { ControllerPage } from '../src/places/controllers/ControllerPage'
import { ControllerForm } from '../src/places/controllers/ControllerForm'
import { ChainPlace } from '../src/places/addresses/ChainPlace'
import { PapersPage } from '../src/places/wire/PapersPage'
import { WaitingPage } from '../src/places/waiting/WaitingPage'
import { WirePage } from '../src/places/wire/WirePage'
import { useJob } from '../src/state/job'
import { useOffline } from '../src/state/offline'
import { useSession } from '../src/state/session'
import type { Waiting } from '../src/state/kept'
import { busPlans } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { smallJob } from './small'

const sent: [string, unknown][] = []
let answers: Record<string, unknown> = {}
const press = (name: string | RegExp, at = 0) =>
  act(async () => {
    fireEvent.click(screen.getAllByRole('button', { name })[at] as HTMLElement)
  })
const tap = (role: 'checkbox' | 'radio', name: string | RegExp) =>
  act(async () => {
    fireEvent.click(screen.getAllByRole(role, { name })[0] as HTMLElement)
  })
const type = (name: string | RegExp, value: string) =>
  act(async () => {
    fireEvent.change(screen.getAllByRole('textbox', { name })[0] as HTMLElement, { target: { value } })
  })
const load = (more: [string, unknown][] = []) => {
  const facts = smallJob(more)
  useJob.setState({
    base: facts,
    facts,
    ready: true,
    connection: 'live',
    outbox: [],
    send: async (name, payload) => {
      sent.push([name, payload])
      return null
    },
  })
}
const waiting = (over: Partial<Waiting>): Waiting => ({
  id: String(over.seq),
  seq: 1,
  name: 'tick.set',
  payload: { door: 'D-01', cable: 'W1', what: 'pulled', done: true },
  seen: 0,
  by: 'vesa',
  job: '',
  madeAt: 0,
  ...over,
})

beforeEach(() => {
  sent.length = 0
  answers = {}
  load()
  useSession.setState({ me: { state: 'in', name: 'vesa', role: 'lead' }, expired: false })
  useOffline.setState({ secure: true, installed: true, lasting: false, newer: null })
  globalThis.fetch = jest.fn(async (url: string) => {
    const answer = answers[url.replace('/api/v1', '')]
    return {
      ok: answer !== undefined,
      status: answer === undefined ? 404 : 200,
      json: async () => answer ?? { says: 'Not here any more.' },
    } as Response
  }) as never
})

describe('wiring in the installer’s hand', () => {
  it('ticks one conductor in the table, and says which core it is on', async () => {
    render(<WirePage id="D-01" part="K1" />)
    await tap('checkbox', 'K1 + on 14 terminated')
    expect(sent).toEqual([['core.tick', { door: 'D-01', cable: 'W2', core: 'K1.plus', done: true }]])
    expect(within(screen.getByRole('table', { name: 'Conductors' })).getAllByText('W2 core 1').length).toBe(1)
  })
  it('a cable that was built otherwise is entered, and a length that is none is said', async () => {
    render(<WirePage id="D-01" part="K1" />)
    await press('W2 was built otherwise')
    await type('Built length of W2, m', 'far')
    await press('Save as built')
    expect(screen.getByText(/Write the metres between the marks/)).toBeTruthy()
    await type('Built length of W2, m', '41,5')
    await press('Save as built')
    expect(sent).toEqual([['cable.built', { door: 'D-01', cable: 'W2', lengthM: 41.5 }]])
  })
  it('the meter’s leads are kept; insulation is asked for only once nothing electronic hangs on the cable', async () => {
    render(<WirePage id="D-01" part="K1" />)
    await type('Tips joined, Ω', '0,2')
    await press('Save')
    expect(sent).toEqual([['meter.zero', { ohm: 0.2 }]])
    await press('More readings')
    expect(screen.queryByRole('textbox', { name: /New insulation/ })).toBeNull()
    await tap('checkbox', 'Reader, lock and controller are off W2')
    await type(/New insulation/, '200')
    await press('Save reading', screen.getAllByRole('button', { name: 'Save reading' }).length - 1)
    expect(sent.at(-1)).toMatchObject(['reading.add', { kind: 'insulation', value: 200, disconnected: true }])
  })
  it('a reading out of tolerance shows ranked causes, each with what tells it from the next', () => {
    load([['reading.add', { id: 'r', door: 'D-01', cable: 'W2', kind: 'loop', value: 30.7 }]])
    render(<WirePage id="D-01" part="K1" />)
    const causes = within(screen.getByRole('list', { name: 'Likely causes' })).getAllByRole('listitem')
    expect(causes[0]?.textContent).toContain('The lock is still on the cable')
    expect(causes[0]?.textContent).toContain('Take the lock off')
  })
  it('says which lamp and which sound mean what at first power', () => {
    render(<WirePage id="D-01" />)
    expect(screen.getByText('Amber, steady')).toBeTruthy()
    expect(screen.getByText('self-test passed')).toBeTruthy()
  })
})

describe('cabinets and what must be at hand', () => {
  it('the check-off says what comes first', () => {
    render(<ControllerPage id="a1" />)
    expect(screen.getAllByText(/In the box of A1: board, four pillars/).length).toBeGreaterThan(0)
    expect(screen.getAllByText(/^First: /).length).toBeGreaterThan(1)
  })
  it('a thing is got, and from whom and by when is kept', async () => {
    render(<AtHandPage />)
    await tap('checkbox', 'Network lead')
    await press('From whom and by when: Network lead')
    await type('From whom', 'The store')
    await type('By when', '2026-12-01')
    await press('Save')
    expect(sent).toEqual([
      ['procured.set', { id: 'tool-network-lead', got: true }],
      ['procured.set', { id: 'tool-network-lead', from: 'The store', due: '2026-12-01' }],
    ])
  })
  it('what is got goes out of sight, and comes back when everything is asked for', async () => {
    load([['procured.set', { id: 'tool-network-lead', got: true }]])
    render(<AtHandPage />)
    expect(screen.queryByRole('checkbox', { name: 'Network lead' })).toBeNull()
    await tap('radio', 'Everything')
    expect(screen.getByRole('checkbox', { name: 'Network lead' }).getAttribute('aria-checked')).toBe('true')
  })
  it('a controller may be fed on from another, over a run', async () => {
    load([
      [
        'controller.put',
        {
          id: 'a2',
          ref: 'A2',
          sheet: 'controller-2',
          cabinet: 'Loft',
          supply: 'supply-5',
          address: '',
          serial: '',
          mac: '',
        },
      ],
    ])
    render(<ControllerForm id="a2" />)
    await act(async () => {
      fireEvent.change(screen.getByLabelText('Supply'), { target: { value: 'from/a1' } })
    })
    await type('Run from it, m', '12')
    await press('Save the controller')
    expect(sent[0]).toMatchObject([
      'controller.put',
      { id: 'a2', fedFrom: { controller: 'a1', lengthM: 12, type: { mm2: 1.5 } } },
    ])
  })
  it('a device is moved along its bus', async () => {
    load([
      [
        'controller.put',
        {
          id: 'a8',
          ref: 'A8',
          sheet: 'controller-8',
          cabinet: 'Loft',
          supply: 'supply-10',
          address: '',
          serial: '',
          mac: '',
        },
      ],
      [
        'door.add',
        {
          id: 'D-09',
          fields: {
            ref: 'D-09',
            name: 'Bus',
            from: 'out',
            to: 'in',
            handle: true,
            hardware: { entryReader: 'reader-bus', exitReader: 'reader-bus', lock: 'strike-secure' },
          },
        },
      ],
      ['door.placeProposed', { id: 'D-09', controller: 'a8' }],
    ])
    const plan = busPlans(useJob.getState().facts, sheetsFor(useJob.getState().facts))[0]
    if (!plan) throw new Error('no bus')
    render(<ChainPlace plan={plan} at={0} />)
    await press('Later')
    expect(sent).toEqual([['busRun.put', { id: `a8/${plan.bus}`, order: ['D-09/R2', 'D-09/R1'], stations: {} }]])
  })
})

describe('on paper', () => {
  it('makes the wire sheets with progress, and stops', async () => {
    jest.useFakeTimers()
    answers = {
      '/wire-sheets': { id: 'p', by: 'vesa', total: 2, done: 0, state: 'running', says: 'Begins.' },
      '/wire-sheets/p': { id: 'p', by: 'vesa', total: 2, done: 1, state: 'running', says: 'D-01, 1 of 2' },
      '/wire-sheets/p/stop': {
        id: 'p',
        by: 'vesa',
        total: 2,
        done: 1,
        state: 'stopped',
        says: 'Stopped after 1 of 2; those are in the file.',
      },
    }
    render(<PapersPage />)
    await press(/^Make the wire sheets/)
    await act(async () => {
      await jest.advanceTimersByTimeAsync(600)
    })
    expect(screen.getByText('D-01, 1 of 2')).toBeTruthy()
    await press(/^Stop/)
    expect(screen.getByText(/Stopped after 1 of 2/)).toBeTruthy()
    expect(screen.getByRole('button', { name: 'Wire sheets as PDF' })).toBeTruthy()
    jest.useRealTimers()
  })
  it('a drum of no length is said', async () => {
    render(<PapersPage />)
    await type('Metres on a drum', 'many')
    expect(screen.getByText(/Write metres, for example 100/)).toBeTruthy()
  })
})

describe('waiting records', () => {
  it('tells mine, those of somebody else and those refused apart, in words', () => {
    useJob.setState({
      outbox: [
        waiting({ seq: 1 }),
        waiting({ seq: 2, by: 'inka' }),
        waiting({ seq: 3, refused: 'There is no door D-01.' }),
      ],
    })
    render(<WaitingPage />)
    expect(screen.getByText('1 waits for the server')).toBeTruthy()
    expect(screen.getByText(/inka must sign in on this phone/)).toBeTruthy()
    expect(screen.getByText('There is no door D-01.')).toBeTruthy()
    expect(screen.getAllByText('D-01 W1 pulled')).toHaveLength(3)
  })
  it('says where it can’t work offline, and offers a newer build', async () => {
    const newer = jest.fn()
    useOffline.setState({ secure: false, installed: false, lasting: null, newer })
    render(<WaitingPage />)
    expect(screen.getByText(/This page can’t work offline/)).toBeTruthy()
    await press('A newer Rauta is ready: take it')
    expect(newer).toHaveBeenCalled()
  })
  it('a file that is none is refused in words', async () => {
    render(<WaitingPage />)
    const file = Object.assign(new File(['{"x":1}'], 'x.json'), { text: async () => '{"x":1}' })
    await act(async () => {
      fireEvent.change(screen.getByLabelText('File with waiting records'), { target: { files: [file] } })
    })
    expect(screen.getByText(/holds no waiting records/)).toBeTruthy()
  })
})
