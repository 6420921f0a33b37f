/** The reference that follows one: its last number counted on, as many digits as it has, past those that are taken; `A-01` after none with a number is `A-01-2`. */
export function nextRef(ref: string, taken: readonly string[]): string {
  const used = new Set(taken.map((t) => t.toUpperCase()))
  const match = /^(.*?)(\d+)(\D*)$/.exec(ref)
  const [, before = `${ref}-`, digits = '1', after = ''] = match ?? []
  for (let n = Number(digits) + 1; ; n++) {
    const next = `${before}${String(n).padStart(digits.length, '0')}${after}`
    if (!used.has(next.toUpperCase())) return next
  }
}
