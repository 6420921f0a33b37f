import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { makeDialer } from '../src'
import { afterPatience } from '../src/patience'

/** This computer stands still: nothing of this process runs. */
const standStill = (ms: number) => {
  for (const from = performance.now(); performance.now() - from < ms;);
}
const rested = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

describe('patience with a device', () => {
  it('ends after the time given, and not before', async () => {
    const from = performance.now()
    await new Promise<void>((resolve) => afterPatience(350, resolve))
    expect(performance.now() - from).toBeGreaterThanOrEqual(345)
  })
  it('does not end once it was ended', async () => {
    let ended = 0
    afterPatience(120, () => ended++)()
    await rested(300)
    expect(ended).toBe(0)
  })
  it('counts little of the time in which this computer stood still', async () => {
    let ended = false
    afterPatience(400, () => (ended = true))
    await rested(50)
    standStill(1200)
    await rested(60)
    expect(ended).toBe(false)
    await rested(900)
    expect(ended).toBe(true)
  })
  it('ends on a computer that is always late as well', async () => {
    let ended = false
    afterPatience(300, () => (ended = true))
    for (let k = 0; k < 14 && !ended; k++) {
      standStill(300)
      await rested(0)
    }
    expect(ended).toBe(true)
  })

  describe('while an answer is on its way', () => {
    let server: Server
    beforeAll((done) => {
      server = createServer((_, answer) => void setTimeout(() => answer.end('said'), 200)).listen(0, '127.0.0.1', done)
    })
    afterAll((done) => void server.close(done))
    it('hears it after it stood still for longer than its patience', async () => {
      const { port } = server.address() as AddressInfo
      const asked = makeDialer(null).post('127.0.0.1', port, '/', 'x', { timeoutMs: 700, fresh: true })
      await rested(100)
      standStill(1500)
      expect(await asked).toMatchObject({ text: 'said' })
    })
  })
})
