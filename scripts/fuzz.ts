import { bytesFor, codecs, thrownBy, type Codec } from '../packages/protocols/test/frames'

/**
 * `npm run fuzz`: a million hurt frames for each codec that reads what devices and strangers send; `npm run fuzz -- COUNT FIRST_SEED` for
 * others. None may throw out of its codec, hang, or leave memory behind. A seed that does belongs into `packages/protocols/test/fuzz.test.ts`.
 */
const [count = 1_000_000, first = 1] = process.argv.slice(2).map(Number)
/** A frame that takes longer holds others up, ms. */
const longestMs = 200
const warmUp = Math.min(20_000, count)
/** Heap that may stay behind after all of them, bytes. */
const mostLeft = 20 * 2 ** 20

const heap = (): number => {
  globalThis.gc?.()
  return process.memoryUsage().heapUsed
}

/** What took long is read again: a busy machine holds anything up now and then, a codec that is slow is so each time. */
function quickest(codec: Codec, bytes: Uint8Array): number {
  return Math.min(
    ...[1, 2, 3].map(() => {
      const from = performance.now()
      thrownBy(codec, bytes)
      return performance.now() - from
    }),
  )
}

let bad = 0
for (const codec of codecs) {
  let longest = 0
  let before = 0
  const began = performance.now()
  for (let seed = first; seed < first + count; seed++) {
    if (seed === first + warmUp) before = heap()
    const bytes = bytesFor(codec, seed)
    const from = performance.now()
    const thrown = thrownBy(codec, bytes)
    const took = performance.now() - from
    longest = Math.max(longest, took > longestMs ? quickest(codec, bytes) : took)
    if (thrown !== null) {
      bad += 1
      console.error(`${codec.name}, seed ${seed}: ${thrown instanceof Error ? thrown.message : String(thrown)}`)
    }
  }
  const left = heap() - before
  if (longest > longestMs || (count > warmUp && left > mostLeft)) bad += 1
  const perSecond = Math.round(count / ((performance.now() - began) / 1000))
  console.log(
    `${codec.name}: ${count} frames, ${perSecond} a second, longest ${longest.toFixed(1)} ms, heap ${(left / 2 ** 20).toFixed(1)} MiB`,
  )
}
console.log(bad ? `${bad} went wrong` : 'none went wrong')
process.exit(bad ? 1 : 0)
