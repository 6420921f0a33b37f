import { strongSecret } from '../src/security/vault'
import { Site, siteFile } from './site'

const closed = (change: object = {}) =>
  siteFile((site) => {
    Object.assign(site.devices[0] as object, {
      secret: 'left-by-somebody',
      accounts: [{ name: 'caretaker', secret: 'quay-keys-2019' }],
      holds: { doors: 2, people: 7 },
      ...change,
    })
  })
const stepOf = (site: Site, name: string) => site.get('claim', 'a1')?.steps.find((s) => s.name === name)
const enter = (site: Site, user: string, password: string) =>
  site.ask('POST', '/claims/a1/password', { user, password })
/** Taken until it waits for a reset or a password. */
async function begun(file = closed()): Promise<Site> {
  const site = await new Site(file).start()
  await site.plan(1)
  await site.find()
  await site.command('claim.start', { controller: 'a1' })
  await site.until('the device to be closed', () => stepOf(site, 'identity')?.state === 'waits')
  return site
}
async function toTheEnd(site: Site): Promise<void> {
  await site.until('what it holds to be counted', () => stepOf(site, 'holds')?.state === 'waits')
  await site.command('claim.agreeErase', { controller: 'a1' })
  await intoService(site)
}
async function intoService(site: Site): Promise<void> {
  await site.until('the firmware', () => stepOf(site, 'firmware')?.state === 'waits', 40_000)
  await site.command('firmware.accept', { controller: 'a1' })
  await site.until('the device in service', (f) => f.reach['a1']?.owned)
}

describe('a password that somebody set, entered by hand', () => {
  it('opens the device: what it holds is counted, and it and every other account go once this job’s is there', async () => {
    const site = await begun()
    expect(stepOf(site, 'identity')?.says).toContain('enter the password, where somebody knows it')
    expect((await enter(site, 'startup', 'left-by-somebody')).body).toEqual({
      says: 'The password is being tried at A1.',
    })
    await site.until('what it holds to be counted', () => stepOf(site, 'holds')?.state === 'waits')
    expect(stepOf(site, 'holds')?.says).toBe(
      'It holds 2 doors, 7 people, 0 rules and 0 schedules. All of it will be erased.',
    )
    expect(site.get('claim', 'a1')?.resetStep).toBe(-1)
    await toTheEnd(site)
    expect(stepOf(site, 'secret')?.says).toBe(
      'The password that was entered is gone; a strong one of this job is in its place, and opens it. An account of somebody else is gone: caretaker.',
    )
    expect(site.unit().memory.users.map((u) => u.username)).toEqual(['startup'])
    expect(site.unit().memory.users[0]?.password).not.toBe('left-by-somebody')
    expect(await site.server.context.vault.get('entered/a1')).toBeNull()
    expect(JSON.stringify(site.facts)).not.toContain('left-by-somebody')
    expect((await site.ask('GET', '/log')).text).not.toContain('left-by-somebody')
    await site.stop()
  })

  it('a wrong one is told as that, kept nowhere, and the next is tried; the device is not shut by them', async () => {
    const site = await begun()
    for (let i = 0; i < 4; i++) {
      await enter(site, 'startup', `wrong-${i}`)
      await site.until(
        'the refusal',
        () => stepOf(site, 'identity')?.says.startsWith('It refuses the password'),
        60_000,
      )
      expect(await site.server.context.vault.get('entered/a1')).toBeNull()
      expect(stepOf(site, 'identity')?.says).toContain('entered for startup')
      await site.command('claim.resetStep', { controller: 'a1', step: 0 })
      await site.until('its end', () => stepOf(site, 'identity')?.state === 'waits', 60_000)
    }
    await enter(site, 'startup', 'left-by-somebody')
    await site.until('what it holds to be counted', () => stepOf(site, 'holds')?.state === 'waits', 60_000)
    await site.stop()
  })

  it('of another account: the device is this job’s under that one, loaded and given new passwords under it, until it is reset', async () => {
    const site = await begun()
    site.unit().memory.users = [{ username: 'admin', password: 'set-long-ago', level: 'Administrator' }]
    await enter(site, 'Admin', 'set-long-ago')
    await site.until('the refusal', () => stepOf(site, 'identity')?.says.startsWith('It refuses the password'), 60_000)
    await enter(site, ' admin ', 'set-long-ago')
    await toTheEnd(site)
    expect([site.get('reach', 'a1')?.user, site.unit().memory.users.map((u) => u.username)]).toEqual([
      'admin',
      ['admin'],
    ])
    expect(site.get('load', await site.load())?.state).toBe('held')
    const renewed = await site.ask('POST', '/keys/devices', {})
    expect(renewed.body['devices']).toMatchObject([{ ref: 'A1', ok: true }])
    site.unit().factoryReset()
    await site.until('the reset to be noticed', (f) => f.reach['a1']?.silentMs || !f.reach['a1']?.owned, 60_000)
    await site.until('it to be up again', () => site.unit().up)
    await site.ask('POST', '/search', {})
    const reset = await site.until('it to be found as from the factory', (f) =>
      Object.values(f.found).find((d) => d.ownership === 'factory'),
    )
    await site.command('found.match', { found: reset.id, controller: 'a1' })
    await site.command('claim.start', { controller: 'a1' })
    await site.until('the question for the label', () => stepOf(site, 'secret')?.state === 'waits')
    await site.command('claim.compare', { controller: 'a1', label: '4001' })
    await site.until('the end', () => stepOf(site, 'ready')?.state === 'done', 60_000)
    expect(site.get('reach', 'a1')?.user).toBeUndefined()
    expect(site.get('claim', 'a1')?.user).toBeUndefined()
    await site.stop()
  })

  it('is tried after a restart of the server that came before the device answered', async () => {
    const site = await begun()
    await site.hands([{ do: 'network', serial: 'RG-4001', on: false }])
    await enter(site, 'startup', 'left-by-somebody')
    await site.restart()
    await site.hands([{ do: 'network', serial: 'RG-4001', on: true }])
    await toTheEnd(site)
    await site.stop()
  })

  it('a device that keeps somebody’s account in spite of it is not taken', async () => {
    const site = await begun()
    site.unit().faults.forgets = 'DeleteUsers'
    await enter(site, 'startup', 'left-by-somebody')
    await site.until('what it holds to be counted', () => stepOf(site, 'holds')?.state === 'waits')
    await site.command('claim.agreeErase', { controller: 'a1' })
    await site
      .until('the refusal', () => stepOf(site, 'secret')?.state === 'failed')
      .catch(() => console.error(JSON.stringify(site.get('claim', 'a1')?.steps), site.unit().memory.users))
    expect(stepOf(site, 'secret')?.says).toContain('keeps accounts of somebody else: caretaker')
    site.unit().faults.forgets = ''
    await site.command('claim.start', { controller: 'a1' })
    await intoService(site)
    expect(site.unit().memory.users).toHaveLength(1)
    await site.stop()
  })

  it('names what it refuses, at its field, and is nobody’s but a fitter’s', async () => {
    const site = await begun()
    for (const [body, field] of [
      [{ user: 'startup' }, 'password'],
      [{ user: '', password: 'x' }, 'user'],
      [{ user: 'startup', password: '' }, 'password'],
      [{ user: 'startup', password: 7 }, 'password'],
      [{ user: 'startup', password: 'x'.repeat(201) }, 'password'],
      [{ user: 'startup', password: 'x', more: 1 }, 'more'],
    ] as const) {
      const answer = await site.ask('POST', '/claims/a1/password', body)
      expect([answer.status, answer.body['field']]).toEqual([422, field])
    }
    expect((await site.ask('POST', '/claims/a9/password', { user: 'a', password: 'b' })).status).toBe(404)
    expect((await site.ask('POST', '/claims/constructor/password', { user: 'a', password: 'b' })).status).toBe(404)
    const signedOut = await site.ask('POST', '/claims/a1/password', { user: 'a', password: 'b' }, '')
    expect(signedOut.status).toBe(401)
    await enter(site, 'startup', 'left-by-somebody')
    await site.until('the question whether to erase', () => stepOf(site, 'holds')?.state === 'waits')
    expect((await enter(site, 'startup', strongSecret())).status).toBe(409)
    await toTheEnd(site)
    const late = await enter(site, 'startup', strongSecret())
    expect([late.status, late.body['says']]).toEqual([409, 'A1 waits for no password.'])
    await site.stop()
  })
})
