import { act, fireEvent, render, screen, within } from '@testing-library/react'
import { releaseOf, releaseWords, type Door } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import type { PaperView } from '@rauta/contracts'
import type { Told } from '../src/places/siting/siting.worker'

const pushed: string[] = []
jest.mock('expo-router', () => ({
  router: { push: (href: string) => pushed.push(href), replace: (href: string) => pushed.push(href) },
  usePathname: () => '/x',
  useLocalSearchParams: () => ({}),
}))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))
let mockTell: (told: Told) => void = () => undefined
const mockStop = jest.fn()
jest.mock('../src/places/siting/run', () => ({
  wiredDoors: () => [],
  startSiting: (_f: unknown, _w: unknown, t: (told: Told) => void) => {
    mockTell = t
    return mockStop
  },
}))
jest.mock('../src/places/supplies/lazyDriveLevel', () => ({
  DriveLevel: jest.requireActual<{ default: unknown }>('../src/places/supplies/DriveLevel').default,
}))
jest.mock('react-native-gifted-charts', () => ({ LineChart: () => null }))

import { AddressesPage } from '../src/places/addresses/AddressesPage'
import { SwitchesPage } from '../src/places/addresses/SwitchesPage'
import { JobPage } from '../src/places/job/JobPage'
import { SchedulePage } from '../src/places/papers/SchedulePage'
import { SheetForm } from '../src/places/sheets/SheetForm'
import { SheetPage } from '../src/places/sheets/SheetPage'
import { SheetsPage } from '../src/places/sheets/SheetsPage'
import { SitingPage } from '../src/places/siting/SitingPage'
import { ReleaseMatrix } from '../src/places/supplies/ReleaseMatrix'
import { ReleasePage } from '../src/places/supplies/ReleasePage'
import { SuppliesPage } from '../src/places/supplies/SuppliesPage'
import { SupplyPage } from '../src/places/supplies/SupplyPage'
import { UnitPage } from '../src/places/supplies/UnitPage'
import { workAhead } from '../src/state/ahead'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'
import { smallJob } from './small'

const sent: [string, unknown][] = []
const asked: [string, RequestInit | undefined][] = []
let answers: Record<string, unknown> = {}
const settle = () =>
  act(async () => {
    await Promise.resolve()
  })
const press = (name: string | RegExp) =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }))
  })
const type = (name: string | RegExp, value: string) =>
  act(async () => {
    fireEvent.change(screen.getByRole('textbox', { name }), { target: { value } })
  })

const more: [string, unknown][] = [
  ['unit.put', { id: 'n1', ref: 'N1', sheet: 'switch-8', cabinet: 'Riser', address: '' }],
  [
    'controller.put',
    { id: 'a2', ref: 'A2', sheet: 'controller-8', cabinet: 'Riser', supply: 'supply-10', address: '' },
  ],
  [
    'controller.put',
    { id: 'a3', ref: 'A3', sheet: 'controller-1-net', cabinet: 'Riser', supply: 'supply-5', address: '' },
  ],
  ['unitFeed.put', { id: 'controller/a3', unit: 'n1', port: '1', lengthM: 40 }],
  [
    'door.add',
    {
      id: 'D-03',
      fields: {
        ref: 'D-03',
        name: 'Yard',
        from: 'out',
        to: 'in',
        hardware: { entryReader: 'reader-bus', lock: 'strike-secure', contact: 'contact-frame' },
      },
    },
  ],
  ['door.placeProposed', { id: 'D-03', controller: 'a2' }],
  ...['W1', 'W2', 'W3'].map((cable): [string, unknown] => ['cable.set', { door: 'D-03', cable, lengthM: 400 }]),
]

beforeEach(() => {
  pushed.length = sent.length = asked.length = 0
  answers = { '/plan-edits': { undo: null, redo: null } }
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
  useSession.setState({ me: { state: 'in', name: 'vesa', role: 'lead' }, expired: false })
  globalThis.fetch = jest.fn(async (url: string, init?: RequestInit) => {
    const path = url.replace('/api/v1', '').split('?')[0] ?? ''
    asked.push([path, init])
    const answer = answers[path]
    return {
      ok: answer !== undefined,
      status: answer === undefined ? 422 : 200,
      json: async () => answer ?? { says: 'It is no list.' },
    } as Response
  }) as never
})

const paper: PaperView = {
  id: 'p1',
  file: 'doors.xlsx',
  says: 'One sheet of a spreadsheet',
  tables: [{ name: 'Doors', rows: 4 }],
  table: 0,
  headerRow: 3,
  counts: { new: 1, changed: 0, same: 1, bad: 1 },
  areas: [{ path: 'Yard', code: 'YA' }],
  groups: [],
  shown: 3,
  columns: [
    { index: 0, letters: 'A', title: 'Door no', group: '', meaning: 'ref', sample: 'D-07' },
    { index: 1, letters: 'B', title: 'Remark', group: '', meaning: 'ignore', sample: 'left' },
  ],
  rows: [
    {
      row: 6,
      ref: 'D-09',
      name: 'Shed',
      state: 'bad',
      says: [],
      notes: [],
      faults: [
        {
          cell: 'E6',
          column: 'Cable length, m',
          says: '“far” is not a length',
          mend: 'Write a length like 35 or 35 m.',
        },
      ],
    },
    { row: 4, ref: 'D-07', name: 'Store', state: 'new', says: [], notes: [], faults: [] },
    { row: 5, ref: 'D-01', name: 'Front', state: 'same', says: [], notes: [], faults: [] },
  ],
}

describe('the door schedule', () => {
  const bring = async (files: File[]) => {
    await act(async () => {
      fireEvent.change(screen.getByLabelText('File with the door schedule'), { target: { files } })
    })
    await settle()
  }
  it('is looked through row by row before anything is taken', async () => {
    answers['/door-schedule'] = paper
    answers['/door-schedule/p1/take'] = { says: '1 doors taken over.' }
    render(<SchedulePage />)
    await bring([new File(['x'], 'doors.xlsx')])
    const rows = within(screen.getByRole('list', { name: 'Rows' })).getAllByRole('listitem')
    expect(rows[0]?.textContent).toBe(
      '6D-09ShedbadE6 Cable length, m: “far” is not a length. Write a length like 35 or 35 m.',
    )
    expect(screen.getByText('One area is new: YA Yard.')).toBeTruthy()
    expect(sent).toEqual([])
    await press('Take 1 door over, 1 left out')
    expect(screen.getByText('1 doors taken over.')).toBeTruthy()
  })
  it('takes another meaning for a column and asks again', async () => {
    answers['/door-schedule'] = paper
    answers['/door-schedule/p1/columns'] = { ...paper, counts: { new: 2, changed: 0, same: 1, bad: 0 } }
    render(<SchedulePage />)
    await bring([new File(['x'], 'doors.xlsx')])
    await press('Look at the columns')
    await act(async () => {
      fireEvent.change(screen.getByRole('combobox', { name: 'Column B tells' }), { target: { value: 'handle' } })
    })
    expect(asked.at(-1)?.[1]?.body).toBe('{"columns":{"1":"handle"}}')
    expect(screen.getByRole('button', { name: 'Take 2 doors over' })).toBeTruthy()
  })
  it('where no row looks like titles, takes the row that it is told', async () => {
    answers['/door-schedule'] = {
      ...paper,
      headerRow: 0,
      columns: [],
      rows: [],
      counts: { new: 0, changed: 0, same: 0, bad: 0 },
    }
    answers['/door-schedule/p1/columns'] = paper
    render(<SchedulePage />)
    await bring([new File(['x'], 'doors.xlsx')])
    await type('Titles stand in row', 'two')
    await press('Take that row for the titles')
    expect(screen.getAllByRole('alert')[0]?.textContent).toContain('a whole number')
    await type('Titles stand in row', '3')
    await press('Take that row for the titles')
    expect(asked.at(-1)?.[1]?.body).toBe('{"headerRow":3}')
  })
  it('says of two files at once, and of one that is no list, what to do', async () => {
    render(<SchedulePage />)
    await bring([new File(['x'], 'a.csv'), new File(['y'], 'b.csv')])
    expect(screen.getByRole('alert').textContent).toContain('Bring one after the other')
    await bring([new File(['x'], 'a.pdf')])
    expect(screen.getByRole('alert').textContent).toBe('It is no list.')
  })
  it('stopped half-way changes nothing', async () => {
    globalThis.fetch = jest.fn((url: string, init?: RequestInit) =>
      url.includes('plan-edits')
        ? Promise.resolve({ ok: true, json: async () => ({ undo: null, redo: null }) })
        : new Promise((_, no) => {
            init?.signal?.addEventListener('abort', () => no(new Error('aborted')))
          }),
    ) as never
    render(<SchedulePage />)
    await bring([new File(['x'], 'a.csv')])
    await press('Stop')
    await settle()
    expect(screen.getByText('Stopped. Nothing was changed.')).toBeTruthy()
  })
})

describe('undo', () => {
  it('says what it would take back and does it', async () => {
    answers['/plan-edits'] = {
      undo: { rev: 9, name: 'site.place', says: 'Placed 13 doors', by: 'vesa', at: 0 },
      redo: { rev: 11, name: 'plan.undo', says: '', by: 'vesa', at: 0 },
    }
    render(<SchedulePage />)
    await settle()
    await press('Undo: Placed 13 doors')
    await press('Redo what was taken back')
    expect(sent).toEqual([
      ['plan.undo', { rev: 9 }],
      ['plan.redo', { rev: 11 }],
    ])
  })
})

describe('device sheets', () => {
  it('are found by name and show what the device bears', async () => {
    const { unmount } = render(<SheetsPage />)
    await type('Find a device', 'midspan')
    expect(screen.getAllByRole('button').map((b) => b.getAttribute('aria-label'))).toEqual([
      'Midspan, 1 port',
      'Add a device sheet',
    ])
    unmount()
    render(<SheetPage id="reader-bus-keypad" />)
    expect(screen.getByRole('group', { name: 'Switches' })).toBeTruthy()
    expect(screen.getByText(/From the factory: on/)).toBeTruthy()
  })
  it('are added through a form made from the schema; contradictions are told before it is kept', async () => {
    render(<SheetForm like="strike-fast" />)
    await type('Short name, small letters', 'strike-own')
    await type('Lets go under, V', '11')
    await press('Save the sheet')
    expect(screen.getAllByText(/It cannot let go at 11 V and need only 10.5 V/)).toHaveLength(1)
    expect(sent).toEqual([])
    await type('Lets go under, V', '3')
    await press('Save the sheet')
    expect(sent).toMatchObject([['sheet.put', { id: 'strike-own', kind: 'lock', lock: { dropOutV: 3, pullA: 0.9 } }]])
  })
})

describe('siting', () => {
  it('shows the best so far, can be stopped, and takes the proposal over as one change', async () => {
    render(<SitingPage />)
    await press(/^Work out where every door goes/)
    await act(async () => mockTell({ soFar: { controllers: 3, cableM: 1234, done: false } }))
    expect(screen.getByText('Searches. Best so far: 3 new controllers, 1 234 m of cable.')).toBeTruthy()
    await press('Stop and keep the best so far')
    expect(mockStop).toHaveBeenCalled()
    await act(async () =>
      mockTell({
        stopped: true,
        ms: 900,
        done: {
          controllers: [],
          doors: [
            {
              door: 'D-02',
              placement: { controller: 'a1', portGroup: 'B', terminals: {} },
              lengthM: 31,
              why: 'Riser is its nearest cabinet, 31 m.',
            },
          ],
          left: [{ door: 'D-03', says: 'Every cabinet in its reach is full.' }],
          newControllers: 0,
          cableM: 31,
          bound: { controllers: 0, cableM: 30 },
          unknownLength: [],
        },
      }),
    )
    expect(screen.getByText('Every cabinet in its reach is full.')).toBeTruthy()
    expect(screen.getByText(/3.3 % over what nothing can go under/)).toBeTruthy()
    await press('Take 1 doors over, 0 new')
    expect(sent).toEqual([
      [
        'site.place',
        {
          controllers: [],
          doors: [{ door: 'D-02', placement: { controller: 'a1', portGroup: 'B', terminals: {} }, lengthM: 31 }],
        },
      ],
    ])
  })
})

describe('supplies', () => {
  it('put what has to be mended first', async () => {
    const end = workAhead()
    render(<SuppliesPage />)
    await screen.findByRole('button', { name: /^Supply of A1/ })
    end()
    const lines = screen
      .getAllByRole('button')
      .map((b) => b.getAttribute('aria-label') ?? '')
      .filter((l) => l.startsWith('Supply of'))
    expect(lines[0]).toMatch(/^Supply of A2\. .*collapses|^Supply of A2\. .*D-03|^Supply of A2/)
    expect(screen.getByRole('button', { name: /^Network power of N1\. 1 of 8 ports used, 7 free/ })).toBeTruthy()
  })
  it('tell where a number comes from when it is tapped, and what cable would do', async () => {
    render(<SupplyPage id="a2" />)
    await settle()
    expect(screen.getByText(/would do up to \d+ m/)).toBeTruthy()
    await press(/^At rest: .*Where it comes from/)
    expect(screen.getByText(/Sum of what draws while nobody passes/)).toBeTruthy()
  })
  it('plan a battery', async () => {
    render(<SupplyPage id="a1" />)
    await settle()
    await type('One battery, Ah', '12')
    await press('Save battery and supply')
    expect(sent).toMatchObject([['powerPlan.put', { id: 'a1', batteryAh: 12, batteryCount: 1, supply: 'supply-5' }]])
  })
  it('say of a switch port what class is granted and what is drawn at the peak', () => {
    render(<UnitPage id="n1" />)
    expect(
      screen.getByRole('button', { name: /^Class 4 asked for, 4 granted; peak at the port: 1[4-9]\.\d W/ }),
    ).toBeTruthy()
  })
  it('tell for every door what opens when', async () => {
    render(<ReleasePage />)
    await act(async () => {
      fireEvent.click(screen.getByRole('radio', { name: 'Supply and battery dead' }))
    })
    expect(
      screen.getByText('Supply and battery dead: at 1 of 2 doors nobody gets out. Not known at 1 door.'),
    ).toBeTruthy()
  })
  it('as a matrix every case of every door, and not known where nobody can say', async () => {
    const { door, controller } = useJob.getState().facts
    const d = door['D-01'] as Door
    const answers = releaseOf(d, controller['a1'], shippedSheets)
    render(
      <ReleaseMatrix
        rows={[
          { door: d, answers },
          { door: { ...d, id: 'D-02', ref: 'D-02' }, answers: null },
        ]}
        chosen="supply"
      />,
    )
    const matrix = within(
      await screen.findByRole('table', { name: 'What opens when, door by door' }, { timeout: 30_000 }),
    )
    expect(matrix.getAllByRole('columnheader').map((h) => h.textContent)).toEqual([
      'Door',
      ...Object.values(releaseWords),
    ])
    const [, first, second] = matrix.getAllByRole('row')
    expect(first?.textContent).toContain('by handlein shut')
    expect(second?.textContent?.match(/not known/g)).toHaveLength(6)
  })
})

describe('addresses', () => {
  it('are proposed in order and given at once, on the network and on the bus', async () => {
    render(<AddressesPage />)
    await press('Give 4 addresses as proposed')
    expect(sent).toEqual([
      [
        'addresses.put',
        {
          controllers: [
            { id: 'a2', address: '10.1.1.22' },
            { id: 'a3', address: '10.1.1.23' },
          ],
          units: [{ id: 'n1', address: '10.1.1.24' }],
          parts: [{ door: 'D-03', part: 'R1', address: 0 }],
        },
      ],
    ])
  })
  it('are read from switches as well', async () => {
    render(<SwitchesPage />)
    await act(async () => {
      fireEvent.change(screen.getByRole('combobox', { name: 'Device' }), { target: { value: 'reader-bus' } })
    })
    await press('Switch 1 off')
    await press('Switch 3 off')
    expect(within(screen.getByRole('status')).getByText('5')).toBeTruthy()
  })
})

describe('areas', () => {
  it('show what leads where', async () => {
    render(<JobPage />)
    await press('I Inside')
    expect(screen.getByText(': D-01, D-02, D-03')).toBeTruthy()
  })
})
