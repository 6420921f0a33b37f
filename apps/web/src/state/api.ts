import type { Problem } from '@rauta/contracts'
import { NotKeptError } from './kept/waiting'

/** The server said no: what and why, and which field it is about. */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    readonly says: string,
    readonly field: string | undefined,
  ) {
    super(says)
  }
}
/** The server could not be asked. */
export class AwayError extends Error {
  constructor(readonly says = 'The server is out of reach. What you typed stays here.') {
    super(says)
  }
}

/** An answer that is one. @throws AwayError, ProblemError */
async function answered(path: string, init: RequestInit, withinMs?: number): Promise<Response> {
  let response: Response
  try {
    response = await fetch(`/api/v1${path}`, {
      ...init,
      credentials: 'same-origin',
      ...(withinMs && 'timeout' in AbortSignal ? { signal: AbortSignal.timeout(withinMs) } : {}),
    })
  } catch (error) {
    if (init.signal?.aborted) throw error
    throw new AwayError()
  }
  if (response.ok) return response
  const problem = (await response.json().catch(() => null)) as Problem | null
  throw new ProblemError(response.status, problem?.says ?? `The server answered ${response.status}.`, problem?.field)
}

const ask = async <T>(path: string, init: RequestInit, withinMs?: number): Promise<T> =>
  (await (await answered(path, init, withinMs)).json().catch(() => null)) as T

/** @param withinMs after which the server counts as out of reach */
export const get = <T>(path: string, withinMs?: number): Promise<T> => ask<T>(path, { method: 'GET' }, withinMs)
export const post = <T>(path: string, body: unknown = {}, withinMs?: number): Promise<T> =>
  ask<T>(
    path,
    { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) },
    withinMs,
  )

/** As `post`, until it is stopped. */
export const postUntil = <T>(path: string, body: unknown, signal: AbortSignal): Promise<T> =>
  ask<T>(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body), signal })

/** A file that the server makes, under the name that it gives it. */
export async function getFile(path: string): Promise<{ name: string; bytes: Blob }> {
  const response = await answered(path, { method: 'GET' })
  const name =
    /filename\*?="?(?:UTF-8'')?([^";]+)/i.exec(response.headers.get('content-disposition') ?? '')?.[1] ??
    path
      .split(/[/?]/)
      .filter((p) => p.includes('.'))
      .at(-1) ??
    'file'
  return { name: decodeURIComponent(name), bytes: await response.blob() }
}

/** A file's bytes as they are. */
export const postFile = <T>(path: string, file: Blob, signal: AbortSignal): Promise<T> =>
  ask<T>(path, { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: file, signal })

export const saysOf = (error: unknown): string =>
  error instanceof ProblemError || error instanceof AwayError || error instanceof NotKeptError
    ? error.says
    : error instanceof Error
      ? error.message
      : 'Something went wrong.'
export const fieldOf = (error: unknown): string | undefined => (error instanceof ProblemError ? error.field : undefined)
