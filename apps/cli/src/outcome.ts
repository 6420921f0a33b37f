/** What a command line comes to. Exit code 0 good, 1 the answer is no, 2 bad input. */
export interface Outcome {
  code: number
  out: string
}

export const told = (good: boolean, answer: unknown): Outcome => ({ code: good ? 0 : 1, out: JSON.stringify(answer) })
export const round = (n: number, digits = 3): number => Number(n.toFixed(digits))

/** Reads a file as text, or as its bytes. @throws Error where it can't */
export type Read = (file: string) => string
export type ReadBytes = (file: string) => Uint8Array
