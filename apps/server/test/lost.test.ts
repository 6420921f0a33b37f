import { marksOf } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { Site, serial, siteFile } from './site'

describe('answers that are lost on their way', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start()
    await site.plan(2)
    await site.take()
  })
  afterAll(() => site.stop())
  const unit = () => site.unit()

  it.each([0.01, 0.3, 0.5])(
    'are asked for again under a new nonce: with %d of them lost the load is held, and the device was never asked wrongly',
    async (share) => {
      for (let i = 0; i < 10; i++)
        await site.command('person.put', {
          id: `p${share * 100}-${i}`,
          number: `${share * 100}${i}`,
          name: `Person ${i}`,
          cards: [
            { id: `c${share * 100}-${i}`, facility: 30, number: Math.round(share * 10_000) + i, state: 'in use' },
          ],
          groups: ['g'],
        })
      await site.hands([{ do: 'lostAnswers', serial, share }])
      const id = await site.load()
      await site.hands([{ do: 'lostAnswers', serial, share: 0 }])
      expect(site.facts.load[id]).toMatchObject({ state: 'held' })
      expect(unit().wrongSecrets).toEqual([])
      const door = site.facts.door['D-01']
      if (!door) throw new Error('no door')
      expect(marksOf(site.facts, door, sheetsFor(site.facts)).load.sign).toBe('given')
    },
    60_000,
  )

  it('a device that loses all of them is said to be out of reach, and the load goes on when it answers', async () => {
    await site.hands([{ do: 'lostAnswers', serial, share: 1 }])
    await site.command('person.remove', { id: 'p1-0' })
    const loading = site.load()
    await site.until('the load to wait', (f) => Object.values(f.load).some((l) => l.state === 'waits'))
    expect(Object.values(site.facts.load).find((l) => l.state === 'waits')?.says).toMatch(/Nothing answers at/)
    await site.hands([{ do: 'lostAnswers', serial, share: 0 }])
    const id = await loading
    expect(site.facts.load[id]).toMatchObject({ state: 'held' })
  }, 150_000)
})
