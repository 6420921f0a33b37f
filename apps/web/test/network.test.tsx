import { act, fireEvent, render, screen, waitFor } from '@testing-library/react'

const pushed: string[] = []
jest.mock('expo-router', () => ({ router: { push: (href: string) => pushed.push(href) }, usePathname: () => '/x' }))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { networkFlows, type Flow } from '@rauta/core/lists'
import { sheetsFor } from '@rauta/contracts'
import { FlowsPage } from '../src/places/addresses/FlowsPage'
import { BenchPage } from '../src/places/reach/BenchPage'
import { ByHand } from '../src/places/reach/ByHand'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'
import { smallJob } from './small'

/** What the server answers by path; each call is noted with its body. */
let answers: Record<string, (body: Record<string, unknown>) => [status: number, body: object]>
const asked: [string, Record<string, unknown>][] = []
const fetched = globalThis.fetch
const facts = smallJob([])
beforeEach(() => {
  asked.length = 0
  answers = {}
  useJob.setState({ base: facts, facts, ready: true, connection: 'live', outbox: [] })
  useSession.setState({ me: { state: 'in', name: 'inka', role: 'engineer' }, expired: false })
  globalThis.fetch = (async (url: string, init?: RequestInit) => {
    const path = url.replace('/api/v1', '')
    const body = JSON.parse(String(init?.body ?? '{}')) as Record<string, unknown>
    asked.push([path, body])
    await new Promise((done) => setTimeout(done, 5))
    if (init?.signal?.aborted) throw new Error('aborted')
    const [status, answer] = answers[path]?.(body) ?? [404, { says: `nothing at ${path}` }]
    return { ok: status < 400, status, json: async () => answer } as Response
  }) as typeof fetch
})
afterEach(() => {
  globalThis.fetch = fetched
})
const press = (name: string | RegExp) =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }))
  })

describe('what IT must let through', () => {
  const flows = networkFlows(facts, sheetsFor(facts), null)
  const tryable = flows.filter((f) => f.test)
  const said = (flow: Flow) =>
    flow.test === 'time'
      ? { outcome: 'silent', tookMs: 2000, open: false, says: 'Silent: nothing came back.' }
      : { outcome: 'open', tookMs: 3, open: true, says: 'Open: it took the connection.' }
  beforeEach(() => {
    answers['/flows'] = () => [200, { flows }]
    answers['/flows/test'] = ({ id }) => {
      const flow = flows.find((f) => f.id === id)
      return flow ? [200, said(flow)] : [404, { says: 'no such line' }]
    }
  })
  it('is a list by rules, each line tried once, with what came of it in words', async () => {
    render(<FlowsPage />)
    expect(await screen.findByText('TCP 80 · ONVIF over HTTP')).toBeTruthy()
    expect(screen.getAllByText('can’t be tried from here').length).toBe(flows.length - tryable.length)
    await press(/^Test from here/)
    await waitFor(() => expect(screen.getAllByText('Silent: nothing came back.').length).toBeGreaterThan(0))
    await screen.findByRole('button', { name: /^Test from here/ })
    const tests = asked.filter(([path]) => path === '/flows/test').map(([, body]) => body['id'])
    expect([...tests].sort()).toEqual(tryable.map((f) => f.id).sort())
    const open = tryable.filter((f) => f.test === 'connect').length
    expect(screen.getByText(`Tried from this computer: ${open} open, ${tryable.length - open} silent.`)).toBeTruthy()
  })
  it('a server that is out of reach is no silent device', async () => {
    answers['/flows/test'] = () => [429, { says: '8 lines are being tried already.' }]
    render(<FlowsPage />)
    await screen.findByText('TCP 80 · ONVIF over HTTP')
    await press(/^Test from here/)
    await waitFor(() => expect(screen.getByText(/^Tried from this computer: \d+ not tried\.$/)).toBeTruthy())
    expect(screen.getAllByText('8 lines are being tried already.').length).toBe(tryable.length)
  })
  it('who only looks gets the list and no test', async () => {
    useSession.setState({ me: { state: 'in', name: 'client', role: 'witness' } })
    render(<FlowsPage />)
    await screen.findByText('TCP 80 · ONVIF over HTTP')
    expect(screen.queryByRole('button', { name: /^Test|^Try/ })).toBeNull()
    expect(screen.getByRole('button', { name: 'What IT must let through as CSV' })).toBeTruthy()
  })
})

describe('devices by address', () => {
  const sweep = (state: string, done: number) => ({
    id: 's',
    by: 'inka',
    total: 41,
    done,
    found: 2,
    strangers: 1,
    noWay: 0,
    state,
  })
  const type = (value: string) =>
    act(async () => {
      fireEvent.change(screen.getByRole('textbox', { name: 'Address or ranges' }), { target: { value } })
    })
  beforeEach(() => {
    answers['/sweeps'] = ({ range }) => (range === undefined ? [200, { running: null }] : [200, sweep('running', 3)])
    answers['/sweeps/s'] = () => [200, sweep('running', 20)]
    answers['/sweeps/s/stop'] = () => [200, sweep('stopped', 21)]
    answers['/sweeps/s/go-on'] = () => [200, sweep('running', 21)]
  })
  it('one address is asked as before; a range goes on, is stopped, and goes on where it was', async () => {
    answers['/search'] = () => [200, { says: '10.0.0.20 answers.' }]
    render(<ByHand />)
    await type('10.0.0.20')
    await press('Ask this address')
    expect(await screen.findByText('10.0.0.20 answers.')).toBeTruthy()
    await type('10.0.0.20-60')
    await press('Ask these addresses')
    expect(asked).toContainEqual(['/sweeps', { range: '10.0.0.20-60' }])
    await waitFor(() => expect(screen.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('49'))
    await press(/^Stop/)
    expect(
      await screen.findByText(
        'Stopped after 21 of 41: 2 devices found; 1 address answered and speak nothing that Rauta knows.',
      ),
    ).toBeTruthy()
    await press('Go on, 20 left')
    answers['/sweeps/s'] = () => [200, sweep('ended', 41)]
    expect(await screen.findByText(/^Asked 41 of 41: 2 devices found/)).toBeTruthy()
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Address or ranges' }).value).toBe('10.0.0.20-60')
  })
  it('what is no range is said at the field, and stays there to be mended', async () => {
    answers['/sweeps'] = ({ range }) =>
      range === undefined ? [200, { running: null }] : [422, { says: '“10.0/x” is no range.', field: 'range' }]
    render(<ByHand />)
    await type('10.0/x')
    await press('Ask these addresses')
    expect(await screen.findByText('“10.0/x” is no range.')).toBeTruthy()
    expect(screen.getByRole('textbox', { name: 'Address or ranges' }).getAttribute('aria-invalid')).toBe('true')
  })
  it('one that somebody else began is shown', async () => {
    answers['/sweeps'] = () => [200, { running: { ...sweep('running', 7), by: 'vesa' } }]
    render(<ByHand />)
    expect(await screen.findByText(/^Asks 7 of 41/)).toBeTruthy()
  })
})

describe('devices in each other’s way', () => {
  it('are told above the list', () => {
    const heard = (id: string) => ({
      id,
      address: '192.168.90.40',
      port: 80,
      name: '',
      model: 'controller-4',
      serial: id,
      mac: `02:00:00:00:00:0${id}`,
      routable: true,
      ownership: 'factory' as const,
      holds: null,
      seenAt: 1000,
      controller: null,
    })
    const both = { ...facts, found: { '1': heard('1'), '2': heard('2') } }
    useJob.setState({ base: both, facts: both })
    render(<BenchPage />)
    expect(screen.getAllByRole('alert')[0]?.textContent).toMatch(/^1 and 2 answer at one address, 192\.168\.90\.40\./)
  })
})
