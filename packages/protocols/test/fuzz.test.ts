import { bytesFor, codecs, thrownBy } from './frames'

/** Seeds that once brought a codec to throw; each stays here. */
const kept: readonly [codec: string, seed: number][] = []

describe.each(codecs.map((c) => [c.name, c] as const))('what is sent as %s, hurt in every way', (name, codec) => {
  it('is sound before it is hurt', () => {
    for (const bytes of codec.sound) expect(() => codec.read(bytes)).not.toThrow()
  })
  it('is read or refused, twenty thousand times', () => {
    const wrong: [seed: number, thrown: unknown][] = []
    for (let seed = 1; seed <= 20_000; seed++) {
      const thrown = thrownBy(codec, bytesFor(codec, seed))
      if (thrown !== null) wrong.push([seed, thrown])
    }
    expect(wrong).toEqual([])
  })
  it('what once went wrong goes well', () => {
    for (const [of, seed] of kept)
      if (of === name) expect([seed, thrownBy(codec, bytesFor(codec, seed))]).toEqual([seed, null])
  })
})
