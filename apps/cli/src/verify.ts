import { createHash } from 'node:crypto'
import { parseArgs } from 'node:util'
import { verifyFile, type RecordFile } from '@rauta/core/chain'
import type { Outcome, Read, ReadBytes } from './outcome'

/** Options of `verify`, each once, none that is not known. @throws TypeError in words */
function trustOptions(rest: readonly string[]): { key?: string; head?: string; picture?: string[] } {
  const { values } = parseArgs({
    args: [...rest],
    options: { key: { type: 'string' }, head: { type: 'string' }, picture: { type: 'string', multiple: true } },
    strict: true,
    allowPositionals: false,
  })
  for (const [name, value] of Object.entries(values))
    if ([value].flat().some((v) => !v)) throw new Error(`--${name} is empty.`)
  return { ...values }
}

const sha256Of = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

/** Pictures as they are kept, against the hashes that the record names. @returns in words, and whether each is one that was recorded */
function pictures(record: RecordFile, files: readonly string[], readBytes: ReadBytes): { ok: boolean; says: string } {
  const recorded = new Set(
    record.chain.flatMap((r) => {
      const { sha256 } = (r.kind === 'photo' ? r.body : {}) as { sha256?: unknown }
      return typeof sha256 === 'string' ? [sha256] : []
    }),
  )
  const bytesOf = (file: string): Uint8Array => {
    try {
      return readBytes(file)
    } catch {
      throw new Error(`${file} cannot be read.`)
    }
  }
  const strange = files.filter((file) => !recorded.has(sha256Of(bytesOf(file))))
  return strange.length
    ? { ok: false, says: `${strange.join(', ')}: not a picture that was recorded here, or altered since.` }
    : { ok: true, says: `${files.length} of ${recorded.size} recorded pictures looked at, each as it was recorded.` }
}

export function verify(record: RecordFile, rest: readonly string[], read: Read, readBytes: ReadBytes): Outcome {
  const { key, head, picture = [] } = trustOptions(rest)
  if (head !== undefined && !/^(\d+:)?[0-9a-f]{64}$/i.test(head))
    return { code: 2, out: `--head ${head} is no head: 64 hexadecimal digits, with the count before them as printed.` }
  const publicKey = key === undefined ? undefined : keyIn(key, read)
  const verdict = verifyFile(record, {
    ...(publicKey === undefined ? {} : { publicKey }),
    ...(head === undefined ? {} : { head }),
  })
  const shown = picture.length ? pictures(record, picture, readBytes) : { ok: true, says: '' }
  return {
    code: verdict.ok && shown.ok ? 0 : 1,
    out: [`${record.job.name}, ${record.door.ref} ${record.door.name}: ${verdict.says}`, shown.says]
      .filter(Boolean)
      .join(' '),
  }
}

/** The public key that a file holds. @throws Error in words */
function keyIn(file: string, read: Read): string {
  let text: string
  try {
    text = read(file)
  } catch {
    throw new Error(`${file} cannot be read.`)
  }
  const found = /(?<![0-9a-f])[0-9a-f]{64}(?![0-9a-f])/i.exec(text)?.[0]
  if (!found) throw new Error(`${file} holds no key: 64 hexadecimal digits, as printed on the record.`)
  return found.toLowerCase()
}
