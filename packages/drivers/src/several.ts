/** Requests under way at once: enough to hide the round trip, few enough for a small device. */
const few = 6

export async function severalAtOnce<T, R>(
  list: readonly T[],
  work: (item: T) => Promise<R>,
  atOnce = few,
): Promise<R[]> {
  const results: R[] = new Array(list.length)
  let next = 0
  const runner = async () => {
    for (let i = next++; i < list.length; i = next++) results[i] = await work(list[i] as T)
  }
  await Promise.all(Array.from({ length: Math.min(atOnce, list.length) }, runner))
  return results
}
