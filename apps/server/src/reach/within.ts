import { DeviceError } from '@rauta/drivers'
import type { Context } from '../context'

/** However fast a simulated site lives, work with a device is given so much of this computer's own time, ms. */
const leastMs = 10_000

/**
 * Work with one device that ends after so long, whatever the device does: one that drips its answers holds up nothing but itself.
 * @param ms of the site's time @throws DeviceError `slow`
 */
export async function within<T>(
  { clock, ending }: Pick<Context, 'clock' | 'ending'>,
  ms: number,
  who: string,
  work: (signal: AbortSignal) => Promise<T>,
): Promise<T> {
  const stop = new AbortController()
  const overMs = Math.max(leastMs, ms / clock.factor)
  let timer: NodeJS.Timeout | undefined
  const tooSlow = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      reject(new DeviceError('slow', `${who} answers too slowly: it was not done after ${Math.round(ms / 1000)} s.`))
      stop.abort()
    }, overMs)
  })
  try {
    return await Promise.race([work(AbortSignal.any([stop.signal, ending])), tooSlow])
  } finally {
    clearTimeout(timer)
  }
}
