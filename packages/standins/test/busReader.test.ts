import { randomBytes } from 'node:crypto'
import { bitsOfText } from '@rauta/core'
import { makeClock, osdp } from '@rauta/protocols'
import fc from 'fast-check'
import { BusLine } from '../src/bus/line'
import { BusReader, type BusReaderFile } from '../src/bus/peripheral'
import { World } from '../src/site/world'

const file: BusReaderFile = {
  serial: '0A0000F1',
  model: 'reader-bus',
  vendor: '00A5C3',
  version: 2,
  firmware: '1.4.0',
  address: 5,
  speed: 9600,
}
const drawn = (count: number) => new Uint8Array(randomBytes(count))
const reader = (over: Partial<BusReaderFile> = {}) => new BusReader({ ...file, ...over }, null, () => undefined)
/** Talks to one reader with no wires between. @param change what becomes of a reply on its way */
const talk = (to: BusReader, change: (bytes: Uint8Array) => Uint8Array = (b) => b, address = 5) =>
  new osdp.BusControl(address, async (bytes) => change(to.hear(bytes) ?? new Uint8Array()), drawn)
const codeOf = (work: Promise<unknown>) =>
  work.then(
    () => 'done',
    (error: unknown) => (error instanceof osdp.BusError ? error.code : String(error)),
  )
const key = Uint8Array.from({ length: 16 }, (_, i) => i * 3)

describe('a reader on a bus', () => {
  it('says who it is to anybody, and replies to nobody else’s address', async () => {
    const one = reader()
    const reply = await talk(one).ask(osdp.commands.identify)
    expect(osdp.busIdentity.read(reply.data)).toMatchObject({ serial: '0A0000F1', vendor: '00A5C3', firmware: '1.4.0' })
    expect(await codeOf(talk(one, undefined, 6).ask(osdp.commands.identify))).toBe('silent')
    expect((await talk(one, undefined, osdp.broadcastAddress).ask(osdp.commands.identify)).address).toBe(5)
  })
  it('takes a key under the channel alone, and has no other from then on', async () => {
    const one = reader()
    const control = talk(one)
    expect(await codeOf(control.ask(osdp.commands.key, osdp.keySetting.write(key)))).toBe('encryptionWanted')
    await control.open(null)
    expect((await control.ask(osdp.commands.key, osdp.keySetting.write(key))).code).toBe(osdp.replies.done)
    expect(one.memory.key).toBe(Buffer.from(key).toString('hex'))
    await control.open(key)
    expect(control.secured).toBe(true)
    expect(await codeOf(talk(one).open(null))).toBe('refused')
    expect(await codeOf(talk(one).open(key.map((byte, i) => (i === 3 ? byte ^ 1 : byte))))).toBe('wrongKey')
    expect(await codeOf(talk(one).ask(osdp.commands.poll))).toBe('encryptionWanted')
  })
  it('tells a card once, sealed, bit by bit', async () => {
    const one = reader({ key: Buffer.from(key).toString('hex') })
    const bits = bitsOfText('34/003D1141A') ?? []
    const heard: string[] = []
    const control = talk(one, (bytes) => {
      heard.push(Buffer.from(bytes).toString('hex'))
      return bytes
    })
    await control.open(key)
    one.present(bits)
    const reply = await control.ask(osdp.commands.poll)
    expect(osdp.cardRead.read(reply.data)).toEqual(bits)
    expect((await control.ask(osdp.commands.poll)).code).toBe(osdp.replies.done)
    const inClear = Buffer.from(osdp.cardRead.write(bits)).toString('hex')
    expect(heard.join(' ')).not.toContain(inClear)
  })
  it('repeats its reply to the same question, so that a lost one is not a lost card', async () => {
    const one = reader()
    let lost = 1
    const control = talk(one, (bytes) => (lost-- > 0 ? new Uint8Array() : bytes))
    await control.ask(osdp.commands.identify)
    one.present([1, 0, 1])
    lost = 1
    expect(osdp.cardRead.read((await control.ask(osdp.commands.poll)).data)).toEqual([1, 0, 1])
  })
  it('under the channel no reply that was altered or said before is believed', async () => {
    const one = reader({ key: Buffer.from(key).toString('hex') })
    let turn: ((bytes: Uint8Array) => Uint8Array) | null = null
    let before = new Uint8Array()
    const control = talk(one, (bytes) => {
      const out = turn ? turn(bytes) : bytes
      before = Uint8Array.from(bytes)
      return out
    })
    await control.open(key)
    await control.ask(osdp.commands.poll)
    const old = before
    turn = () => old
    expect(await codeOf(control.ask(osdp.commands.poll))).toBe('channelLost')
    expect(control.secured).toBe(false)
    turn = null
    await control.open(key)
    // Somebody between who knows how frames are checked, and not the key.
    turn = (bytes) => {
      const [frame] = osdp.framesIn(bytes).frames
      if (!frame) return bytes
      return osdp.encodeFrame({ ...frame, code: osdp.replies.card }, () => frame.mac ?? new Uint8Array(4))
    }
    expect(await codeOf(control.ask(osdp.commands.poll))).toBe('channelLost')
  })
  it('takes address and speed, and says those that it will use', async () => {
    const wanted = osdp.busCommunication.write({ address: 9, speed: 38_400 })
    const free = reader()
    const told = await talk(free).ask(osdp.commands.communication, wanted)
    expect(osdp.busCommunication.read(told.data)).toEqual({ address: 9, speed: 38_400 })
    expect(free.memory).toMatchObject({ address: 9, speed: 38_400 })
    const switched = reader({ switches: true })
    const kept = await talk(switched).ask(osdp.commands.communication, wanted)
    expect(osdp.busCommunication.read(kept.data)).toEqual({ address: 5, speed: 38_400 })
  })
  it('whatever comes it replies with a sound frame or not at all, and goes on', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: 255 }),
        fc.uint8Array({ maxLength: 40 }),
        fc.integer({ min: 0, max: 3 }),
        fc.option(fc.record({ type: fc.integer({ min: 0, max: 255 }), data: fc.uint8Array({ maxLength: 2 }) }), {
          nil: null,
        }),
        async (code, data, sequence, security) => {
          const one = reader()
          const asked = osdp.encodeFrame({ address: 5, reply: false, sequence, security, code, data })
          const replied = one.hear(asked)
          if (replied) expect(osdp.framesIn(replied)).toMatchObject({ noise: 0, frames: [{ reply: true }] })
          one.hear(Uint8Array.from([...data, ...asked.subarray(0, 4)]))
          if (one.memory.address === 5 && one.memory.speed === 9600)
            expect((await talk(one).ask(osdp.commands.identify)).code).toBe(osdp.replies.identity)
        },
      ),
      { numRuns: 2000 },
    )
  })
})

describe('a line', () => {
  const world = new World(makeClock(200))
  const on = (line: BusLine, ...files: Partial<BusReaderFile>[]) => {
    const readers = files.map((f) => reader(f))
    line.readers.push(...readers)
    return readers
  }
  const control = (line: BusLine, address: number, speed = 9600) =>
    new osdp.BusControl(address, (bytes) => new Promise((resolve) => line.send(bytes, speed, 200, resolve)), drawn)
  const asks = (line: BusLine, address: number, speed?: number) =>
    codeOf(control(line, address, speed).ask(osdp.commands.identify))

  it('carries each reader’s words; the far end alone is terminated', async () => {
    const line = new BusLine(world)
    on(line, { address: 1 }, { address: 2, terminator: true })
    expect([await asks(line, 1), await asks(line, 2), await asks(line, 3)]).toEqual(['done', 'done', 'silent'])
  })
  it('two at one address are garbled as soon as they differ', async () => {
    const line = new BusLine(world)
    on(line, { address: 1, serial: '0A0000F1' }, { address: 1, serial: '0B00F2F3', terminator: true })
    expect(await asks(line, 1)).toBe('garbled')
  })
  it('at another speed, on swapped leads and without supply nobody hears anything', async () => {
    const line = new BusLine(world)
    const [one, two, three] = on(line, { address: 1 }, { address: 2 }, { address: 3, terminator: true })
    one?.hand({ speed: 19_200 })
    two?.hand({ dataSwapped: true })
    three?.power(false)
    expect([await asks(line, 1), await asks(line, 2), await asks(line, 3)]).toEqual(['silent', 'silent', 'silent'])
    expect(await asks(line, 1, 19_200)).toBe('done')
    line.cut = true
    expect(await asks(line, 1, 19_200)).toBe('silent')
  })
  it('that is not terminated as it should be hurts some of what crosses it', async () => {
    const line = new BusLine(world)
    on(line, { address: 1, terminator: true }, { address: 2 })
    const one = control(line, 2)
    for (let i = 0; i < 12; i++) await codeOf(one.ask(osdp.commands.identify))
    expect(one.hurt).toBeGreaterThan(0)
  })
})
