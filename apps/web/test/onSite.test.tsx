import { act, fireEvent, render, screen } from '@testing-library/react'
import {
  applyChanges,
  claimSteps,
  emptyFacts,
  put,
  readingChanges,
  wantedConfig,
  type Claim,
  type DeviceEvent,
  type Facts,
  type Reach,
  type RecordKind,
  type RecordTypes,
} from '@rauta/core'
import { commands, shippedSheets } from '@rauta/contracts'

jest.mock('expo-router', () => ({ router: { push: () => undefined }, usePathname: () => '/', Link: () => null }))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { LoadPage } from '../src/places/load/LoadPage'
import { ProveList } from '../src/places/prove/ProveList'
import { ProvePage } from '../src/places/prove/ProvePage'
import { BenchPage } from '../src/places/reach/BenchPage'
import { ClaimPage } from '../src/places/reach/ClaimPage'
import { SignPage } from '../src/places/sign/SignPage'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'

jest.mock('../src/signs/SignaturePad', () => ({ SignaturePad: () => null }))

let facts: Facts = emptyFacts()
const sent: [string, unknown][] = []
function run(name: string, payload: unknown): void {
  facts = applyChanges(
    facts,
    commands[name]?.apply(facts, payload as never, {
      id: `c${facts.rev}`,
      by: 'vesa',
      role: 'lead',
      at: 1000,
      sheets: shippedSheets,
    }) ?? [],
    facts.rev + 1,
  )
}
function have<K extends RecordKind>(kind: K, record: RecordTypes[K]): void {
  facts = applyChanges(facts, [put(facts, kind, record)], facts.rev + 1)
}
function show(): void {
  useJob.setState({ base: facts, facts, ready: true, connection: 'live', outbox: [] })
}

const reach: Reach = {
  id: 'a1',
  address: '10.1.1.21',
  serial: 'S1',
  mac: 'M1',
  firmware: '3.1',
  firmwareAccepted: { by: 'vesa', at: 1 },
  owned: true,
  erasedAt: 1,
  clockOffsetMs: 300,
  clockCheckedAt: 1,
  zoneHeld: '<+00>0',
  boot: 'b1',
  lastAnswerAt: 1,
  silentMs: 0,
  says: '',
}
const claim = (
  state: Claim['steps'][number]['state'],
  at: Claim['steps'][number]['name'],
  says: string,
  resetStep = -1,
): Claim => ({
  id: 'a1',
  found: 'f',
  eraseAgreed: null,
  resetStep,
  startedBy: 'vesa',
  steps: claimSteps.map((name, i) => ({
    name,
    at: 1,
    ...(claimSteps.findIndex((step) => step === at) > i
      ? { state: 'done' as const, says: 'well' }
      : name === at
        ? { state, says }
        : { state: 'todo' as const, says: '' }),
  })),
})

beforeEach(() => {
  facts = emptyFacts()
  sent.length = 0
  run('job.create', {
    name: 'North pier',
    client: '',
    site: '',
    zone: 'UTC',
    network: { address: '10.1.1.0', prefix: 24, gateway: '10.1.1.1', timeServer: '10.1.1.1' },
    publicKey: '',
  })
  run('area.put', { id: 'o', code: 'O', name: 'Outside' })
  run('controller.put', {
    id: 'a1',
    ref: 'A1',
    sheet: 'controller-2',
    cabinet: 'Riser',
    supply: 'supply-5',
    address: '10.1.1.21',
    serial: 'S1',
    mac: '',
  })
  run('door.add', {
    id: 'D-01',
    fields: {
      ref: 'D-01',
      name: 'Front',
      from: 'o',
      to: 'o',
      handle: true,
      hardware: { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame' },
    },
  })
  run('door.placeProposed', { id: 'D-01', controller: 'a1' })
  run('schedule.put', { id: 's', name: 'Day', periods: [] })
  run('group.put', { id: 'g', name: 'Crew' })
  run('rule.put', { id: 'r', group: 'g', doors: ['D-01'], schedule: 's' })
  run('testCards.put', {
    id: 'kit',
    good: { facility: 9, number: 1 },
    lost: { facility: 9, number: 2 },
    outOfHours: { facility: 9, number: 3 },
    unknown: { facility: 9, number: 4 },
  })
  have('found', {
    id: 'f',
    address: '192.168.90.20',
    port: 80,
    name: '',
    model: 'controller-2',
    serial: 'S1',
    mac: '02:00',
    routable: true,
    ownership: 'factory',
    holds: { doors: 2, people: 57, rules: 0, schedules: 0 },
    seenAt: 1,
    controller: 'a1',
  })
  useSession.setState({ me: { state: 'in', name: 'vesa', role: 'lead' }, expired: false })
  useJob.setState({
    send: async (name, payload) => {
      sent.push([name, payload])
      return null
    },
  })
})
const loaded = () => {
  have('reach', reach)
  const controller = facts.controller['a1']
  if (controller)
    facts = applyChanges(
      facts,
      readingChanges(facts, 'a1', wantedConfig(facts, controller, shippedSheets).config, 1),
      facts.rev,
    )
}
const press = async (name: string | RegExp) => {
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name }))
  })
}

describe('taking a device into service', () => {
  it('begins from the bench, which says what the device holds', async () => {
    show()
    const { unmount } = render(<BenchPage />)
    expect(screen.getByRole('button', { name: 'A1: opens to us, holds 57 people and 2 doors' })).toBeTruthy()
    unmount()
    render(<ClaimPage id="a1" />)
    await press('Take into service')
    expect(sent).toEqual([['claim.start', { controller: 'a1' }]])
  })
  it('asks before it erases, and says what will be lost', async () => {
    have('claim', claim('waits', 'holds', 'It holds 57 people.'))
    show()
    render(<ClaimPage id="a1" />)
    expect(screen.getByRole('listitem', { name: 'Count what it holds: waits for you' })).toBeTruthy()
    await press('Agree to erase, 57 people, 2 doors')
    expect(sent).toEqual([['claim.agreeErase', { controller: 'a1' }]])
  })
  it('takes a password that somebody knows, under the account that it belongs to, and keeps nothing of it', async () => {
    have('claim', claim('waits', 'identity', 'enter the password or reset it', 0))
    show()
    const asked: [string, unknown][] = []
    globalThis.fetch = jest.fn(async (url: string, init?: RequestInit) => {
      asked.push([url, JSON.parse(String(init?.body))])
      return { ok: true, status: 200, json: async () => ({ says: 'The password is being tried at A1.' }) } as Response
    }) as never
    const { unmount } = render(<ClaimPage id="a1" />)
    expect(screen.getByText('Reset by hand, 1 of 4')).toBeTruthy()
    const account = screen.getByRole('textbox', { name: 'Account on the device' })
    expect((account as HTMLInputElement).value).toBe('startup')
    const password = screen.getByLabelText('Its password')
    expect(password.getAttribute('type')).toBe('password')
    await press('Try this password')
    expect(asked).toEqual([])
    await act(async () => {
      fireEvent.change(account, { target: { value: ' admin ' } })
      fireEvent.change(password, { target: { value: ' with blanks ' } })
    })
    await press('Try this password')
    expect(asked).toEqual([['/api/v1/claims/a1/password', { user: 'admin', password: ' with blanks ' }]])
    unmount()
    expect(JSON.stringify({ ...localStorage, ...sessionStorage })).not.toContain('with blanks')
    have('claim', claim('waits', 'identity', 'reset it by hand', 2))
    show()
    render(<ClaimPage id="a1" />)
    expect(screen.queryByText('Does somebody know its password?')).toBeNull()
  })
  it('leads through the reset by hand, step by step', async () => {
    have('claim', claim('waits', 'identity', 'reset it by hand', 1))
    show()
    render(<ClaimPage id="a1" />)
    expect(screen.getByText('Reset by hand, 2 of 4')).toBeTruthy()
    await press('Begin 8 s')
    expect(screen.getByRole('timer').textContent).toBe('8 s')
    await press('Done, next')
    expect(sent).toEqual([['claim.resetStep', { controller: 'a1', step: 2 }]])
  })
  it('in service and planned elsewhere it is moved there; where it is planned it is told anew', async () => {
    have('claim', claim('done', 'ready', 'In service.'))
    have('reach', { ...reach, address: '10.1.1.99' })
    show()
    const { unmount } = render(<ClaimPage id="a1" />)
    expect(screen.getByText('answers at 10.1.1.99, planned at 10.1.1.21')).toBeTruthy()
    expect(screen.queryByRole('button', { name: /anew/ })).toBeNull()
    await press('Move it to 10.1.1.21')
    unmount()
    have('reach', reach)
    show()
    render(<ClaimPage id="a1" />)
    expect(screen.queryByRole('button', { name: /^Move it/ })).toBeNull()
    await press('Set its name, address and gateway anew')
    expect(sent).toEqual([
      ['claim.move', { controller: 'a1' }],
      ['claim.move', { controller: 'a1' }],
    ])
  })
  it('wants somebody to accept the firmware', async () => {
    have('claim', claim('waits', 'firmware', 'Firmware 3.1'))
    have('reach', { ...reach, owned: false, firmwareAccepted: null })
    show()
    render(<ClaimPage id="a1" />)
    expect(screen.getByText(/accepted by nobody yet/)).toBeTruthy()
    await press('Accept this firmware, 3.1')
    expect(sent).toEqual([['firmware.accept', { controller: 'a1' }]])
  })
})

describe('loading', () => {
  it('tells both sides in words, and leaves out what is unticked', async () => {
    loaded()
    run('door.edit', { id: 'D-01', fields: { behaviour: { ...facts.door['D-01']?.behaviour, releaseS: 7.4 } } })
    show()
    render(<LoadPage />)
    expect(screen.getByRole('listitem', { name: 'D-01, Release time: holds 5 s, will hold 7 s' })).toBeTruthy()
    expect(screen.getByText(/Release time 7.4 s becomes 7 s on this device/)).toBeTruthy()
    await act(async () => {
      fireEvent.click(screen.getByRole('checkbox', { name: /^A1 / }))
    })
    expect(screen.getByRole('button', { name: 'Load and read back, 0 of 1' }).getAttribute('aria-disabled')).toBe(
      'true',
    )
  })
  it('shows a load that runs and can be stopped', async () => {
    loaded()
    have('load', {
      id: 'l',
      controller: 'a1',
      state: 'running',
      total: 10,
      done: 4,
      says: '4 of 10 sent',
      by: 'v',
      startedAt: 1,
      endedAt: 0,
      digest: '',
    })
    show()
    render(<LoadPage />)
    expect(screen.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('40')
    await press('Stop')
    expect(sent).toEqual([['load.stop', { id: 'l' }]])
  })
})

describe('proving', () => {
  const granted: DeviceEvent = {
    id: 'e',
    controller: 'a1',
    boot: 'b1',
    seq: 1,
    at: 2000,
    received: 2001,
    offsetMs: 0,
    kind: 'granted',
    door: 'D-01',
    reader: 'R1',
    card: '090001',
    state: 'granted',
    says: 'Released for Test card at R1',
  }
  it('gives one instruction at a time and begins the test', async () => {
    loaded()
    show()
    render(<ProvePage id="D-01" />)
    expect(screen.getByRole('heading', { level: 2, name: 'Nothing opens before the first load' })).toBeTruthy()
    await press('Begin this test')
    expect(sent).toEqual([['trial.start', { door: 'D-01', test: 'before-load' }]])
  })
  it('shows what the events have come to while it runs', () => {
    loaded()
    have('trial', { id: 'D-01', test: 'good-card', startedAt: 1500, by: 'vesa', boot: 'b1' })
    have('event', granted)
    show()
    render(<ProvePage id="D-01" />)
    expect(screen.getByText('Granted. Waiting for the lock.')).toBeTruthy()
    expect(screen.getByRole('log', { name: 'Tape' }).textContent).toContain('Released for Test card at R1')
  })
  it('wants to know why, before it records a failure', async () => {
    loaded()
    have('trial', { id: 'D-01', test: 'holds', startedAt: 1500, by: 'vesa', boot: 'b1' })
    show()
    render(<ProvePage id="D-01" />)
    await press('It opens')
    fireEvent.change(screen.getByRole('textbox', { name: 'What happened' }), { target: { value: 'gives way' } })
    await press('Record the failure')
    expect(sent).toEqual([['trial.answer', { door: 'D-01', test: 'holds', answer: 'failed', says: 'gives way' }]])
  })
  it('lists the doors that are ready', () => {
    loaded()
    show()
    render(<ProveList />)
    expect(
      screen.getByRole('button', {
        name: /^Prove D-01 Front: 11 of 11 tests left|^Prove D-01 Front: 1\d of 1\d tests left/,
      }),
    ).toBeTruthy()
  })
})

it('a record that is not ready to be signed says what is missing', () => {
  show()
  render(<SignPage id="D-01" />)
  expect(screen.getByText(/Not ready to be signed: W1 to R1 is still to be pulled/)).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'Sign' })).toBeNull()
})
