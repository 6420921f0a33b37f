import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { request } from 'node:https'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import multicastDns from 'multicast-dns'
import { makeClock } from '@rauta/protocols'
import { startServer, type Running } from '../src'
import { announce } from '../src/lan/announce'
import { certificateDays, fingerprint, makeAuthority, makeCertificate, spokenFor } from '../src/lan/authority'

const folder = mkdtempSync(join(tmpdir(), 'rauta-lan-'))
const file = (name: string, text: string) => {
  writeFileSync(join(folder, name), text)
  return join(folder, name)
}
/** What a general certificate library says. */
const openssl = (...args: string[]): string => {
  try {
    return execFileSync('openssl', args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] })
  } catch (error) {
    return (error as { stdout: string; stderr: string }).stdout + (error as { stderr: string }).stderr
  }
}

describe('the authority of a job', () => {
  const now = Date.parse('2026-11-25T10:00:00Z')
  it('vouches for this job’s name and private addresses, and OpenSSL refuses it anything else', async () => {
    const authority = await makeAuthority('North pier', 'rauta-0a1b2c.local', now)
    const ca = file('ca.pem', authority.certificate)
    const verify = async (...names: string[]) =>
      openssl(
        'verify',
        '-attime',
        String(now / 1000),
        '-CAfile',
        ca,
        file('leaf.pem', (await makeCertificate(authority, names, now)).certificate),
      )
    expect(await verify('rauta-0a1b2c.local', '10.61.8.5', '192.168.4.4', '172.20.0.9')).toContain('OK')
    expect(await verify('rauta-0a1b2c.local', '8.8.8.8')).toContain('permitted subtree violation')
    expect(await verify('bank.example')).toContain('permitted subtree violation')
    expect(openssl('x509', '-in', ca, '-noout', '-text')).toMatch(/CA:TRUE, pathlen:0/)
  })
  it('gives certificates that phones accept: not too long, for server authentication, with their names', async () => {
    const pair = await makeCertificate(
      await makeAuthority('J', 'rauta-0a1b2c.local', now),
      ['rauta-0a1b2c.local', '10.0.0.5'],
      now,
    )
    expect(spokenFor(pair.certificate)).toEqual({
      names: ['rauta-0a1b2c.local', '10.0.0.5'],
      until: now + certificateDays * 24 * 3600_000,
    })
    const text = openssl(
      'x509',
      '-in',
      file('leaf.pem', pair.certificate),
      '-noout',
      '-text',
      '-fingerprint',
      '-sha256',
    )
    expect(text).toContain('TLS Web Server Authentication')
    expect(text).toContain(fingerprint(pair.certificate))
  })
})

/** A port that nothing listens on. */
const freePort = () =>
  new Promise<number>((done) => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const { port } = s.address() as { port: number }
      s.close(() => done(port))
    })
  })

describe('a server on the local network', () => {
  let running: Running
  let ports: { port: number; trustPort: number }
  const start = async () =>
    startServer({
      dataFolder: join(folder, 'data'),
      keyFile: join(folder, 'key'),
      port: 0,
      clock: makeClock(1),
      table: null,
      webFolder: null,
      rigPage: null,
      logLevel: 'silent',
      lan: { address: '127.0.0.1', announce: false, ...ports },
    })
  beforeAll(async () => {
    ports = { port: await freePort(), trustPort: await freePort() }
    running = await start()
  })
  afterAll(() => running.close())
  const secure = (ca: string, host: string, path = '/api/v1/me', method = 'GET', body?: unknown) =>
    new Promise<{ status: number; body: Record<string, unknown>; cookie: string }>((done, fail) => {
      const r = request(
        {
          host: '127.0.0.1',
          port: ports.port,
          path,
          method,
          servername: host,
          headers: { host: `${host}:${ports.port}`, ...(body ? { 'content-type': 'application/json' } : {}) },
          ca,
        },
        (answer) => {
          let text = ''
          answer
            .on('data', (d: Buffer) => {
              text += d.toString()
            })
            .on('end', () =>
              done({
                status: answer.statusCode ?? 0,
                body: JSON.parse(text) as Record<string, unknown>,
                cookie: String(answer.headers['set-cookie'] ?? ''),
              }),
            )
        },
      )
      r.on('error', fail)
      r.end(body ? JSON.stringify(body) : undefined)
    })
  const trust = (path: string) => fetch(`http://127.0.0.1:${ports.trustPort}${path}`, { redirect: 'manual' })
  const host = () => new URL(running.lan?.origin ?? '').hostname

  it('answers over HTTPS to those who trust the authority from its page, under its lasting name', async () => {
    const ca = await (await trust('/trust/authority.crt')).text()
    expect(await secure(ca, host())).toMatchObject({ status: 200, body: { state: 'new', asksCode: true } })
    await expect(secure('', host())).rejects.toThrow()
    await expect(secure(ca, 'other.local')).rejects.toThrow(/altnames/i)
    expect(host()).toMatch(/^rauta-[0-9a-f]{6}\.local$/)
  })
  it('the page tells how, with a code and the fingerprint; everything else leads there, and nothing of the job is served without encryption', async () => {
    const page = await (await trust('/trust')).text()
    expect(page).toContain(running.lan?.fingerprint)
    expect(page).toContain(running.lan?.origin)
    expect(await (await trust('/trust/code.svg')).text()).toMatch(/^<svg/)
    for (const path of ['/', '/api/v1/facts', '/doors'])
      expect((await trust(path)).headers.get('location')).toBe('/trust')
  })
  it('the first account needs the code from the terminal', async () => {
    const ca = await (await trust('/trust/authority.crt')).text()
    const first = (code?: string) =>
      secure(ca, host(), '/api/v1/first', 'POST', {
        name: 'lead',
        password: 'long enough 1',
        ...(code === undefined ? {} : { code }),
        job: {
          name: 'J',
          client: '',
          site: '',
          zone: 'UTC',
          network: { address: '10.1.1.0', prefix: 24, gateway: '10.1.1.1', timeServer: '10.1.1.2' },
        },
      })
    expect(await first()).toMatchObject({
      status: 403,
      body: { says: expect.stringContaining('eight digits') as string, field: 'code' },
    })
    expect((await first('00000000'.replace('0', running.firstCode === '00000000' ? '1' : '0'))).status).toBe(403)
    const made = await first(`${running.firstCode?.slice(0, 4)} ${running.firstCode?.slice(4)}`)
    expect(made.status).toBe(200)
    expect(made.cookie).toMatch(/Secure/)
  })
  it('another authority takes its place on the lead’s word: who trusts the one before trusts this computer no more', async () => {
    const before = await (await trust('/trust/authority.crt')).text()
    const name = host()
    const signed = await secure(before, host(), '/api/v1/sign-in', 'POST', { name: 'lead', password: 'long enough 1' })
    const cookie = signed.cookie.split(';')[0] ?? ''
    const renewed = await fetch(`http://127.0.0.1:${running.port}/api/v1/keys/authority`, {
      method: 'POST',
      headers: { cookie: cookie.replace(/_\d+=/, `_${running.port}=`) },
    })
    expect(renewed.status).toBe(200)
    const after = await (await trust('/trust/authority.crt')).text()
    expect(after).not.toBe(before)
    expect(await secure(after, host())).toMatchObject({ status: 200 })
    await expect(secure(before, host())).rejects.toThrow()
    expect(((await renewed.json()) as { says: string }).says).toContain(fingerprint(after))
    await running.close()
    running = await start()
    expect(await secure(after, host())).toMatchObject({ status: 200 })
    expect(host()).toBe(name)
  })
  it('keeps name, authority and certificate over a restart', async () => {
    const before = running.lan
    const ca = await (await trust('/trust/authority.crt')).text()
    await running.close()
    running = await start()
    expect(running.lan).toEqual(before)
    expect(running.firstCode).toBeNull()
    expect((await secure(ca, host())).body).toMatchObject({ state: 'out' })
  })
  it('says plainly what hinders it', async () => {
    const other = (lan: { address: string | null; port: number; trustPort: number }) =>
      startServer({
        dataFolder: null,
        keyFile: join(folder, 'key2'),
        port: 0,
        clock: makeClock(1),
        table: null,
        webFolder: null,
        rigPage: null,
        logLevel: 'silent',
        lan: { announce: false, ...lan },
      })
    await expect(other({ address: '127.0.0.1', ...ports })).rejects.toThrow(`Port ${ports.port} is in use at 127.0.0.1`)
    await expect(
      other({ address: '203.0.113.9', port: await freePort(), trustPort: await freePort() }),
    ).rejects.toThrow('has no address 203.0.113.9')
  })
})

describe('the name on the local network', () => {
  it('is answered with the address of now', async () => {
    let address = '10.0.0.5'
    const server = announce('rauta-0a1b2c.local', () => [address], '127.0.0.1')
    const asker = multicastDns({ interface: '127.0.0.1', bind: '0.0.0.0', reuseAddr: true })
    const ask = () =>
      new Promise<string>((done) => {
        const hear = (response: { answers: { name: string; type: string; data?: unknown }[] }) => {
          const a = response.answers.find((x) => x.name === 'rauta-0a1b2c.local' && x.type === 'A')
          if (a) {
            asker.removeListener('response', hear)
            timers.splice(0).forEach(clearInterval)
            done(String(a.data))
          }
        }
        const again = setInterval(() => {
          asker.query('rauta-0a1b2c.local', 'A')
        }, 200)
        asker.on('response', hear)
        timers.push(again)
      })
    const timers: ReturnType<typeof setInterval>[] = []
    try {
      expect(await ask()).toBe('10.0.0.5')
      address = '10.0.0.77'
      expect(await ask()).toBe('10.0.0.77')
    } finally {
      timers.forEach(clearInterval)
      asker.destroy()
      server.close()
    }
  })
})
