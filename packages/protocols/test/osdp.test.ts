import { createCipheriv } from 'node:crypto'
import { crc16xmodem } from 'crc'
import fc from 'fast-check'
import { busLoanAnswer, MalformedError, osdp, parseXml } from '../src'

const hex = (bytes: Uint8Array): string => Buffer.from(bytes).toString('hex')
const bytes = (text: string): Uint8Array => new Uint8Array(Buffer.from(text.replace(/\s/g, ''), 'hex'))
const zeros = new Uint8Array(16)
const anyBytes = (max: number) => fc.uint8Array({ maxLength: max })
const frameOf = (over: Partial<osdp.Frame> = {}): osdp.Frame => ({
  address: 0,
  reply: false,
  sequence: 0,
  security: null,
  code: osdp.commands.poll,
  data: new Uint8Array(),
  ...over,
})

describe('the check of a frame', () => {
  it('is the catalogue’s CRC-16 with polynomial 0x1021 and initial 0x1D0F', () => {
    // Check value of "123456789" for CRC-16/SPI-FUJITSU (AUG-CCITT) in the catalogue of parametrised CRC algorithms, from memory.
    expect(osdp.crc16(new TextEncoder().encode('123456789'))).toBe(0xe5cc)
  })
  it('is what a general package of checks works out', () => {
    fc.assert(
      fc.property(anyBytes(200), (data) => {
        expect(osdp.crc16(data)).toBe(crc16xmodem(Buffer.from(data), 0x1d0f))
      }),
    )
  })
  it('of one byte brings the sum of all to nought', () => {
    fc.assert(
      fc.property(anyBytes(200), (data) => {
        expect([...data, osdp.checksum(data)].reduce((a, b) => a + b, 0) % 256).toBe(0)
      }),
    )
  })
})

describe('a frame', () => {
  it('is what is worked out by hand from the standard (from memory)', () => {
    // Start, address 5, length 8, control: sequence 2 with CRC, POLL, CRC low byte first.
    const covered = bytes('53 05 08 00 06 60')
    const crc = crc16xmodem(Buffer.from(covered), 0x1d0f)
    expect(hex(osdp.encodeFrame(frameOf({ address: 5, sequence: 2 })))).toBe(
      hex(covered) + hex(Uint8Array.of(crc & 0xff, crc >> 8)),
    )
  })
  it('comes out as it went in, wherever it stands in what comes', () => {
    const block = fc.option(
      fc.record({ type: fc.constantFrom(0x11, 0x12, 0x13, 0x14), data: fc.uint8Array({ maxLength: 3 }) }),
      { nil: null },
    )
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 127 }),
        fc.boolean(),
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 0, max: 255 }),
        anyBytes(100),
        block,
        fc.integer({ min: 0, max: 9 }),
        (address, reply, sequence, code, data, security, marks) => {
          const frame = { address, reply, sequence, security, code, data }
          const came = new Uint8Array([...Array<number>(marks).fill(0xff), ...osdp.encodeFrame(frame)])
          const { frames, noise } = osdp.framesIn(came)
          expect(noise).toBe(0)
          expect(frames).toMatchObject([frame])
        },
      ),
    )
  })
  it('with one bit turned over is no frame', () => {
    fc.assert(
      fc.property(anyBytes(30), fc.nat(), fc.integer({ min: 0, max: 7 }), (data, at, bit) => {
        const sound = osdp.encodeFrame(frameOf({ data }))
        const hurt = sound.map((byte, i) => (i === at % sound.length ? byte ^ (1 << bit) : byte))
        const { frames } = osdp.framesIn(hurt)
        expect(frames.filter((f) => hex(f.data) === hex(data) && f.code === osdp.commands.poll)).toEqual([])
      }),
    )
  })
  it('of a device that checks by a sum alone is read as well', () => {
    const body = bytes('53 80 07 00 01 40')
    const frame = new Uint8Array([...body, osdp.checksum(body)])
    expect(osdp.framesIn(frame).frames).toMatchObject([{ address: 0, reply: true, sequence: 1, code: 0x40 }])
    expect(osdp.framesIn(new Uint8Array([...body, osdp.checksum(body) ^ 1])).frames).toEqual([])
  })
  it('whatever comes is read or passed over, in time that grows with its length alone', () => {
    fc.assert(
      fc.property(anyBytes(300), (data) => {
        const { frames, noise } = osdp.framesIn(data)
        expect(noise).toBeLessThanOrEqual(data.length)
        expect(frames.length * 7).toBeLessThanOrEqual(data.length)
      }),
      { numRuns: 20_000 },
    )
    // As many as are ever looked at, each fifth the beginning of a frame that claims to be as long as one may be.
    const dear = Uint8Array.from({ length: 4096 }, (_, i) => [0x53, 0, 0xa0, 0x05, 4][i % 5] as number)
    const began = performance.now()
    expect(osdp.framesIn(dear).frames).toEqual([])
    expect(performance.now() - began).toBeLessThan(2500)
  })
})

describe('what a controller says came on its bus', () => {
  const answer = (hexed: string) =>
    parseXml(`<a:ExchangeOnBusResponse xmlns:a="urn:x"><a:Bytes>${hexed}</a:Bytes></a:ExchangeOnBusResponse>`)
  it('is read, and refused where it is no hexadecimal text or longer than anything on a bus', () => {
    expect(hex(busLoanAnswer.read(answer('53FF00')))).toBe('53ff00')
    expect(busLoanAnswer.read(answer(''))).toHaveLength(0)
    for (const bad of ['5', 'XY', '00'.repeat(4097)])
      expect(() => busLoanAnswer.read(answer(bad))).toThrow(MalformedError)
    expect(busLoanAnswer.read(answer('00'.repeat(4096)))).toHaveLength(4096)
  })
})

describe('what devices say', () => {
  it.each<[string, (data: Uint8Array) => unknown]>([
    ['who they are', osdp.busIdentity.read],
    ['what they can do', osdp.busCapabilities.read],
    ['address and speed', osdp.busCommunication.read],
    ['a card', osdp.cardRead.read],
    ['keys', osdp.keysPressed.read],
    ['tamper and power', osdp.localStatus.read],
    ['a key', osdp.keySetting.read],
  ])('%s is read or refused, whatever it is', (_what, read) => {
    fc.assert(
      fc.property(anyBytes(60), (data) => {
        try {
          read(data)
        } catch (error) {
          expect(error).toBeInstanceOf(MalformedError)
        }
      }),
      { numRuns: 2000 },
    )
  })
  it('comes out as it went in', () => {
    const who = { vendor: '00A5C3', model: 7, version: 2, serial: '0A0000F1', firmware: '1.4.0' }
    expect(osdp.busIdentity.read(osdp.busIdentity.write(who))).toEqual(who)
    const at = { address: 126, speed: 115_200 }
    expect(osdp.busCommunication.read(osdp.busCommunication.write(at))).toEqual(at)
    const can = {
      cards: 1,
      lamps: 2,
      sounder: true,
      crc: true,
      secureChannel: true,
      defaultKey: false,
      largest: 700,
      readers: 1,
    }
    expect(osdp.busCapabilities.read(osdp.busCapabilities.write(can))).toEqual(can)
    fc.assert(
      fc.property(fc.array(fc.constantFrom<0 | 1>(0, 1), { maxLength: 100 }), (bits) => {
        expect(osdp.cardRead.read(osdp.cardRead.write(bits))).toEqual(bits)
      }),
    )
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...'0123456789*#'), { maxLength: 20 }), (keys) => {
        expect(osdp.keysPressed.read(osdp.keysPressed.write(keys.join('')))).toBe(keys.join(''))
      }),
    )
    expect([...osdp.keysPressed.write('4*#')]).toEqual([0, 3, 0x34, 0x7f, 0x0d])
  })
  it('a serial number and a speed go low byte first (from memory of the standard)', () => {
    const who = { vendor: '010203', model: 4, version: 5, serial: '0D0C0B0A', firmware: '1.2.3' }
    expect(hex(osdp.busIdentity.write(who))).toBe('0102030405' + '0a0b0c0d' + '010203')
    expect(hex(osdp.busCommunication.write({ address: 3, speed: 9600 }))).toBe('0380250000')
  })
})

describe('the secure channel', () => {
  const rfc4493Key = bytes('2b7e151628aed2a6abf7158809cf4f3c')
  const keys = (mac1: Uint8Array, mac2: Uint8Array): osdp.SessionKeys => ({ seal: mac1, mac1, mac2 })

  it('encrypts a block as FIPS-197 appendix C.1 says', () => {
    const key = bytes('000102030405060708090a0b0c0d0e0f')
    const plain = bytes('00112233445566778899aabbccddeeff')
    expect(hex(osdp.macOf(keys(zeros, key), plain, zeros))).toBe('69c4e0d86a7b0430d8cdb78070b4c55a')
  })
  it('chains blocks as RFC 4493 does, whose last block is turned over by its K1', () => {
    const k1 = bytes('fbeed618357133667c85e08f7236a8de')
    const turned = (message: Uint8Array) =>
      message.map((byte, i) => (i < message.length - 16 ? byte : byte ^ (k1[i - message.length + 16] as number)))
    const one = bytes('6bc1bee22e409f96e93d7e117393172a')
    const four = bytes(
      '6bc1bee22e409f96e93d7e117393172a ae2d8a571e03ac9c9eb76fac45af8e51 30c81c46a35ce411e5fbc1191a0a52ef f69f2445df4f9b17ad2b417be66c3710',
    )
    const mac = (message: Uint8Array) => hex(osdp.macOf(keys(rfc4493Key, rfc4493Key), turned(message), zeros))
    expect(mac(one)).toBe('070a16b46b4d4144f79bdd9dd04a287c')
    expect(mac(four)).toBe('51f0bebf7e3b9d92fc49741779363cfe')
  })
  it('gives the last block of a frame a key of its own', () => {
    const [a, b] = [bytes('00'.repeat(15) + '01'), bytes('00'.repeat(15) + '02')]
    const block = (key: Uint8Array, data: Uint8Array) =>
      new Uint8Array(createCipheriv('aes-128-ecb', key, null).setAutoPadding(false).update(data))
    const message = Uint8Array.from({ length: 32 }, (_, i) => i)
    const chained = block(a, message.subarray(0, 16))
    const wanted = block(
      b,
      message.subarray(16).map((byte, i) => byte ^ (chained[i] as number)),
    )
    expect(hex(osdp.macOf(keys(a, b), message, zeros))).toBe(hex(wanted))
  })
  it('derives its keys from the device’s key and what was drawn (from memory of the standard)', () => {
    const key = bytes('000102030405060708090a0b0c0d0e0f')
    const drawn = bytes('b0b1b2b3b4b5b6b7')
    const derived = (second: string) =>
      hex(
        createCipheriv('aes-128-ecb', key, null)
          .setAutoPadding(false)
          .update(bytes(`01${second}b0b1b2b3b4b5${'00'.repeat(8)}`)),
      )
    const made = osdp.sessionKeys(key, drawn)
    expect([made.seal, made.mac1, made.mac2].map(hex)).toEqual(['82', '01', '02'].map(derived))
  })
  it('opens what it sealed, and nothing else', () => {
    const made = osdp.sessionKeys(osdp.defaultKey, bytes('0011223344556677'))
    const both = () => new osdp.SecureChannel(made, zeros)
    fc.assert(
      fc.property(anyBytes(80), fc.nat(), (data, at) => {
        const sealed = both().seal('command', data)
        const opened = (of: Uint8Array) => {
          const plain = both().open('command', of)
          return plain && hex(plain)
        }
        expect(opened(sealed)).toBe(hex(data))
        const hurt = sealed.map((byte, i) => (i === at % sealed.length ? byte ^ 1 : byte))
        expect(opened(hurt)).not.toBe(hex(data))
      }),
    )
  })
  it('takes no frame twice, none of another, and none that was altered', () => {
    const made = osdp.sessionKeys(osdp.defaultKey, bytes('0011223344556677'))
    const asking = new osdp.SecureChannel(made, zeros)
    const device = new osdp.SecureChannel(made, zeros)
    const frame = bytes('5303')
    const mac = asking.sign('command', frame).subarray(0, 4)
    expect(device.accepts('command', bytes('5304'), mac)).toBe(false)
    expect(device.accepts('command', frame, null)).toBe(false)
    expect(device.accepts('command', frame, mac)).toBe(true)
    const reply = device.sign('reply', frame).subarray(0, 4)
    expect(asking.accepts('reply', frame, reply)).toBe(true)
    // Once a reply has come the same command has another MAC.
    expect(device.accepts('command', frame, mac)).toBe(false)
  })
})
