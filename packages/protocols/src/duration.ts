import { MalformedError } from './xml'

/** Seconds as an ISO 8601 duration, to a tenth of a second: `PT5S`, `PT0.5S`. */
export const toDuration = (seconds: number): string => `PT${Number(seconds.toFixed(3))}S`

/** Seconds of an ISO 8601 duration without years or months. @throws MalformedError */
export function fromDuration(text: string): number {
  const match = /^P(?:(\d+)D)?(?:T(?:(\d+)H)?(?:(\d+)M)?(?:(\d+(?:\.\d+)?)S)?)?$/.exec(text)
  if (!match || text === 'P' || text.endsWith('T')) throw new MalformedError(`${text || 'Nothing'} is not a duration.`)
  const [d, h, m, s] = match.slice(1).map((part) => Number(part ?? 0))
  return (d ?? 0) * 86400 + (h ?? 0) * 3600 + (m ?? 0) * 60 + (s ?? 0)
}
