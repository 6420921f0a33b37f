import { bytesFor, codecs, thrownBy } from './frames'

/** Seeds that once brought a codec to throw; each stays here. */
const kept: readonly [codec: string, seed: number][] = []

describe.each(codecs.map((c) => [c.name, c] as const))('what is sent as %s, hurt in every way', (name, codec) => {
  it('is sound before it is hurt', () => {
    for (const bytes of codec.sound) expect(() => codec.read(bytes)).not.toThrow()
  })
  it('is read or refused, twenty thousand times and where it once went wrong', () => {
    const wrong: [seed: number, thrown: unknown][] = []
    const old = kept.flatMap(([of, seed]) => (of === name ? [seed] : []))
    for (const seed of [...old, ...Array.from({ length: 20_000 }, (_, i) => i + 1)]) {
      const thrown = thrownBy(codec, bytesFor(codec, seed))
      if (thrown !== null) wrong.push([seed, thrown])
    }
    expect(wrong).toEqual([])
  })
})
