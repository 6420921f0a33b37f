import fc from 'fast-check'
import { timeAnswer, timeQuestion, timeReply } from '../src'

const hex = (bytes: Uint8Array) => Buffer.from(bytes).toString('hex')

// RFC 5905, section 6: seconds from 1900; 1970 is 2208988800 = 0x83AA7E80. Worked by hand from the figure of the header (section 7.3).
describe('a question to a time server', () => {
  it('is 48 bytes: version 4, client, and our clock as its transmit stamp', () => {
    expect(hex(timeQuestion(500))).toBe(`23${'00'.repeat(39)}83aa7e8080000000`)
  })
  it('is answered with our stamp as its originate stamp', () => {
    const question = timeQuestion(1_700_000_000_250)
    const reply = timeReply(question, 1_700_000_000_500)
    if (!reply) throw new Error('no reply')
    expect(reply[0]).toBe((4 << 3) | 4)
    expect(hex(reply.subarray(24, 32))).toBe(hex(question.subarray(40, 48)))
    // 1700000000 + 2208988800 = 3908988800 = 0xE8FE6F80.
    expect(hex(reply.subarray(40, 48))).toBe('e8fe6f8080000000')
  })
})

describe('what an answer says', () => {
  // RFC 5905, section 8: offset = ((T2 - T1) + (T3 - T4)) / 2, delay = (T4 - T1) - (T3 - T2).
  it('is how far the two clocks are apart, the way there and back halved', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2_000_000_000_000 }),
        fc.integer({ min: -86_400_000, max: 86_400_000 }),
        fc.integer({ min: 0, max: 2000 }),
        (sent, off, way) => {
          fc.pre(sent + off > 0)
          const question = timeQuestion(sent)
          const reply = timeReply(question, sent + way + off)
          const said = reply && timeAnswer(question, reply, sent, sent + 2 * way)
          expect(said?.offsetMs).toBeCloseTo(off, 1)
          expect(said?.roundTripMs).toBeCloseTo(2 * way, 1)
        },
      ),
    )
  })
  const question = timeQuestion(1000)
  const reply = timeReply(question, 2000) ?? new Uint8Array()
  const altered = (at: number, value: number) => Uint8Array.from(reply, (b, i) => (i === at ? value : b))
  it.each([
    ['too short', reply.subarray(0, 47)],
    ['of a client', altered(0, (4 << 3) | 3)],
    ['a refusal (stratum 0)', altered(1, 0)],
    ['to another question', altered(27, 0xff)],
    ['nothing', new Uint8Array()],
  ])('is nothing where it is %s', (_what, bytes) => expect(timeAnswer(question, bytes, 1000, 1100)).toBeNull())
  it('no bytes break it', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 100 }), (bytes) => {
        timeAnswer(question, bytes, 0, 0)
        timeReply(bytes, 0)
      }),
    )
  })
  it('a server answers questions alone', () => expect(timeReply(reply, 0)).toBeNull())
})
