import fc from 'fast-check'
import { DeviceError, type Driver } from '@rauta/drivers'
import { Sparing, refusedMs, spared } from '../src/reach/sparing'

/** A device that shuts itself at five wrong passwords within 30 s, by a clock that is moved by hand. */
class Shutting {
  nowMs = 1_000_000
  password = 'right'
  wrongAt: number[] = []
  shut = false
  readonly waiting: (() => void)[] = []
  readonly sparing = new Sparing({
    now: () => this.nowMs,
    after: () => () => undefined,
    sleep: () => Promise.resolve(),
    factor: 1,
  })

  driver(password: string, patient = false): Driver {
    const address = '10.7.1.21'
    const answer = async () => {
      await new Promise<void>((done) => this.waiting.push(done))
      if (password === this.password) return { serial: 'S' } as never
      this.wrongAt = [...this.wrongAt.filter((at) => this.nowMs - at < 30_000), this.nowMs]
      this.shut ||= this.wrongAt.length >= 5
      throw new DeviceError('notAuthorized', 'Wrong.')
    }
    const driver: Driver = {
      identify: answer,
      read: answer,
      time: answer,
      watch: async () => ({ pull: answer, renew: answer, end: answer }),
    }
    return spared(driver, this.sparing, address, { user: 'u', password }, patient)
  }

  async answerAll(): Promise<void> {
    while (this.waiting.length) {
      for (const done of this.waiting.splice(0)) done()
      await new Promise(setImmediate)
    }
  }
}

const code = (asked: Promise<unknown>) =>
  asked.then(
    () => 'answered',
    (error: unknown) => (error as DeviceError).code,
  )

describe('wrong passwords are counted over all that ask', () => {
  it('whatever passwords are asked with, at once or one by one, and whenever somebody changes it: no device shuts itself', async () => {
    const step = fc.record({
      asks: fc.uniqueArray(fc.constantFrom('right', 'older', 'wrong', 'factory', 'another', 'one more')),
      moves: fc.boolean(),
      passesMs: fc.nat({ max: 20_000 }),
    })
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 12 }), async (all) => {
        const device = new Shutting()
        for (const { asks, moves, passesMs } of all) {
          const asked = asks.map((password) => code(device.driver(password).identify()))
          if (moves) device.password = device.password === 'right' ? 'older' : 'right'
          await device.answerAll()
          await Promise.all(asked)
          device.nowMs += passesMs
        }
        return !device.shut
      }),
    )
  })

  it('three are sent, the fourth is held back until the first of them is old, and then told', async () => {
    const device = new Shutting()
    const ask = async (password: string) => {
      const asked = code(device.driver(password).identify())
      await device.answerAll()
      return await asked
    }
    for (let i = 0; i < 3; i++) {
      expect(device.sparing.restMs('10.7.1.21')).toBe(0)
      expect(await ask(`wrong ${i}`)).toBe('notAuthorized')
      device.nowMs += 1000
    }
    expect(device.sparing.restMs('10.7.1.21')).toBe(refusedMs - 3000)
    expect(await ask('wrong again')).toBe('notAuthorized')
    expect(await ask('right')).toBe('notAuthorized')
    expect(device.wrongAt).toHaveLength(3)
    device.nowMs += refusedMs - 3000
    expect(await ask('right')).toBe('answered')
    expect(device.sparing.restMs('10.7.1.99')).toBe(0)
  })

  it('the password that opened it last goes on while others are refused, and is held back like any once it is refused', async () => {
    const device = new Shutting()
    const ask = async (password: string, of: 'identify' | 'read' = 'identify') => {
      const asked = code(device.driver(password)[of]?.() ?? Promise.resolve())
      await device.answerAll()
      return await asked
    }
    expect(await ask('right')).toBe('answered')
    for (let i = 0; i < 4; i++) await ask(`wrong ${i}`)
    expect(await ask('right', 'read')).toBe('answered')
    device.password = 'another'
    expect(await ask('right')).toBe('notAuthorized')
    const before = device.wrongAt.length
    expect(await ask('right')).toBe('notAuthorized')
    expect(device.wrongAt).toHaveLength(before)
  })

  it('whoever asks without end does not try a password again that was just refused; a person may', async () => {
    const device = new Shutting()
    const ask = async (patient: boolean) => {
      const asked = code(device.driver('wrong', patient).identify())
      await device.answerAll()
      expect(await asked).toBe('notAuthorized')
    }
    for (let i = 0; i < 3; i++) await ask(true)
    expect(device.wrongAt).toHaveLength(1)
    await ask(false)
    expect(device.wrongAt).toHaveLength(2)
    device.nowMs += refusedMs
    await ask(true)
    expect(device.wrongAt).toHaveLength(1)
  })

  it('a subscription counts; the time is asked without a password and is never held back', async () => {
    const device = new Shutting()
    const asked = device.driver('right').watch?.()
    const watch = await asked
    device.password = 'another'
    for (let i = 0; i < 6; i++) {
      const pulled = code(watch?.pull(new Map()) ?? Promise.resolve())
      await device.answerAll()
      expect(await pulled).toBe('notAuthorized')
    }
    expect(device.wrongAt).toHaveLength(3)
    device.password = 'right'
    const time = code(device.driver('right').time())
    await device.answerAll()
    expect(await time).toBe('answered')
  })
})
