import './idb'
import { applyChanges, emptyFacts, put, type Door, type Job } from '@rauta/core'
import { keptDb } from '../src/state/kept/db'
import { allWaiting, readWaitingFile, saveSnapshot, waitingFile } from '../src/state/kept'
import { loadKept } from '../src/state/kept/facts'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'

const job = { id: 'job', name: 'J', publicKey: 'key-1', zone: 'UTC' } as Job
const door = {
  id: 'D',
  ref: 'D',
  name: 'd',
  from: 'a',
  to: 'b',
  escapeRoute: false,
  passagesPerDay: 0,
  walk: 1,
  handle: false,
  parts: [],
  cables: [{ id: 'W1', part: 'R1', type: { kind: 'awg', gauge: 22, cores: 6 }, lengthM: 3 }],
  placement: null,
  behaviour: {
    releaseS: 5,
    heldOpenS: 20,
    relockDelayS: 0,
    contactIdle: 'closed',
    exitIdle: 'open',
    forcedAlarm: true,
  },
  testCardsOff: false,
} as Door
const tick = (what: 'pulled' | 'ended' | 'tested') =>
  useJob.getState().send('tick.set', { door: 'D', cable: 'W1', what, done: true })
type Sent = { id: string; name: string; payload: { what?: string }; waitedMs?: number }

/** A server that can be out of reach, or say no. */
function server() {
  const state = { away: false, refuse: false, signedOut: false, job: 'key-1', got: [] as Sent[] }
  globalThis.fetch = (async (path: string, init?: { body?: string; method?: string }) => {
    if (state.away) throw new TypeError('no network')
    const answer = (status: number, body: unknown) => ({ ok: status < 400, status, json: async () => body }) as Response
    if (state.signedOut) return answer(401, { says: 'Sign in first.' })
    if (init?.method !== 'POST')
      return answer(
        200,
        path.endsWith('/facts')
          ? {
              rev: 3,
              records: [
                { kind: 'job', data: { ...job, publicKey: state.job } },
                { kind: 'door', data: door },
              ],
            }
          : { entries: [], rev: 0, job: state.job },
      )
    const body = JSON.parse(init.body ?? '{}') as Sent & { records?: Sent[] }
    if (body.records) {
      if (!state.refuse) state.got.push(...body.records)
      return answer(200, {
        rev: 0,
        results: body.records.map((r) =>
          state.refuse
            ? { id: r.id, ok: false, says: 'No.' }
            : { id: r.id, ok: true, rev: 0, repeated: false, questions: 0 },
        ),
      })
    }
    if (state.refuse) return answer(409, { says: 'No.', field: 'what' })
    state.got.push(body)
    return answer(200, { rev: 0, changes: [], repeated: false, questions: [] })
  }) as unknown as typeof fetch
  return state
}

beforeEach(async () => {
  localStorage.clear()
  const db = await keptDb()
  for (const store of ['waiting', 'snapshot', 'entries', 'photos'] as const) await db?.clear(store)
  const base = applyChanges(emptyFacts(), [put(emptyFacts(), 'door', door), put(emptyFacts(), 'job', job)], 0)
  useJob.setState({ base, facts: base, outbox: [], ready: true, connection: 'live' })
  useSession.setState({ me: { state: 'in', name: 'inka', role: 'engineer' }, expired: false })
})
const outbox = () => useJob.getState().outbox

describe('what is recorded while the server is away', () => {
  it('is on the disk before it is shown, and arrives once, in order, with how long it waited', async () => {
    const s = server()
    s.away = true
    await tick('pulled')
    await tick('tested')
    expect(useJob.getState().connection).toBe('away')
    expect(useJob.getState().facts.tick['D/W1']).toMatchObject({
      pulled: { by: 'inka' },
      tested: { by: 'inka' },
      ended: null,
    })
    expect((await allWaiting()).map((w) => [(w.payload as { what: string }).what, w.by, w.job])).toEqual([
      ['pulled', 'inka', 'key-1'],
      ['tested', 'inka', 'key-1'],
    ])
    s.away = false
    await useJob.getState().flush()
    expect(s.got.map((r) => r.payload.what)).toEqual(['pulled', 'tested'])
    expect(s.got.every((r) => typeof r.waitedMs === 'number')).toBe(true)
    expect([outbox(), await allWaiting()]).toEqual([[], []])
  })
  it('what is done live is refused at once without signal, and kept nowhere; with signal it goes behind what waited', async () => {
    const s = server()
    s.away = true
    const begin = () => useJob.getState().send('trial.start', { door: 'D', test: 'told' })
    await expect(begin()).rejects.toThrow(/^No signal to the server/)
    expect([outbox(), await allWaiting()]).toEqual([[], []])
    await tick('pulled')
    await expect(begin()).rejects.toThrow(/^No signal/)
    expect(outbox()).toHaveLength(1)
    s.away = false
    await begin()
    expect(s.got.map((r) => r.name)).toEqual(['tick.set', 'trial.start'])
  })
  it('a later record goes behind what waits, even when the server is back', async () => {
    const s = server()
    s.away = true
    await tick('pulled')
    s.away = false
    expect(await tick('tested')).toBeNull()
    await useJob.getState().flush()
    expect(s.got.map((r) => r.payload.what)).toEqual(['pulled', 'tested'])
  })
  it('is not shown as kept where the browser keeps nothing', async () => {
    const s = server()
    s.away = true
    const failing = jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    await expect(tick('pulled')).rejects.toMatchObject({ says: expect.stringContaining('keeps nothing') as string })
    failing.mockRestore()
    expect(outbox()).toEqual([])
    expect(useJob.getState().facts.tick['D/W1']).toBeUndefined()
  })
  it('stays when the sign-in has run out, and goes when the same person is back; nobody else sends it', async () => {
    const s = server()
    s.away = true
    await tick('pulled')
    s.away = false
    s.signedOut = true
    await useJob.getState().flush()
    expect(useSession.getState().expired).toBe(true)
    expect(outbox()).toHaveLength(1)
    s.signedOut = false
    useSession.setState({ me: { state: 'in', name: 'vesa', role: 'lead' }, expired: false })
    await useJob.getState().flush()
    expect(s.got).toEqual([])
    useSession.setState({ me: { state: 'in', name: 'inka', role: 'engineer' } })
    await useJob.getState().flush()
    expect(s.got).toHaveLength(1)
  })
  it('stays with its reason when the server refuses it, until somebody tries again or throws it away', async () => {
    const s = server()
    s.away = true
    await tick('pulled')
    await tick('tested')
    s.away = false
    s.refuse = true
    await useJob.getState().flush()
    expect(outbox().map((w) => w.refused)).toEqual(['No.', 'No.'])
    expect(useJob.getState().facts.tick['D/W1']).toBeUndefined()
    s.refuse = false
    await useJob.getState().discard(outbox()[1]?.id ?? '')
    await useJob.getState().tryAgain()
    expect(s.got.map((r) => r.payload.what)).toEqual(['pulled'])
    expect(outbox()).toEqual([])
  })
  it('can be saved to a file that tells how long each waited, and is read back', async () => {
    const s = server()
    s.away = true
    await tick('pulled')
    const file = waitingFile(outbox(), Date.now() + 5000)
    expect(file).toMatchObject({ format: 'rauta-waiting-1', job: 'key-1', by: 'inka', records: [{ name: 'tick.set' }] })
    expect(file?.records[0]?.waitedMs).toBeGreaterThanOrEqual(4900)
    expect(readWaitingFile(JSON.stringify(file))).toMatchObject({ by: 'inka', records: [{ name: 'tick.set' }] })
    expect(readWaitingFile('{"format":"other"}')).toContain('no waiting records')
    expect(readWaitingFile('{"form')).toContain('can’t be read')
  })
})

describe('while the server is there', () => {
  it('a refusal is thrown with its field, and nothing waits', async () => {
    server().refuse = true
    await expect(tick('pulled')).rejects.toMatchObject({ says: 'No.', field: 'what' })
    expect(outbox()).toEqual([])
  })
  it('an ended sign-in is noticed', async () => {
    server().signedOut = true
    await expect(tick('pulled')).rejects.toMatchObject({ status: 401 })
    expect(useSession.getState().expired).toBe(true)
  })
})

describe('the job on this phone', () => {
  it('is there again as it was left', async () => {
    const { base } = useJob.getState()
    await saveSnapshot('key-1', base)
    expect(await loadKept()).toEqual({ job: 'key-1', facts: base, missing: [] })
  })
  it('who was here last is known without the server', async () => {
    const s = server()
    localStorage.setItem('rauta.me', JSON.stringify({ state: 'in', name: 'inka', role: 'engineer' }))
    s.away = true
    useSession.setState({ me: null, unknown: false })
    await useSession.getState().look()
    expect(useSession.getState()).toMatchObject({ me: { name: 'inka', role: 'engineer' }, unknown: false })
  })
  it('nobody is, on a phone where nobody signed in yet', async () => {
    server().away = true
    useSession.setState({ me: null, unknown: false })
    await useSession.getState().look()
    expect(useSession.getState()).toMatchObject({ me: null, unknown: true })
  })
})
