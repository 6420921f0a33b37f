import { connect, createServer } from 'node:net'
import { chmodSync, mkdtempSync, mkdirSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConfig, lintFromString } from '@redocly/openapi-core'
import { v7 } from 'uuid'
import { makeClock } from '@rauta/protocols'
import { startServer, StartError } from '../src'
import { makeSealingKey, readSealingKey, Vault } from '../src/security/vault'
import { openStore } from '../src/store/open'
import { Site, siteFile } from './site'

describe('the HTTP interface', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start({ rig: false })
    await site.plan(2)
  })
  afterAll(() => site.stop())
  const signIn = async (name: string, password: string) =>
    (await site.ask('POST', '/sign-in', { name, password }, '')).headers.get('set-cookie')?.split(';')[0] ?? ''

  it('an account gets another role, and is ended: signed out at once, its records stay, the last lead stays', async () => {
    const as = { name: 'toivo', password: 'long enough 3', role: 'engineer' }
    await site.ask('POST', '/accounts', as)
    const cookie = await signIn(as.name, as.password)
    const act = (what: string, body: object, who?: string) => site.ask('POST', `/accounts/${what}`, body, who)
    expect((await act('toivo/role', { role: 'witness' }, cookie)).status).toBe(403)
    expect((await act('toivo/end', {}, cookie)).status).toBe(403)
    expect((await act('toivo/role', { role: 'king' })).status).toBe(422)
    expect((await act('toivo/role', { role: 'viewer', more: 1 })).status).toBe(422)
    expect((await act('nobody/role', { role: 'viewer' })).status).toBe(404)
    expect(await act('toivo/role', { role: 'witness' })).toMatchObject({
      status: 200,
      body: { says: 'toivo may sign in as witness.' },
    })
    expect((await site.ask('GET', '/me', undefined, cookie)).body).toMatchObject({ role: 'witness' })
    expect(await act('lead/end', {})).toMatchObject({
      status: 409,
      body: { says: expect.stringContaining('their own') as string },
    })
    expect(await act('lead/role', { role: 'viewer' })).toMatchObject({
      status: 409,
      body: { says: 'lead is the only lead. Make somebody else a lead first.' },
    })
    const live = await fetch(`${site.base}/live`, { headers: { cookie } })
    expect((await act('toivo/end', {})).status).toBe(200)
    const text = await live.text() // it ends
    expect(text).toContain('event: rev')
    expect((await site.ask('GET', '/facts', undefined, cookie)).status).toBe(401)
    expect(await signIn(as.name, as.password)).toBe('')
    expect((await act('toivo/end', {})).status).toBe(404)
  })

  it('is ready, and says so', async () => {
    expect(await site.ask('GET', '/health', undefined, '')).toMatchObject({ status: 200, body: { ready: true } })
  })

  it('describes itself in OpenAPI 3.1 that a general validator accepts', async () => {
    const source = await (await fetch(site.base.replace('/v1', '/openapi.json'))).text()
    const problems = await lintFromString({
      source,
      config: await createConfig({
        extends: ['minimal'],
        rules: { struct: 'error', 'operation-operationId-unique': 'error', 'path-parameters-defined': 'error' },
      }),
    })
    expect(problems.filter((p) => p.severity === 'error').map((p) => p.message)).toEqual([])
    expect((JSON.parse(source) as { openapi: string }).openapi).toBe('3.1.0')
  })

  it('tells nobody anything before signing in', async () => {
    for (const path of ['/facts', '/changes', '/live', '/accounts', '/doors/D-01/record.json'])
      expect((await site.ask('GET', path, undefined, '')).status).toBe(401)
    expect((await site.ask('GET', '/me', undefined, '')).body).toEqual({ state: 'out' })
    const network = { address: '10.1.0.0', prefix: 24, gateway: '10.1.0.1', timeServer: '10.1.0.1' }
    const first = (job: object) => site.ask('POST', '/first', { name: 'x', password: 'long enough 1', job }, '')
    const job = { name: 'J', client: '', site: '', zone: 'UTC', network }
    expect((await first(job)).status).toBe(409)
    // What is no job is told by its field, in words.
    expect(await first({ ...job, network: { ...network, prefix: 40 } })).toMatchObject({
      status: 422,
      body: { field: 'job.network.prefix', says: 'job.network.prefix must be 30 or less.' },
    })
    expect((await first({ ...job, network: {} })).body).toMatchObject({ field: 'job.network.address' })
  })

  it('keeps the session in a cookie that scripts and other sites cannot use', async () => {
    const answer = await site.ask('POST', '/sign-in', { name: 'lead', password: 'long enough 1' }, '')
    expect(answer.headers.get('set-cookie')).toMatch(/HttpOnly.*SameSite=Strict/i)
    const cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? ''
    expect((await site.ask('GET', '/me', undefined, cookie)).body).toMatchObject({
      state: 'in',
      name: 'lead',
      role: 'lead',
    })
    await site.ask('POST', '/sign-out', {}, cookie)
    expect((await site.ask('GET', '/facts', undefined, cookie)).status).toBe(401)
  })

  it('lets each role do its part only', async () => {
    for (const role of ['viewer', 'witness', 'engineer'])
      expect((await site.ask('POST', '/accounts', { name: role, password: 'long enough 2', role })).status).toBe(200)
    const viewer = await signIn('viewer', 'long enough 2')
    const edit = { id: v7(), name: 'door.edit', payload: { id: 'D-01', fields: { name: 'x' } }, seen: 9999 }
    expect(await site.ask('POST', '/commands', edit, viewer)).toMatchObject({
      status: 409,
      body: { says: 'A viewer may not do this.' },
    })
    expect(
      (
        await site.ask(
          'POST',
          '/accounts',
          { name: 'y', password: 'long enough 3', role: 'lead' },
          await signIn('engineer', 'long enough 2'),
        )
      ).status,
    ).toBe(403)
    expect((await site.ask('GET', '/facts', undefined, viewer)).status).toBe(200)
  })

  it('applies a command once however often it arrives', async () => {
    const request = {
      id: v7(),
      name: 'reading.add',
      payload: { id: v7(), door: 'D-01', cable: 'W1', kind: 'loop', value: 1.5 },
      seen: site.facts.rev,
    }
    const first = await site.ask('POST', '/commands', request)
    const again = await Promise.all([1, 2, 3].map(() => site.ask('POST', '/commands', request)))
    for (const answer of again) expect(answer.body).toMatchObject({ rev: first.body['rev'], repeated: true })
    expect(Object.values(site.facts.reading)).toHaveLength(1)
  })

  it('keeps revisions without gaps, and gives what came after any of them', async () => {
    await Promise.all([1, 2, 3, 4, 5].map((n) => site.command('group.put', { id: `n${n}`, name: `N${n}` })))
    const { entries } = (await site.ask('GET', '/changes?after=0')).body as { entries: { rev: number }[] }
    expect(entries.map((e) => e.rev)).toEqual(entries.map((_, i) => i + 1))
    expect((await site.ask('GET', '/changes?after=-1')).status).toBe(422)
  })

  it('leaves the first of two edits that meet in force, and puts the other beside it as a question', async () => {
    const seen = site.facts.rev
    await site.command('door.edit', { id: 'D-02', fields: { name: 'First' } }, seen)
    const second = await site.command('door.edit', { id: 'D-02', fields: { name: 'Second', passagesPerDay: 7 } }, seen)
    expect(site.get('door', 'D-02')).toMatchObject({ name: 'First', passagesPerDay: 7 })
    expect(second.questions).toMatchObject([{ field: 'name', kept: 'First', offered: 'Second' }])
    await site.command('question.settle', { id: second.questions[0]?.id, takeOffered: true })
    expect(site.get('door', 'D-02')?.name).toBe('Second')
    expect(Object.keys(site.facts.question)).toHaveLength(0)
  })

  it('tells every client a new revision within a second', async () => {
    const cookie = await signIn('lead', 'long enough 1')
    const stream = await fetch(`${site.base}/live`, { headers: { cookie } })
    const reader = stream.body?.getReader()
    await reader?.read()
    const asked = Date.now()
    const answer = await site.command('tick.set', { door: 'D-01', cable: 'W1', what: 'pulled', done: true })
    const told = new TextDecoder().decode((await reader?.read())?.value)
    expect(told).toContain(`data: ${answer.rev}`)
    expect(Date.now() - asked).toBeLessThan(1000)
    await reader?.cancel()
  })

  it.each([
    ['a negative length', 'cable.set', { door: 'D-01', cable: 'W1', lengthM: -3 }, /lengthM must be 0 or more/, 422],
    ['a length in words', 'cable.set', { door: 'D-01', cable: 'W1', lengthM: '100 ft' }, /must be a number/, 422],
    ['a field nobody knows', 'door.edit', { id: 'D-01', fields: { colour: 'red' } }, /colour, which is not known/, 422],
    ['a command nobody knows', 'door.paint', {}, /no command door.paint/, 422],
    ['an id that does not exist', 'door.edit', { id: 'X-9', fields: { name: 'x' } }, /no door X-9/, 409],
  ])('refuses %s in words', async (_what, name, payload, says, status) => {
    const answer = await site.ask('POST', '/commands', { id: v7(), name, payload, seen: site.facts.rev })
    expect(answer.status).toBe(status)
    expect(answer.headers.get('content-type')).toContain('application/problem+json')
    expect(answer.body['says']).toMatch(says)
  })

  it('reads no byte of a body before it is known whose it is, and only so many at a time', async () => {
    const { port } = site.server
    const answerTo = (cookie: string, path: string, length: number) =>
      new Promise<string>((done, fail) => {
        const socket = connect(port, '127.0.0.1')
        socket.once('error', fail)
        socket.once('data', (data) => {
          socket.destroy()
          done(data.toString())
        })
        // A body is promised, and not a byte of it sent.
        socket.write(
          `POST /api/v1${path} HTTP/1.1\r\nhost: 127.0.0.1\r\ncookie: ${cookie}\r\ncontent-type: application/json\r\ncontent-length: ${length}\r\n\r\n`,
        )
      })
    expect(await answerTo('', '/commands', 1000)).toContain('401')
    expect(await answerTo('', '/door-schedule', 20_000_000)).toContain('401')
    expect(await answerTo(site.session, '/commands', 20_000_000)).toContain('413')
    const held = [1, 2].map(() => {
      const socket = connect(port, '127.0.0.1')
      socket.write(
        `POST /api/v1/door-schedule HTTP/1.1\r\nhost: 127.0.0.1\r\ncookie: ${site.session}\r\ncontent-length: 29000000\r\n\r\n`,
      )
      return socket
    })
    let busy = ''
    for (let i = 0; i < 100 && !busy.includes('503'); i++) {
      await new Promise((done) => setTimeout(done, 20))
      busy = await Promise.race([
        answerTo(site.session, '/door-schedule', 29_000_000),
        new Promise<string>((done) => setTimeout(() => done(''), 500)),
      ])
    }
    expect(busy).toContain('503')
    for (const socket of held) socket.destroy()
    expect((await site.ask('GET', '/health')).status).toBe(200)
  })

  it('refuses a body of 20 MB, what is not JSON, and what is not there', async () => {
    expect(
      (await site.ask('POST', '/commands', { id: v7(), name: 'x', payload: { x: 'y'.repeat(20_000_000) }, seen: 0 }))
        .status,
    ).toBe(413)
    const cookie = await signIn('lead', 'long enough 1')
    const broken = await fetch(`${site.base}/commands`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json' },
      body: '{"a":',
    })
    expect([broken.status, ((await broken.json()) as { says: string }).says]).toEqual([400, 'The request is not JSON.'])
    expect((await site.ask('GET', '/doors/none/record.pdf')).status).toBe(404)
    expect((await site.ask('GET', '/nothing')).status).toBe(404)
  })

  it('limits tries to sign in', async () => {
    const tries = await Promise.all(
      Array.from({ length: 12 }, () => site.ask('POST', '/sign-in', { name: 'lead', password: 'wrong' }, '')),
    )
    expect(tries.filter((t) => t.status === 429).length).toBeGreaterThanOrEqual(1)
    expect(tries.find((t) => t.status === 429)?.body['says']).toMatch(/Wait \d+ s, then/)
  })

  it('has everything again after a restart', async () => {
    const before = site.facts
    await site.server.close()
    await site.startServer()
    expect(site.facts).toEqual(before)
  })
})

describe('starting', () => {
  const folder = () => mkdtempSync(join(tmpdir(), 'rauta-start-'))
  const options = (dataFolder: string, port = 0) => ({
    dataFolder,
    keyFile: join(dataFolder, '..', `${v7()}.key`),
    port,
    clock: makeClock(1),
    table: null,
    webFolder: null,
    rigPage: null,
    logLevel: 'silent',
  })

  it('says in one line when the port is in use', async () => {
    const other = createServer().listen(0, '127.0.0.1')
    await new Promise((done) => other.once('listening', done))
    const at = other.address()
    const port = typeof at === 'object' && at ? at.port : 0
    await expect(startServer(options(folder(), port))).rejects.toThrow(
      new StartError(`Port ${port} is in use. Stop what uses it, or choose another with PORT.`),
    )
    other.close()
  })
  it('says when another server uses the folder, and takes over from one that died', async () => {
    const data = folder()
    writeFileSync(join(data, 'in-use'), '1') // process 1 runs always
    await expect(openStore(data)).rejects.toThrow(/in use by another server \(process 1\)/)
    writeFileSync(join(data, 'in-use'), '999999999')
    const store = await openStore(data)
    await store.close()
  })
  it('says when the folder cannot be written', async () => {
    const data = folder()
    writeFileSync(join(data, 'file'), '')
    await expect(openStore(join(data, 'file'))).rejects.toThrow(/cannot be written/)
    chmodSync(data, 0o700)
  })
  it('refuses a store that a newer version wrote', async () => {
    const data = folder()
    const store = await openStore(data)
    await store.db.execute(
      "insert into drizzle.__drizzle_migrations (hash, created_at) values ('later', 99999999999999)",
    )
    await store.close()
    await expect(openStore(data)).rejects.toThrow(/newer version of Rauta/)
  })
  it('keeps secrets sealed: no other key opens them, and they do not stand in the store as they are', async () => {
    const data = folder()
    const store = await openStore(null)
    mkdirSync(join(data, 'k'), { recursive: true })
    const key = makeSealingKey(join(data, 'k', 'a.key'))
    const vault = new Vault(store.db, 'j', key)
    await vault.put('device/a', 'very secret')
    expect(await vault.get('device/a')).toBe('very secret')
    expect(JSON.stringify((await store.db.execute('select * from secrets')).rows)).not.toContain('very secret')
    await expect(new Vault(store.db, 'j', makeSealingKey(join(data, 'k', 'b.key'))).get('device/a')).rejects.toThrow()
    expect(readSealingKey(join(data, 'k', 'a.key'))).toEqual(key)
    expect(() => makeSealingKey(join(data, 'k', 'a.key'))).toThrow(/EEXIST/)
    await store.close()
  })
})
