import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { v7 } from 'uuid'

const root = resolve(fileURLToPath(new URL('../../..', import.meta.url)))

interface Started {
  child: ChildProcess
  said: () => string
  ended: Promise<number | null>
}

function start(file: string, env: Record<string, string>, args: string[] = []): Started {
  const child = spawn(process.execPath, ['--import', 'tsx', join(root, file), ...args], {
    cwd: root,
    env: { ...process.env, NODE_OPTIONS: '', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let text = ''
  for (const stream of [child.stdout, child.stderr])
    stream?.on('data', (data: Buffer) => {
      text += data.toString()
    })
  return {
    child,
    said: () => text,
    ended: new Promise((done) =>
      child.once('exit', (code) => {
        done(code)
      }),
    ),
  }
}
async function until(what: string, look: () => boolean, limitMs = 60_000): Promise<void> {
  const end = Date.now() + limitMs
  while (!look()) {
    if (Date.now() > end) throw new Error(`waited in vain for ${what}`)
    await new Promise((done) => setTimeout(done, 50))
  }
}
const freePort = () =>
  new Promise<number>((done) => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const at = s.address()
      s.close(() => {
        done(typeof at === 'object' && at ? at.port : 0)
      })
    })
  })
const folder = () => mkdtempSync(join(tmpdir(), 'rauta-process-'))

describe('the server as a process', () => {
  it('keeps every acknowledged command when it is killed, and ends cleanly when it is asked to', async () => {
    const data = folder()
    const port = await freePort()
    const env = { RAUTA_DATA: join(data, 'store'), RAUTA_KEY: join(data, 'key'), PORT: String(port) }
    const base = `http://127.0.0.1:${port}/api/v1`
    let cookie = ''
    const post = (path: string, body: unknown) =>
      fetch(base + path, {
        method: 'POST',
        headers: { 'content-type': 'application/json', cookie },
        body: JSON.stringify(body),
      })
    const first = start('apps/server/src/main.ts', env)
    await until('the server', () => first.said().includes('"server"'))
    expect(await (await fetch(`${base}/health`)).json()).toMatchObject({ ready: true, full: false, notices: 0 })
    const began = await post('/first', {
      name: 'lead',
      password: 'long enough 1',
      job: {
        name: 'J',
        client: '',
        site: '',
        zone: 'UTC',
        network: { address: '10.1.1.0', prefix: 24, gateway: '10.1.1.1', timeServer: '10.1.1.1' },
      },
    })
    cookie = began.headers.get('set-cookie')?.split(';')[0] ?? ''
    let acknowledged = 0
    const writing = (async () => {
      for (let i = 0; i < 500; i++) {
        const answer = await post('/commands', {
          id: v7(),
          name: 'group.put',
          payload: { id: `g${i}`, name: `G${i}` },
          seen: 0,
        })
        if (answer.ok) acknowledged = i + 1
      }
    })().catch(() => undefined)
    await until('some commands', () => acknowledged > 20)
    first.child.kill('SIGKILL')
    await first.ended
    await writing
    const second = start('apps/server/src/main.ts', env)
    await until('the server again', () => second.said().includes('"server"'))
    const facts = (await (await fetch(`${base}/facts`, { headers: { cookie } })).json()) as {
      records: { kind: string }[]
    }
    expect(facts.records.filter((r) => r.kind === 'group').length).toBeGreaterThanOrEqual(acknowledged)

    const third = start('apps/server/src/main.ts', env)
    expect(await third.ended).not.toBe(0)
    expect(third.said().trim().split('\n')).toHaveLength(1)
    expect(third.said()).toContain('is in use by another server')

    second.child.kill('SIGINT')
    expect(await second.ended).toBe(0)
    rmSync(data, { recursive: true, force: true })
  })

  it('a fresh demo without the rig stops at Plan and Wire, and says what could not be made', async () => {
    const data = folder()
    const port = await freePort()
    const launcher = start(
      'packages/demo/src/launch.ts',
      { RAUTA_DATA: join(data, 'demo'), RAUTA_KEY: join(data, 'key'), PORT: String(port) },
      ['demo', '--no-rig'],
    )
    await until('the launcher', () => launcher.said().includes('Ctrl-C'), 90_000)
    expect(launcher.said()).toContain('No rig: no device could be reached, so no door has Reach, Load or Prove.')
    const signed = await fetch(`http://127.0.0.1:${port}/api/v1/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'vesa', password: 'alder-quay-demo' }),
    })
    const facts = (await (
      await fetch(`http://127.0.0.1:${port}/api/v1/facts`, {
        headers: { cookie: signed.headers.get('set-cookie')?.split(';')[0] ?? '' },
      })
    ).json()) as { records: { kind: string }[] }
    const kinds = new Set(facts.records.map((r) => r.kind))
    expect([
      kinds.has('door'),
      kinds.has('reading'),
      kinds.has('reach'),
      kinds.has('held'),
      kinds.has('proof'),
    ]).toEqual([true, true, false, false, false])
    launcher.child.kill('SIGINT')
    expect(await launcher.ended).toBe(0)
    rmSync(data, { recursive: true, force: true })
  })
})
