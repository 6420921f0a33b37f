import type { Response } from 'express'
import { HttpProblem } from './route'

/**
 * Lets so many things go on at the same moment, whoever asks; each is told when whoever asked has gone.
 * @param what of which so many are under way, for example `lines are being tried`
 * @throws HttpProblem 429 where there are as many already
 */
export function fewAtOnce(most: number, what: string) {
  let under = 0
  return async <T>(response: Response, work: (gone: AbortSignal) => Promise<T>): Promise<T> => {
    if (under >= most) throw new HttpProblem(429, 'Too many at once', `${under} ${what} already. Wait for one of them.`)
    const gone = new AbortController()
    response.on('close', () => gone.abort())
    under += 1
    try {
      return await work(gone.signal)
    } finally {
      under -= 1
    }
  }
}
