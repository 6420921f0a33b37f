import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { MemoryStore, noEntities, type Memory } from '../src/device/memory'

const memory = (hostname: string): Memory => ({
  users: [],
  hostname,
  address: '10.7.1.9',
  prefix: 24,
  gateway: '',
  timeServer: '',
  zone: '<+00>0',
  daylightSaving: false,
  clockOffMs: 0,
  boots: 0,
  factoryNew: true,
  entities: noEntities(),
})

describe('what a device keeps when its power goes', () => {
  let folder: string
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'rauta-memory-'))
  })
  afterEach(() => {
    rmSync(folder, { recursive: true, force: true })
  })

  it('is the newest state that was written whole: a write that was cut off leaves the one before it', async () => {
    const store = new MemoryStore(folder)
    store.save('S1', memory('first'))
    store.flush()
    store.save('S1', memory('second'))
    const slot = join(folder, 'S1.1.json')
    while (!existsSync(slot) || !readFileSync(slot, 'utf8').includes('second'))
      await new Promise((done) => setImmediate(done))
    expect(new MemoryStore(folder).load('S1')?.hostname).toBe('second')
    writeFileSync(slot, '{"turn":3,"memory":{"hostna')
    expect(new MemoryStore(folder).load('S1')?.hostname).toBe('first')
  })

  it('writes many states that come at once as few, and the last of them stays', async () => {
    const store = new MemoryStore(folder)
    for (let i = 0; i < 50; i++) store.save('S2', memory(`state ${i}`))
    store.flush()
    await new Promise((done) => setImmediate(done))
    expect(new MemoryStore(folder).load('S2')?.hostname).toBe('state 49')
    expect(new MemoryStore(folder).load('unknown')).toBeNull()
  })
})
