/** Times in the site's zone, as people read them. */
export const clockTime = (ms: number, zone: string, tenths = false): string => {
  const text = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  }).format(ms)
  return tenths ? `${text}.${Math.floor((((ms % 1000) + 1000) % 1000) / 100)}` : text
}
export const dayTime = (ms: number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }).format(ms)
export const day = (ms: number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, day: 'numeric', month: 'short' }).format(ms)
