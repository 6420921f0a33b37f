import { request } from 'node:http'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { all, put, replacedEvidence, type Change } from '@rauta/core'
import { makeClock } from '@rauta/protocols'
import { v7 } from 'uuid'
import { startServer } from '../src'
import { weakness } from '../src/security/accounts'
import { freshStore } from './fresh'
import { littleRoom, Site, siteFile } from './site'

/** Status and headers of a request with headers that fetch would not send. */
const raw = (port: number, path: string, headers: Record<string, string>, method = 'GET') =>
  new Promise<{ status: number; headers: NodeJS.Dict<string | string[]> }>((done, fail) => {
    const call = request({ host: '127.0.0.1', port, path, method, headers }, (answer) => {
      answer.resume()
      done({ status: answer.statusCode ?? 0, headers: answer.headers })
    })
    call.once('error', fail)
    call.end(method === 'POST' ? '{}' : undefined)
  })

describe('who may come in', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start({ rig: false })
    await site.plan(1)
  })
  afterAll(() => site.stop())

  it('is asked for by a name of this server alone, and from no page of another', async () => {
    const { port } = site.server
    const own = `127.0.0.1:${port}`
    for (const host of [own, `localhost:${port}`, '127.0.0.1'])
      expect((await raw(port, '/api/v1/health', { host })).status).toBe(200)
    for (const host of ['evil.example', `rauta.evil.example:${port}`, '10.7.1.5', '127.0.0.1.evil.example'])
      expect([host, (await raw(port, '/api/v1/health', { host })).status]).toEqual([host, 421])
    expect((await raw(port, '/', { host: 'evil.example' })).status).toBe(421)
    const post = (origin: string) =>
      raw(port, '/api/v1/sign-out', { host: own, origin, 'content-type': 'application/json' }, 'POST')
    expect((await post(`http://${own}`)).status).toBe(200)
    for (const origin of [`http://127.0.0.1:${port + 1}`, 'http://evil.example', 'null', `https://${own}`])
      expect([origin, (await post(origin)).status]).toEqual([origin, 403])
  })

  it('what the interface tells lies in no cache, and the cookie is this port’s', async () => {
    const { port } = site.server
    const facts = await raw(port, '/api/v1/facts', { host: '127.0.0.1', cookie: site.session })
    expect(facts).toMatchObject({ status: 200, headers: { 'cache-control': 'no-store' } })
    expect(facts.headers['strict-transport-security']).toBeUndefined()
    const other = site.session.replace(/_\d+=/, `_${port + 1}=`)
    expect((await raw(port, '/api/v1/facts', { host: '127.0.0.1', cookie: other })).status).toBe(401)
  })

  it('the first account is made once, however many ask at the same moment', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'rauta-first-'))
    await freshStore(join(folder, 'data', 'store'))
    const server = await startServer({
      dataFolder: join(folder, 'data'),
      keyFile: join(folder, 'key'),
      port: 0,
      clock: makeClock(1),
      table: null,
      webFolder: null,
      rigPage: null,
      logLevel: 'silent',
      room: littleRoom,
    })
    const network = { address: '10.1.1.0', prefix: 24, gateway: '10.1.1.1', timeServer: '10.1.1.1' }
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        fetch(`http://127.0.0.1:${server.port}/api/v1/first`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({
            name: `lead${i}`,
            password: 'long enough 1',
            job: { name: 'J', client: '', site: '', zone: 'UTC', network },
          }),
        }).then((a) => a.status),
      ),
    )
    // Those beyond ten wrong tries a minute are put off.
    expect(answers.filter((s) => s === 200)).toHaveLength(1)
    expect(answers.every((s) => [200, 409, 429].includes(s))).toBe(true)
    await server.close()
    rmSync(folder, { recursive: true, force: true })
  })
})

describe('passwords', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start({ rig: false })
    await site.plan(1)
    await site.ask('POST', '/accounts', { name: 'inka', password: 'first of hers 7', role: 'engineer' })
  })
  afterAll(() => site.stop())
  const signIn = async (password: string) => {
    const answer = await site.ask('POST', '/sign-in', { name: 'inka', password }, '')
    return { status: answer.status, cookie: answer.headers.get('set-cookie')?.split(';')[0] ?? '' }
  }
  const isIn = async (cookie: string) => (await site.ask('GET', '/accounts', undefined, cookie)).status === 200

  it('are changed by their owner, by the one until now: other phones are signed out, this one is not', async () => {
    const here = await signIn('first of hers 7')
    const there = await signIn('first of hers 7')
    const change = (old: string, password: string) => site.ask('POST', '/me/password', { old, password }, here.cookie)
    expect(await change('another one 9', 'second of hers 8')).toMatchObject({ status: 422, body: { field: 'old' } })
    expect((await change('first of hers 7', 'short')).status).toBe(422)
    expect((await change('first of hers 7', 'second of hers 8')).status).toBe(200)
    expect(await isIn(here.cookie)).toBe(true)
    expect(await isIn(there.cookie)).toBe(false)
    expect((await signIn('first of hers 7')).status).toBe(401)
    expect((await signIn('second of hers 8')).status).toBe(200)
  })
  it('are set anew by the lead alone, and whoever was in is out', async () => {
    const { cookie } = await signIn('second of hers 8')
    const set = (name: string, by?: string) =>
      site.ask('POST', `/accounts/${name}/password`, { password: 'third of hers 99' }, by ?? site.session)
    expect((await set('inka', cookie)).status).toBe(403)
    expect((await set('nobody')).status).toBe(404)
    expect((await set('inka')).status).toBe(200)
    expect(await isIn(cookie)).toBe(false)
    expect((await signIn('third of hers 99')).status).toBe(200)
  })
  it.each([
    ['aaaaaaaaaaaa', /different signs/],
    ['1111122222', /different signs/],
    ['inka-at-work', /name in it/],
    ['abcdeabcdeabcde', /repeats itself/],
  ])('that are easily guessed are refused: %s', (password, why) => {
    expect(weakness('inka', password)).toMatch(why)
    expect(weakness('inka', 'four words at the quay')).toBeNull()
  })
})

describe('what was recorded', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start({ rig: false })
    await site.plan(2)
  })
  afterAll(() => site.stop())
  const reading = (id: string, door: string, value: number) =>
    site.ask('POST', '/commands', {
      id: v7(),
      name: 'reading.add',
      payload: { id, door, cable: site.facts.door[door]?.cables[0]?.id, kind: 'loop', value },
      seen: site.facts.rev,
    })

  it('is not replaced by another record of the same id, nor moved to another door', async () => {
    const id = v7()
    expect((await reading(id, 'D-01', 1.1)).status).toBe(200)
    for (const [door, value] of [
      ['D-01', 9.9],
      ['D-02', 1.1],
    ] as const) {
      const again = await reading(id, door, value)
      expect(again.status).toBe(409)
      expect(again.body['says']).toMatch(/never replaced/)
    }
    expect(site.facts.reading[id]).toMatchObject({ door: 'D-01', value: 1.1 })
    const photo = (door: string, sha256: string) =>
      site.ask('POST', '/commands', {
        id: v7(),
        name: 'photo.add',
        payload: { id: 'p1', door, cable: '', of: 'nameplate', width: 1, height: 1, sha256 },
        seen: site.facts.rev,
      })
    expect((await photo('D-01', 'a'.repeat(64))).status).toBe(200)
    expect((await photo('D-01', 'b'.repeat(64))).status).toBe(409)
    expect((await photo('D-02', 'a'.repeat(64))).status).toBe(409)
  })

  it('of every kind that is evidence: another under its id is found, the same one and its removal are not', () => {
    const { facts } = site
    const [was] = all(facts, 'reading')
    if (!was) throw new Error('no reading')
    const change = (after: unknown, kind = 'reading'): Change => ({ kind, id: was.id, before: was, after }) as Change
    expect(replacedEvidence([put(facts, 'reading', { ...was })])).toBeNull()
    expect(replacedEvidence([change(null)])).toBeNull()
    for (const kind of ['reading', 'photo', 'proof', 'signature'])
      expect(replacedEvidence([change({ ...was, by: 'another' }, kind)])).not.toBeNull()
    // A snag is closed, a cable's ticks are set: but at their own door.
    for (const kind of ['snag', 'tick']) {
      expect(replacedEvidence([change({ ...was, by: 'another' }, kind)])).toBeNull()
      expect(replacedEvidence([change({ ...was, door: 'D-02' }, kind)])).not.toBeNull()
    }
    expect(replacedEvidence([change({ ...was, door: 'D-02' }, 'person')])).toBeNull()
  })
})
