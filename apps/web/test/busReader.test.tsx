import { act, fireEvent, render, screen, within } from '@testing-library/react'
import {
  applyChanges,
  busClaimSteps,
  put,
  type Claim,
  type ClaimStepName,
  type Facts,
  type Reach,
  type RecordKind,
  type RecordTypes,
  type SeenOnBus,
} from '@rauta/core'

jest.mock('expo-router', () => ({ router: { push: () => undefined }, usePathname: () => '/', Link: () => null }))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { BenchPage } from '../src/places/reach/BenchPage'
import { ReachPage } from '../src/places/reach/ReachPage'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'
import { smallJob } from './small'

const sent: { name: string; payload: unknown }[] = []
const posted: { path: string; body: unknown }[] = []
/** D-01 of the small job with a reader on the bus of an eight-door controller. */
const busJob = smallJob([
  [
    'controller.put',
    {
      id: 'a1',
      ref: 'A1',
      sheet: 'controller-8',
      cabinet: 'Riser',
      supply: 'supply-10',
      address: '10.1.1.21',
      serial: '',
      mac: '',
    },
  ],
  [
    'door.edit',
    {
      id: 'D-01',
      fields: { hardware: { entryReader: 'reader-bus', lock: 'strike-secure', contact: 'contact-frame' } },
    },
  ],
  ['door.placeProposed', { id: 'D-01', controller: 'a1', portGroup: 'A' }],
  ['part.address', { door: 'D-01', part: 'R1', address: 3 }],
])
let facts: Facts = busJob
const fetched = globalThis.fetch

function set<K extends RecordKind>(kind: K, record: RecordTypes[K]): void {
  facts = applyChanges(facts, [put(facts, kind, record)], facts.rev + 1)
}
const inService: Reach = {
  id: 'a1',
  address: '10.7.1.21',
  serial: 'S',
  mac: 'M',
  firmware: '3.2.1',
  firmwareAccepted: { by: 'vesa', at: 1 },
  owned: true,
  erasedAt: 1,
  clockOffsetMs: 0,
  clockCheckedAt: 1,
  zoneHeld: '',
  boot: 'b',
  lastAnswerAt: 1,
  silentMs: 0,
  says: '',
}
const onBus: SeenOnBus = { controller: 'a1', port: 'bus 1', address: 3, serial: '0A0000F1', state: 'secured' }
const claimAt = (at: ClaimStepName | null, state: Claim['steps'][number]['state'], says = ''): Claim => {
  const here = busClaimSteps.findIndex((s) => s === at)
  return {
    id: 'D-01/R1',
    found: '',
    eraseAgreed: null,
    resetStep: -1,
    startedBy: 'vesa',
    steps: busClaimSteps.map((name, i) => {
      if (here < 0 || i < here) return { name, at: 1, state: 'done', says: 'well' }
      return i === here ? { name, at: 1, state, says } : { name, at: 1, state: 'todo', says: '' }
    }),
  }
}

beforeEach(() => {
  facts = busJob
  sent.length = 0
  posted.length = 0
  globalThis.fetch = (async (url: string, init?: RequestInit) => {
    posted.push({ path: url.replace('/api/v1', ''), body: JSON.parse(String(init?.body ?? '{}')) })
    return { ok: true, status: 200, json: async () => ({ says: 'D-01 R1 flashes and beeps now.' }) } as Response
  }) as typeof fetch
})
afterEach(() => {
  globalThis.fetch = fetched
})

function show(): void {
  useSession.setState({ me: { state: 'in', name: 'inka', role: 'engineer' }, expired: false })
  useJob.setState({
    base: facts,
    facts,
    ready: true,
    connection: 'live',
    outbox: [],
    send: (async (name: string, payload: unknown) => {
      sent.push({ name, payload })
    }) as never,
  })
}
const page = () => {
  show()
  render(<ReachPage id="D-01~R1" />)
}
const button = (name: RegExp | string) => screen.getByRole('button', { name })

describe('a reader on a bus, on its page', () => {
  it('leads to its controller first, through which it is spoken to', () => {
    page()
    expect(button('Reach A1 first, it speaks through it')).toBeDefined()
    expect(screen.getByText('On: 1 2. All others off.')).toBeDefined()
  })
  it('is taken into service by one tap', async () => {
    set('reach', inService)
    page()
    await act(async () => fireEvent.click(button('Take into service')))
    expect(sent).toEqual([{ name: 'busDevice.take', payload: { door: 'D-01', part: 'R1' } }])
  })
  it('shows how its switches have to stand before its steps, where it waits for them', async () => {
    set('reach', inService)
    set('claim', claimAt('network', 'waits', 'Its switches stand for address 5; it is planned at 3.'))
    page()
    const headings = screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent)
    expect(headings.indexOf('Switches and terminator')).toBeLessThan(headings.indexOf('Steps'))
    expect(within(screen.getByRole('group', { name: 'Switches' })).getAllByText(/^[1-5]$/)).toHaveLength(5)
    await act(async () => fireEvent.click(button('Go on')))
    expect(sent.map((s) => s.name)).toEqual(['busDevice.take'])
  })
  it('asks for its firmware to be accepted', async () => {
    set('reach', inService)
    set('reach', { ...inService, id: 'D-01/R1', firmware: '1.4.0', firmwareAccepted: null, owned: false, onBus })
    set('claim', claimAt('firmware', 'waits', 'Firmware 1.4.0. Accept it, or update it first.'))
    page()
    await act(async () => fireEvent.click(button('Accept this firmware, 1.4.0')))
    expect(sent).toEqual([{ name: 'busDevice.acceptFirmware', payload: { door: 'D-01', part: 'R1' } }])
  })
  it('lets nothing be tapped twice while a step is at work', () => {
    set('reach', inService)
    set('claim', claimAt('identity', 'running', 'Nobody at 3: asking every address, 48 of 126 done.'))
    page()
    expect(button('At work, Find it and read who it is').getAttribute('aria-disabled')).toBe('true')
    expect(screen.getAllByText(/48 of 126 done/).length).toBeGreaterThan(0)
  })
  it('in service flashes and beeps, and leads to its door', async () => {
    set('reach', inService)
    set('reach', { ...inService, id: 'D-01/R1', serial: '0A0000F1', onBus })
    set('claim', claimAt(null, 'done'))
    page()
    expect(button('Go to its door, D-01')).toBeDefined()
    expect(screen.getByText('Encrypted under a key of its own, which this job keeps sealed.')).toBeDefined()
    await act(async () => fireEvent.click(button('Let it flash and beep')))
    expect(posted).toEqual([{ path: '/blink', body: { door: 'D-01', part: 'R1' } }])
    expect(screen.getByText('D-01 R1 flashes and beeps now.')).toBeDefined()
  })
  it('that was exchanged says so, and is taken again', async () => {
    set('reach', inService)
    set('reach', { ...inService, id: 'D-01/R1', serial: '0A0000F1', onBus: { ...onBus, serial: 'FFFF' } })
    set('claim', claimAt(null, 'done'))
    page()
    expect(screen.getByText(/another device \(FFFF\) answers at address 3/)).toBeDefined()
    await act(async () => fireEvent.click(button('Take it into service again')))
    expect(sent.map((s) => s.name)).toEqual(['busDevice.take'])
  })
  it('stands under its controller among the devices', () => {
    set('reach', inService)
    show()
    render(<BenchPage />)
    expect(button(/^D-01 R1: R1 Card reader, bus is still to be taken into service on its bus\.$/)).toBeDefined()
  })
  it('that the job has no more is named as missing', () => {
    show()
    render(<ReachPage id="D-01~R9" />)
    expect(screen.getByRole('heading', { level: 1, name: 'No such reader on a bus' })).toBeDefined()
  })
})
