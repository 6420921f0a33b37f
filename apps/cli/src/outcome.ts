/** What a command line comes to. Exit code 0 good, 1 the answer is no, 2 bad input. */
export interface Outcome {
  code: number
  out: string
}

/** Input that nothing can be worked out from: what is wrong, where, and how to mend it. */
export class Bad extends Error {}

export const told = (good: boolean, answer: unknown): Outcome => ({ code: good ? 0 : 1, out: JSON.stringify(answer) })
/** To so many digits behind the point, and never to fewer than four that count. */
export const round = (n: number, digits = 3): number =>
  Math.abs(n) >= 1 ? Number(n.toFixed(digits)) : Number(n.toPrecision(4))

/** Reads a file as text, or as its bytes. @throws Error where it can't */
export type Read = (file: string) => string
export type ReadBytes = (file: string) => Uint8Array
