import { existsSync, readdirSync, readFileSync, renameSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { jobOf } from '@rauta/core'
import { publicKeyOf, verifyFile, type RecordFile } from '@rauta/core/chain'
import { DeviceError } from '@rauta/drivers'
import { nextFile, nextSigningKey, signingKey } from '../src/security/openVault'
import { makeSealingKey } from '../src/security/vault'
import { Site, serial, siteFile } from './site'

const change = (site: Site, what: string) => site.ask('POST', `/keys/${what}`, {})
const record = async (site: Site, door = 'D-01') =>
  JSON.parse((await site.ask('GET', `/doors/${door}/record.json`)).text) as RecordFile

describe('keys are changed', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start()
    await site.plan(2)
    await site.take()
  })
  afterAll(() => site.stop())
  const vault = () => site.server.context.vault
  const keyFile = () => join(site.folder, 'key')
  const unit = () => site.unit()

  it('by the lead alone', async () => {
    await site.ask('POST', '/accounts', { name: 'inka', password: 'first of hers 7', role: 'engineer' })
    const { headers } = await site.ask('POST', '/sign-in', { name: 'inka', password: 'first of hers 7' }, '')
    const cookie = headers.get('set-cookie')?.split(';')[0] ?? ''
    for (const what of ['sealing', 'job', 'authority', 'devices'])
      expect((await site.ask('POST', `/keys/${what}`, {}, cookie)).status).toBe(403)
    expect((await change(site, 'authority')).body['says']).toContain('serves itself only')
  })

  it('what is sealed is sealed anew in one step; the key until now lies beside, readable by its owner', async () => {
    const before = readFileSync(keyFile(), 'utf8')
    const password = await vault().get('device/a1')
    const { status, body } = await change(site, 'sealing')
    expect(status).toBe(200)
    const after = readFileSync(keyFile(), 'utf8')
    expect(after).not.toBe(before)
    expect(statSync(keyFile()).mode & 0o777).toBe(0o600)
    const aside = readdirSync(site.folder).find((f) => f.startsWith('key.until-')) ?? ''
    expect(body['says']).toContain(aside)
    expect(readFileSync(join(site.folder, aside), 'utf8')).toBe(before)
    expect(await vault().get('device/a1')).toBe(password)
    await site.restart()
    expect(await vault().get('device/a1')).toBe(password)
    expect(site.server.context.notices).toEqual([])
  })

  it.each([
    ['before anything was sealed', async (): Promise<void> => void makeSealingKey(nextFile(keyFile())), false],
    [
      'after all was sealed',
      async () => {
        const next = makeSealingKey(nextFile(keyFile()))
        await vault().reseal(next)
      },
      true,
    ],
    [
      'between the two files',
      async () => {
        const next = makeSealingKey(nextFile(keyFile()))
        await vault().reseal(next)
        renameSync(keyFile(), `${keyFile()}.until-then`)
      },
      true,
    ],
  ] as const)(
    'a change of the sealing key that is broken off %s is settled at the next start',
    async (_where, breakOff, isNew) => {
      const before = readFileSync(keyFile(), 'utf8')
      const password = await vault().get('device/a1')
      await breakOff()
      await site.restart()
      expect(await vault().get('device/a1')).toBe(password)
      expect(existsSync(nextFile(keyFile()))).toBe(false)
      expect(readFileSync(keyFile(), 'utf8') !== before).toBe(isNew)
      expect(site.server.context.notices).toEqual([])
    },
  )

  it('the job’s key hands over to a new one: records from before and after are checked by either', async () => {
    const old = jobOf(site.facts)?.publicKey ?? ''
    const before = await record(site)
    expect((await change(site, 'job')).status).toBe(200)
    const key = jobOf(site.facts)?.publicKey ?? ''
    expect(key).not.toBe(old)
    await site.command('door.edit', { id: 'D-01', fields: { name: 'Other door' } })
    const after = await record(site)
    expect(after.chain.length).toBeGreaterThan(before.chain.length + 1)
    expect(verifyFile(before, { publicKey: old })).toMatchObject({ ok: true })
    for (const publicKey of [old, key]) expect(verifyFile(after, { publicKey })).toMatchObject({ ok: true })
    expect(verifyFile(after, { publicKey: 'ab'.repeat(32) }).ok).toBe(false)
    // Clients still take it for the same job.
    expect((await site.ask('GET', '/changes?after=0')).body['job']).toBe(old)
    await site.restart()
    await site.command('door.edit', { id: 'D-01', fields: { name: 'Door 1' } })
    expect(verifyFile(await record(site), { publicKey: old })).toMatchObject({ ok: true })
  })

  it.each([
    [false, 'before it was said'],
    [true, 'after it was said'],
  ])('a change of the job’s key that is broken off (said: %s, %s) is settled at the next start', async (said) => {
    const next = (said ? 'cd' : 'ef').repeat(32)
    const before = jobOf(site.facts)?.publicKey
    await vault().put(nextSigningKey, next)
    if (said) await site.server.context.log.changeKey(next, 'lead')
    await site.restart()
    expect(await vault().get(nextSigningKey)).toBeNull()
    expect((await vault().get(signingKey)) === next).toBe(said)
    expect(jobOf(site.facts)?.publicKey).toBe(said ? publicKeyOf(next) : before)
    await site.command('door.edit', { id: 'D-02', fields: { name: `After ${said}` } })
    const publicKey = jobOf(site.facts)?.publicKey ?? ''
    expect(verifyFile(await record(site, 'D-02'), { publicKey })).toMatchObject({ ok: true })
  })

  it('every device in service is given a new password, proved by opening it', async () => {
    const before = await vault().get('device/a1')
    const { body } = await change(site, 'devices')
    expect(body).toMatchObject({ says: '1 of 1 devices have a new password.', devices: [{ ref: 'A1', ok: true }] })
    const after = await vault().get('device/a1')
    expect(after).not.toBe(before)
    expect(unit().memory.users[0]?.password).toBe(after)
    expect(await vault().get('device/a1/next')).toBeNull()
    const id = await site.load()
    expect(site.facts.load[id]).toMatchObject({ state: 'held' })
  })

  it('one that is not reached keeps the one it has, and is named', async () => {
    const before = await vault().get('device/a1')
    await site.hands([{ do: 'network', serial, on: false }])
    const { body } = await change(site, 'devices')
    expect(body['says']).toBe('0 of 1 devices have a new password; not A1.')
    await site.hands([{ do: 'network', serial, on: true }])
    expect(await vault().get('device/a1')).toBe(before)
    await site.until('it to answer again', (f) => f.reach['a1']?.silentMs === 0 && f.reach['a1'].says === '')
  })

  it('one that took it and whose answer was lost is opened by it at the next look, and nobody is locked out', async () => {
    const { dialer } = site.server.context
    const { post } = dialer
    dialer.post = async (address, port, path, body, options) => {
      const answer = await post(address, port, path, body, options)
      if (body.includes('SetUser')) throw new DeviceError('lost', 'The answer was lost.')
      return answer
    }
    const { body } = await change(site, 'devices')
    dialer.post = post
    expect(body['devices']).toMatchObject([{ ok: false }])
    const taken = unit().memory.users[0]?.password
    await site.until(
      'it to be settled',
      () => site.facts.reach['a1']?.says === '' && site.facts.reach['a1'].silentMs === 0,
    )
    const deadline = Date.now() + 20_000
    while ((await vault().get('device/a1')) !== taken && Date.now() < deadline) await site.clock.sleep(500)
    expect(await vault().get('device/a1')).toBe(taken)
    expect(unit().wrongSecrets.length).toBeLessThan(5)
  }, 150_000)

  it('one whose password somebody else changed is not shut by being asked on with the old one', async () => {
    const user = unit().memory.users[0]
    if (!user) throw new Error('no user')
    const ours = (await vault().get('device/a1')) ?? ''
    const limits = jobOf(site.facts)?.limits
    if (!limits) throw new Error('no job')
    await site.command('job.edit', { fields: { limits: { ...limits, watchS: 5 } } })
    user.password = 'somebody else’s'
    unit().restart() // its subscription is gone with it
    let most = 0
    const end = site.clock.now() + 90_000
    while (site.clock.now() < end) {
      most = Math.max(most, unit().wrongSecrets.length)
      await site.clock.sleep(500)
    }
    user.password = ours
    // Watch, subscription and greeting keep one account of it: five would shut the device.
    expect(most).toBeGreaterThan(0)
    expect(most).toBeLessThan(5)
    await site.until('it is ours again', (f) => f.reach['a1']?.says === '' && f.reach['a1'].silentMs === 0, 40_000)
  }, 150_000)
})
