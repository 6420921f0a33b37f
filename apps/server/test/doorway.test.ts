import { request } from 'node:http'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { all, put, replacedEvidence, type Change } from '@rauta/core'
import { makeClock } from '@rauta/protocols'
import { v7 } from 'uuid'
import { startServer } from '../src'
import { alteredLog } from '../src/store/mend'
import { Tries } from '../src/security/tries'
import { weakness } from '../src/security/weakness'
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
    ['password123', /first that anybody would try/],
    ['qwertyuiop1', /first that anybody would try/],
    ['P@ssw0rd2026', /first that anybody would try/],
    ['1234567890', /first that anybody would try/],
  ])('that are easily guessed are refused: %s', async (password, why) => {
    expect(await weakness('inka', password)).toMatch(why)
    const { status, body } = await site.ask('POST', '/accounts', { name: 'inka', password, role: 'engineer' })
    expect({ status, field: body['field'] }).toEqual({ status: 422, field: 'password' })
    expect(await weakness('inka', 'four words at the quay')).toBeNull()
  })
  it('of any length are looked at in no time', async () => {
    const began = performance.now()
    await weakness('inka', `${'a'.repeat(100)}${'b1!'.repeat(33)}`)
    expect(performance.now() - began).toBeLessThan(1000)
  })
})

describe('wrong passwords', () => {
  it('hold up one name at one address, and nobody who works elsewhere or beside', async () => {
    const tries = new Tries()
    for (let i = 0; i < 5; i++) expect(await tries.begin('inka', 'a')).toBe(0)
    expect(await tries.begin('inka', 'a')).toBeGreaterThan(50)
    expect(await tries.begin('inka', 'b')).toBe(0)
    expect(await tries.begin('vesa', 'a')).toBe(0)
  })
  it('of one name from everywhere are few, and lock nobody out of where they have signed in', async () => {
    const tries = new Tries()
    expect(await tries.begin('inka', 'home')).toBe(0)
    await tries.right('inka', 'home')
    let through = 0
    for (let i = 0; i < 200; i++) if ((await tries.begin('inka', `far ${i}`)) === 0) through += 1
    expect(through).toBe(25)
    expect(await tries.begin('inka', 'home')).toBe(0)
    expect(await tries.begin('vesa', 'far 1')).toBe(0)
  })
  it('from one address are few, whatever the names; right ones do not count', async () => {
    const tries = new Tries()
    for (let i = 0; i < 100; i++) {
      expect(await tries.begin(`n${i}`, 'a')).toBe(0)
      await tries.right(`n${i}`, 'a')
    }
    let through = 0
    for (let i = 0; i < 100; i++) if ((await tries.begin(`w${i}`, 'a')) === 0) through += 1
    expect(through).toBe(40)
  })
  it('are told once a minute with how many they were', async () => {
    const tries = new Tries()
    expect([0, 1, 2].map((s) => tries.wrong('inka', 'a', s * 1000))).toEqual([1, null, null])
    expect(tries.wrong('inka', 'a', 61_000)).toBe(3)
    expect(tries.wrong('inka', 'a', 62_000)).toBeNull()
    expect(await tries.right('inka', 'a')).toBe(1)
    expect(await tries.right('inka', 'a')).toBe(0)
  })
})

describe('who is signed in, and what they took', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start({ rig: false })
    await site.plan(1)
    for (const name of ['inka', 'vesa'])
      await site.ask('POST', '/accounts', { name, password: 'first of theirs 7', role: 'engineer' })
  })
  afterAll(() => site.stop())
  const signIn = async (name: string, password = 'first of theirs 7') => {
    const answer = await site.ask('POST', '/sign-in', { name, password }, '')
    return { status: answer.status, cookie: answer.headers.get('set-cookie')?.split(';')[0] ?? '' }
  }
  interface Shown {
    id: string
    name: string
    own: boolean
    from: string
  }
  const sessions = async (cookie?: string) =>
    (await site.ask('GET', '/sessions', undefined, cookie ?? site.session)).body['sessions'] as Shown[]
  const trace = async () =>
    ((await site.ask('GET', '/trace')).body['notes'] as { by: string; says: string; name: string }[]).map(
      (n) => `${n.by}: ${n.says}`,
    )

  it('is listed: one’s own for oneself, all for the lead; each may be signed out by its owner and the lead', async () => {
    const here = await signIn('inka')
    const there = await signIn('inka')
    const other = await signIn('vesa')
    const own = await sessions(here.cookie)
    expect(own.map((s) => s.name)).toEqual(['inka', 'inka'])
    expect(own.filter((s) => s.own)).toHaveLength(1)
    expect(own[0]?.from).toMatch(/ at 127\.0\.0\.1$/)
    expect((await sessions()).map((s) => s.name).sort()).toEqual(['inka', 'inka', 'lead', 'vesa'])
    const end = (id: string, cookie: string) => site.ask('POST', `/sessions/${id}/end`, {}, cookie)
    const [foreign] = (await sessions(other.cookie)).map((s) => s.id)
    expect((await end(foreign ?? '', here.cookie)).status).toBe(404)
    const another = own.find((s) => !s.own)?.id ?? ''
    expect((await end(another, here.cookie)).status).toBe(200)
    expect((await end(another, here.cookie)).status).toBe(404)
    expect((await site.ask('GET', '/accounts', undefined, there.cookie)).status).toBe(401)
    expect((await site.ask('GET', '/accounts', undefined, here.cookie)).status).toBe(200)
    expect((await end(foreign ?? '', site.session)).status).toBe(200)
    expect((await site.ask('GET', '/accounts', undefined, other.cookie)).status).toBe(401)
  })

  it('a live stream ends with its session', async () => {
    const { cookie } = await signIn('vesa')
    const stream = await fetch(`${site.base}/live`, { headers: { cookie } })
    const reader = stream.body?.getReader()
    const [own] = await sessions(cookie)
    await site.ask('POST', `/sessions/${own?.id ?? ''}/end`, {})
    for (;;) {
      const read = await reader?.read()
      if (!read || read.done) break
    }
    expect((await fetch(`${site.base}/live`, { headers: { cookie } })).status).toBe(401)
  })

  it('a phone that nobody used for four hours is signed out, one that is used is not', async () => {
    const { cookie } = await signIn('inka')
    const { clock } = site
    const now = clock.now.bind(clock)
    const at = (hours: number) => {
      clock.now = () => now() + hours * 3600_000
    }
    const isIn = async (of: string) => (await site.ask('GET', '/accounts', undefined, of)).status === 200
    for (const hours of [3, 6, 9]) {
      at(hours)
      expect([hours, await isIn(cookie)]).toEqual([hours, true])
    }
    at(11.9)
    expect(await isIn(cookie)).toBe(true)
    at(12.1)
    expect(await isIn(cookie)).toBe(false)
    at(0)
    const idle = await signIn('inka')
    at(4.1)
    expect(await isIn(idle.cookie)).toBe(false)
    at(0)
  })

  it('stands in the log, in its chain, for the lead alone', async () => {
    await signIn('vesa', 'not theirs at all')
    const { cookie } = await signIn('vesa')
    await site.ask('GET', '/door-schedule.csv', undefined, cookie)
    await site.ask('POST', '/accounts/vesa/role', { role: 'viewer' })
    const noted = await trace()
    for (const line of [
      /^: one wrong password for vesa, from .* at 127\.0\.0\.1$/,
      /^vesa: Signed in, from /,
      /^vesa: Took the door schedule as CSV$/,
      /^lead: Made vesa a viewer$/,
      /^lead: Added the account inka, engineer$/,
      /^lead: Signed vesa out, /,
    ])
      expect(noted.find((n) => line.test(n))).toBeDefined()
    expect((await site.ask('GET', '/trace', undefined, cookie)).status).toBe(403)
    const seen = (await site.ask('GET', '/changes?after=0', undefined, cookie)).body['entries'] as {
      name: string
      says: string
      by: string
    }[]
    const traces = seen.filter((e) => e.name.startsWith('trace.'))
    expect(traces.length).toBeGreaterThan(5)
    expect(traces.every((e) => e.says === '' && e.by === '')).toBe(true)
    expect(await alteredLog(site.server.context.log['store'].db as never, 'job-1', async () => undefined)).toEqual([])
    const [newest] = (await site.ask('GET', '/trace')).body['notes'] as { rev: number }[]
    const older = (await site.ask('GET', `/trace?before=${newest?.rev ?? 0}`)).body['notes'] as { rev: number }[]
    expect(older.every((n) => n.rev < (newest?.rev ?? 0))).toBe(true)
    expect(JSON.stringify(noted)).not.toMatch(/not theirs at all|first of theirs/)
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
