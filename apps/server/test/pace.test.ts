import { jest } from '@jest/globals'
import { makeClock } from '@rauta/protocols'
import { Pace } from '../src/live/pace'
import { Turns } from '../src/reach/turns'
import { within } from '../src/reach/within'

describe('the pace at which one device is asked', () => {
  it('what can happen at doors is taken without a wait: 400 events a second for a minute', () => {
    const pace = new Pace(0)
    for (let i = 1; i <= 600; i++) expect(pace.after(40, 100, i * 100)).toBe(0)
    expect(pace.flood(60_000, 10_000)).toBeNull()
  })

  it('a burst is taken at once, a flood is waited for until it is 500 a second, and said once in so long', () => {
    const pace = new Pace(0)
    let now = 0
    let taken = 0
    const said: { told: number; ms: number }[] = []
    while (now < 60_000) {
      now += 5 + pace.after(1000, 5, now + 5)
      taken += 1000
      const flood = pace.flood(now, 10_000)
      if (flood) said.push(flood)
    }
    expect(taken).toBeLessThan(5_000 + 60 * 500 + 2_000)
    expect(taken).toBeGreaterThan(30_000)
    expect(said.length).toBeGreaterThanOrEqual(4)
    expect(said.length).toBeLessThanOrEqual(6)
    for (const { told, ms } of said) expect(told / (ms / 1000)).toBeGreaterThan(400)
  })

  it('after a pause a flood begins anew', () => {
    const pace = new Pace(0)
    pace.after(9000, 5, 1)
    expect(pace.flood(5000, 10_000)).toBeNull()
    expect(pace.after(0, 5000, 20_000)).toBe(0)
    pace.after(9000, 5, 20_001)
    expect(pace.flood(29_000, 10_000)).toBeNull()
  })

  it('a look that comes back at once with nothing is followed by a rest, one that waited is not', () => {
    const pace = new Pace(0)
    expect(pace.after(0, 1, 1)).toBe(200)
    expect(pace.after(0, 5000, 5001)).toBe(0)
    expect(pace.after(1, 1, 5002)).toBe(0)
  })
})

describe('turns', () => {
  const gate = () => {
    let open = () => undefined as void
    const shut = new Promise<void>((done) => (open = done))
    return { shut, open }
  }
  const settled = () => new Promise((done) => setTimeout(done))

  it('so many are at work at once, one of each key, and the newest of a key that waits', async () => {
    const turns = new Turns(2, 10)
    const gates = new Map<string, ReturnType<typeof gate>>()
    const begun: string[] = []
    const add = (key: string, name = key) => {
      const g = gate()
      gates.set(name, g)
      turns.add(key, () => {
        begun.push(name)
        return g.shut
      })
    }
    add('a')
    add('b')
    add('c')
    add('a', 'a2')
    add('a', 'a3')
    expect(begun).toEqual(['a', 'b'])
    gates.get('b')?.open()
    await settled()
    expect(begun).toEqual(['a', 'b', 'c'])
    gates.get('c')?.open()
    await settled()
    expect(begun).toEqual(['a', 'b', 'c'])
    gates.get('a')?.open()
    await settled()
    expect(begun).toEqual(['a', 'b', 'c', 'a3'])
  })

  it('what comes to a full queue is dropped and counted; who waits keeps their place', async () => {
    const turns = new Turns(1, 3)
    const first = gate()
    const done: number[] = []
    turns.add('first', () => first.shut)
    for (let i = 0; i < 1000; i++)
      turns.add(`k${i}`, async () => {
        done.push(i)
      })
    expect(turns.dropped).toBe(997)
    first.open()
    for (let i = 0; i < 10; i++) await settled()
    expect(done).toEqual([0, 1, 2])
  })
})

describe('work with one device', () => {
  const context = () => ({ clock: makeClock(1), ending: new AbortController().signal })
  afterEach(() => {
    jest.useRealTimers()
  })

  it('that never ends is ended after its time, told to stop, and said to be slow', async () => {
    jest.useFakeTimers()
    let stopped = false
    const never = within(context(), 60_000, 'A1', (signal) => {
      signal.addEventListener('abort', () => (stopped = true))
      return new Promise<void>(() => undefined)
    })
    const said = expect(never).rejects.toMatchObject({ code: 'slow', says: expect.stringContaining('60 s') as string })
    jest.advanceTimersByTime(59_000)
    expect(stopped).toBe(false)
    jest.advanceTimersByTime(2_000)
    await said
    expect(stopped).toBe(true)
  })

  it('that ends in its time is as it came, good or bad', async () => {
    expect(await within(context(), 1000, 'A1', async () => 7)).toBe(7)
    await expect(within(context(), 1000, 'A1', () => Promise.reject(new Error('bad')))).rejects.toThrow('bad')
  })
})
