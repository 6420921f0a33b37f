import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { PGlite } from '@electric-sql/pglite'
import { drizzle } from 'drizzle-orm/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'
import {
  factsOf,
  heldConfig,
  Keeper,
  marksOf,
  newestEvents,
  put,
  type DeviceEvent,
  type Facts,
  type Snapshot,
} from '@rauta/core'
import { verifyChain } from '@rauta/core/chain'
import { sheetsFor } from '@rauta/contracts'
import { makeClock } from '@rauta/protocols'
import { openStore } from '../src/store/open'
import { records } from '../src/store/schema'
import { JobLog } from '../src/changes/log'
import { Site, siteFile } from './site'

const told = (n: number, received: number): DeviceEvent => ({
  id: `a1:bx:${n}`,
  controller: 'a1',
  boot: 'bx',
  seq: n,
  at: received,
  received,
  offsetMs: 0,
  kind: 'leaf',
  door: 'D-01',
  reader: '',
  card: '',
  state: 'open',
  says: `Leaf opened ${n}`,
})

/** What a phone makes of the answer. */
function onPhone(snapshot: Snapshot): { facts: Facts; missing: string[] } {
  const keeper = new Keeper()
  return factsOf(snapshot, (facts) => {
    keeper.take(facts, sheetsFor(facts))
    return (id) => keeper.configs(id).wanted
  })
}

describe('what grows lies apart from the facts', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start()
    await site.plan(2)
    await site.take()
    await site.load()
  })
  afterAll(() => site.stop())
  const unit = () => site.unit()

  it('a phone is sent no chain, and what devices hold as wanted by a fingerprint alone; its marks are the server’s', async () => {
    const answer = (await site.ask('GET', '/facts')).body as unknown as Snapshot
    expect(answer.records.some((r) => r.kind === 'chain')).toBe(false)
    const shares = answer.records.filter((r) => r.kind === 'heldParts').map((r) => r.data as Record<string, unknown>)
    expect(shares.length).toBeGreaterThan(4)
    expect(shares.every((s) => typeof s['asWanted'] === 'string')).toBe(true)
    const { facts, missing } = onPhone(answer)
    expect(missing).toEqual([])
    const sheets = sheetsFor(facts)
    for (const door of Object.values(facts.door))
      expect(marksOf(facts, door, sheets)).toEqual(marksOf(site.facts, door, sheets))
  })

  it('the records of a door are fetched a page at a time, newest first, and its chain is whole', async () => {
    const page = (query: string) => site.ask('GET', `/doors/D-01/chain${query}`)
    const newest = (await page('')).body['records'] as { n: number }[]
    expect(newest[0]?.n).toBe(site.facts.head['D-01']?.n)
    const older = (await page('?before=3')).body['records'] as { n: number }[]
    expect(older.map((r) => r.n)).toEqual([2, 1])
    for (const before of ['-1', 'x', '1.5', '']) expect((await page(`?before=${before}`)).status).toBe(422)
    const chain = await site.server.context.log.chain('D-01')
    expect(verifyChain(chain, { head: site.facts.head['D-01']?.hash ?? '' })).toMatchObject({ ok: true })
    expect((await site.ask('GET', '/doors/nothing/chain')).status).toBe(404)
  })

  it('a stranger’s card on a device is a difference within one look, without waiting for its turn', async () => {
    const stranger = {
      token: 'stranger',
      holder: 'Nobody of ours',
      format: 'WIEGAND26',
      value: 'ABCDEF',
      profiles: [{ token: 'g' }],
      enabled: true,
    }
    unit().memory.entities.CredentialData['stranger'] = stranger
    unit().altered('Credential', 'stranger', false)
    await site.until('it to be seen', (f) => heldConfig(f, 'a1')['credential/stranger'], 8000)
    const door = site.facts.door['D-01']
    if (door) expect(marksOf(site.facts, door, sheetsFor(site.facts)).load.sign).toBe('stale')
    const shares = ((await site.ask('GET', '/facts')).body as unknown as Snapshot).records.filter(
      (r) => r.kind === 'heldParts' && 'parts' in (r.data as object),
    )
    expect(shares.length).toBe(1)
    const { id } = shares[0]?.data as { id: string }
    const held = await site.ask('GET', `/held?ids=${encodeURIComponent(id)},nothing,constructor`)
    expect(held.body['records']).toEqual([{ kind: 'heldParts', data: site.facts.heldParts[id] }])
    delete unit().memory.entities.CredentialData['stranger']
    await site.until(
      'it to be gone by the device’s mark alone',
      (f) => !heldConfig(f, 'a1')['credential/stranger'],
      30_000,
    )
  })

  it('a device at rest is asked six things a look at most, however many cards it holds', async () => {
    for (let n = 0; n < 40; n++)
      await site.command('person.put', {
        id: `m${n}`,
        number: `7${n}`,
        name: `Person ${n}`,
        cards: [{ id: `mc${n}`, facility: 62, number: n, state: 'in use' }],
        groups: ['g'],
      })
    expect(site.get('load', await site.load())).toMatchObject({ state: 'held' })
    const { dialer } = site.server.context
    const { post } = dialer
    const asked: string[] = []
    dialer.post = (...args) => {
      asked.push(/<([a-z]+:)(\w+)[^>]*>/.exec(args[3].slice(args[3].indexOf('Body>') + 5))?.[2] ?? '')
      return post(...args)
    }
    const looks = () => asked.filter((name) => name === 'GetConfigurationMark').length
    await site.until('the first look after the load', () => looks() > 1, 60_000)
    asked.length = 0
    await site.until('three looks', () => looks() >= 3, 60_000)
    dialer.post = post
    const atRest = asked.filter((name) => !['PullMessages', 'Renew'].includes(name))
    expect(atRest.length / looks()).toBeLessThanOrEqual(6)
    expect(asked).not.toContain('GetCredentialState')
  })

  it('a device whose mark never changes is read whole all the same, every so many looks', async () => {
    await site.command('job.edit', { fields: { limits: { watchS: 5, receiptS: 60, reachS: 90, clockS: 2 } } })
    const honest = unit().configurationMark.bind(unit())
    let asked = 0
    unit().configurationMark = () => {
      asked += 1
      return 'always the same'
    }
    await site.until('its mark to be known', () => asked >= 2, 30_000)
    unit().memory.entities.CredentialData['quiet'] = {
      token: 'quiet',
      holder: 'Nobody of ours',
      format: 'WIEGAND26',
      value: 'ABCDEE',
      profiles: [{ token: 'g' }],
      enabled: true,
    }
    await site.until('it to be seen', (f) => heldConfig(f, 'a1')['credential/quiet'], 60_000)
    delete unit().memory.entities.CredentialData['quiet']
    unit().configurationMark = honest
    await site.until('it to be gone', (f) => !heldConfig(f, 'a1')['credential/quiet'], 60_000)
  })

  it('the facts keep the newest events, the store keeps all; one that comes again is known though it is not in the facts', async () => {
    const { log } = site.server.context
    const began = Date.now() - 3_600_000
    for (let from = 0; from < newestEvents + 400; from += 100)
      await log.append('event', 'events', (facts) =>
        Array.from({ length: 100 }, (_, i) => put(facts, 'event', told(from + i, began + from + i))),
      )
    expect(site.facts.event['a1:bx:0']).toBeUndefined()
    expect([...(await log.knownEvents(['a1:bx:0', 'a1:bx:999999']))]).toEqual(['a1:bx:0'])
    const page = (await site.ask('GET', `/events?before=${began + 50}`)).body['events'] as DeviceEvent[]
    expect(page[0]).toMatchObject({ id: 'a1:bx:49' })
    expect(page.length).toBe(50)
    await log.append('event', 'again', (facts) => [put(facts, 'event', told(0, began))])
    expect((await log.eventsBetween(began, began + 1, 10)).length).toBe(1)
  })

  it('a stored record that is none is named and left out; everything else is there after a restart', async () => {
    const { db } = await openedStore(site)
    await db.db.insert(records).values([
      { job: 'job-1', kind: 'group', id: 'broken', rev: 1, data: { id: 'broken', name: 5 } },
      { job: 'job-1', kind: 'constructor', id: 'x', rev: 1, data: { id: 'x' } },
    ])
    await db.close()
    await site.startServer()
    expect(site.facts.group['broken']).toBeUndefined()
    expect(site.facts.group['g']).toMatchObject({ name: 'Staff' })
    const answer = await site.ask('GET', '/facts')
    expect((answer.body['aside'] as { says: string }[]).map((a) => a.says).sort()).toEqual([
      'The stored constructor x is of a kind that this version does not know: it is left out of the job.',
      'The stored group broken has a field name that cannot be: it is left out of the job.',
    ])
    expect(Object.keys(site.facts.event).length).toBe(newestEvents)
  })
})

async function openedStore(site: Site) {
  await site.server.close()
  return { db: await openStore(join(site.folder, 'data')) }
}

describe('a store of an older version', () => {
  it('is taken over: chains go on, events and what devices held are there', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'rauta-old-'))
    const now = resolve(fileURLToPath(new URL('../migrations', import.meta.url)))
    const older = join(folder, 'migrations')
    cpSync(now, older, { recursive: true })
    const journal = join(older, 'meta', '_journal.json')
    const entries = JSON.parse(readFileSync(journal, 'utf8')) as { entries: { idx: number }[] }
    writeFileSync(journal, JSON.stringify({ ...entries, entries: entries.entries.filter((e) => e.idx < 3) }))
    mkdirSync(join(folder, 'data'))
    const client = new PGlite(join(folder, 'data', 'store'))
    await migrate(drizzle(client), { migrationsFolder: older })
    const link = (n: number) => ({
      id: `D#${n}`,
      door: 'D',
      n,
      hash: `h${n}`,
      kind: 'plan',
      previous: '',
      at: 0,
      by: 'v',
      body: {},
      signature: '',
    })
    const rows: [string, string, unknown][] = [
      ['chain', 'D#1', link(1)],
      ['chain', 'D#10', link(10)],
      ['chain', 'D#2', link(2)],
      ['event', 'a1:bx:1', told(1, 1000)],
      [
        'held',
        'a1',
        { id: 'a1', readAt: 5, fault: '', config: { 'door/D': { name: 'D' }, 'credential/c': { holder: 'x' } } },
      ],
    ]
    for (const [kind, id, data] of rows)
      await client.query('insert into records (job, kind, id, rev, data) values ($1, $2, $3, 1, $4)', [
        'job-1',
        kind,
        id,
        JSON.stringify(data),
      ])
    await client.close()
    const store = await openStore(join(folder, 'data'))
    const log = await JobLog.open(store, 'job-1', makeClock(1, Date.now()), '')
    const { facts, aside } = log
    expect(aside).toEqual([{ kind: 'chain', id: 'D', says: 'The record of door D has 3 of 10 entries.' }])
    expect(facts.head['D']).toEqual({ id: 'D', n: 10, hash: 'h10' })
    expect(facts.held['a1']).toEqual({ id: 'a1', readAt: 5, fault: '' })
    expect(heldConfig(facts, 'a1')).toEqual({ 'door/D': { name: 'D' }, 'credential/c': { holder: 'x' } })
    expect(Object.keys(facts.event)).toEqual(['a1:bx:1'])
    expect((await log.chain('D')).map((r) => r.n)).toEqual([1, 2, 10])
    await store.close()
    rmSync(folder, { recursive: true, force: true })
  })
})
