import { applyChanges, emptyFacts, put, type Door } from '@rauta/core'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'

const door = { id: 'D', ref: 'D', name: 'd', from: 'a', to: 'b', escapeRoute: false, passagesPerDay: 0, walk: 1, handle: false, parts: [], cables: [{ id: 'W1', part: 'R1', type: { kind: 'awg', gauge: 22, cores: 6 }, lengthM: 3 }], placement: null, behaviour: { releaseS: 5, heldOpenS: 20, relockDelayS: 0, contactIdle: 'closed', exitIdle: 'open', forcedAlarm: true }, testCardsOff: false } as Door
const tick = (what: string) => useJob.getState().send('tick.set', { door: 'D', cable: 'W1', what, done: true })

/** A server that can be out of reach. */
function server() {
  const state = { away: false, refuse: false, signedOut: false, got: [] as { id: string; name: string; payload: unknown }[] }
  globalThis.fetch = (async (path: string, init?: { body?: string; method?: string }) => {
    if (state.away) throw new TypeError('no network')
    const answer = (status: number, body: unknown) => ({ ok: status < 400, status, json: async () => body }) as Response
    if (state.signedOut) return answer(401, { says: 'Sign in first.' })
    if (init?.method !== 'POST') return answer(200, path.endsWith('/facts') ? { rev: 0, records: [{ kind: 'door', data: door }] } : { entries: [], rev: 0 })
    if (state.refuse) return answer(409, { says: 'No.', field: 'what' })
    state.got.push(JSON.parse(init.body ?? '{}') as (typeof state.got)[number])
    return answer(200, { rev: 0, changes: [], repeated: false, questions: [] })
  }) as unknown as typeof fetch
  return state
}

class FakeStream {
  static last: FakeStream | null = null
  listeners: Record<string, (e: { data: string }) => void> = {}
  onerror: (() => void) | null = null
  constructor() { FakeStream.last = this }
  addEventListener(name: string, listener: (e: { data: string }) => void) { this.listeners[name] = listener }
  close() { FakeStream.last = null }
}

beforeEach(() => {
  localStorage.clear()
  const base = applyChanges(emptyFacts(), [put(emptyFacts(), 'door', door)], 0)
  useJob.setState({ base, facts: base, outbox: [], refused: null, connection: 'live' })
  useSession.setState({ me: { state: 'in', name: 'inka', role: 'engineer' }, expired: false })
  ;(globalThis as unknown as { EventSource: unknown }).EventSource = FakeStream
})

describe('what is recorded while the server is away', () => {
  it('is seen at once, waits, survives in storage, and arrives once, in order, when it is back', async () => {
    const s = server()
    s.away = true
    await tick('pulled')
    await tick('tested')
    expect(useJob.getState().connection).toBe('away')
    expect(useJob.getState().facts.tick['D/W1']).toMatchObject({ pulled: { by: 'inka' }, tested: { by: 'inka' }, ended: null })
    expect(JSON.parse(localStorage.getItem('rauta.outbox') ?? '[]')).toHaveLength(2)
    s.away = false
    const leave = useJob.getState().join()
    FakeStream.last?.listeners['rev']?.({ data: '0' })
    await new Promise((done) => setTimeout(done, 50))
    expect(s.got.map((r) => (r.payload as { what: string }).what)).toEqual(['pulled', 'tested'])
    expect(useJob.getState().outbox).toEqual([])
    leave()
  })
  it('stays waiting when the sign-in has run out, and is told when the server refuses it', async () => {
    const s = server()
    s.away = true
    await tick('pulled')
    s.away = false
    s.signedOut = true
    const leave = useJob.getState().join()
    FakeStream.last?.listeners['rev']?.({ data: '0' })
    await new Promise((done) => setTimeout(done, 30))
    expect(useJob.getState().outbox).toHaveLength(1)
    s.signedOut = false
    s.refuse = true
    FakeStream.last?.listeners['rev']?.({ data: '0' })
    await new Promise((done) => setTimeout(done, 30))
    expect(useJob.getState()).toMatchObject({ outbox: [], refused: 'No.' })
    leave()
  })
  it('a refusal while the server is there is thrown with its field, and nothing waits', async () => {
    const s = server()
    s.refuse = true
    await expect(tick('pulled')).rejects.toMatchObject({ says: 'No.', field: 'what' })
    expect(useJob.getState().outbox).toEqual([])
  })
  it('an ended sign-in is noticed', async () => {
    server().signedOut = true
    await expect(tick('pulled')).rejects.toMatchObject({ status: 401 })
    expect(useSession.getState().expired).toBe(true)
  })
})
