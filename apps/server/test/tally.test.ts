import fc from 'fast-check'
import { Tally } from '../src/live/gap'

const told = (...numbers: number[]) => ({ boot: 'b1', numbers })
const after = (...pulls: Parameters<Tally['goesOn']>[0][]) => {
  const tally = new Tally()
  return pulls.map((p) => tally.goesOn(p)).at(-1)
}

describe('the count of what a device told', () => {
  it.each([
    ['goes on with the next number', true, [told(3, 4), told(5)]],
    ['goes on with numbers told again', true, [told(3, 4), told(3, 4, 5)]],
    ['shows nothing the first time', false, [told(3)]],
    ['leaves a number out', false, [told(3), told(5)]],
    ['leaves a number out that came after all', true, [told(3), told(5), told(4), told(6)]],
    ['leaves a number out that is still awaited', false, [told(3), told(5), told(6)]],
    ['leaves a number out within one answer', false, [told(3), told(4, 6)]],
    ['shows nothing in a quiet spell', false, [told(3), told()]],
    ['goes on over a quiet spell', true, [told(3), told(), told(4)]],
    ['starts anew with the device', false, [told(3), { boot: 'b2', numbers: [4] }]],
    ['shows nothing where something was not counted', false, [told(3), null, told(4)]],
    ['is begun anew where it jumps far', false, [told(3), told(90_000_000_000)]],
    ['goes on from where it jumped to', true, [told(3), told(90_000_000_000), told(90_000_000_001)]],
  ] as const)('%s: %s', (_what, expected, pulls) => {
    expect(after(...pulls)).toBe(expected)
  })

  it('asks after nothing from before once a gap was said', () => {
    const tally = new Tally()
    for (const p of [told(3), told(5)]) tally.goesOn(p)
    tally.begin()
    expect([tally.goesOn(told(7)), tally.goesOn(told(8))]).toEqual([false, true])
  })

  it('shows that nothing is missing exactly when every number between was told, in whatever order and answers', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([2, 3, 4, 5, 6, 7, 8, 9]), fc.integer({ min: 1, max: 4 }), (order, size) => {
        const pulls = [told(1)]
        for (let k = 0; k < order.length; k += size) pulls.push(told(...order.slice(k, k + size).sort((a, b) => a - b)))
        const missing = Math.max(1, ...order) - 1 - order.length
        expect(after(...pulls)).toBe(order.length > 0 && missing === 0)
      }),
    )
  })
})
