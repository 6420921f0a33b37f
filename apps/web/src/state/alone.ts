const queues = new Map<string, Promise<unknown>>()

/** Runs work of one name one after the other, over all tabs of this browser where it has locks. */
export function alone<T>(name: string, work: () => Promise<T>): Promise<T> {
  if (typeof navigator !== 'undefined' && 'locks' in navigator && navigator.locks)
    return navigator.locks.request(name, work) as Promise<T>
  const next = (queues.get(name) ?? Promise.resolve()).then(work, work)
  queues.set(
    name,
    next.catch(() => undefined),
  )
  return next
}
