/** Rows of the table: what, ours, what it is held against, ratio, goal. */
export const rows: string[] = []
export const row = (what: string, value: string, baseline: string, ratio: string, goal: string): void => {
  const line = `| ${what} | ${value} | ${baseline} | ${ratio} | ${goal} |`
  rows.push(line)
  console.log(line)
}
export const median = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0
export const time = async (work: () => unknown): Promise<number> => {
  const from = performance.now()
  await work()
  return performance.now() - from
}
