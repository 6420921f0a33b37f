import iconv from 'iconv-lite'

/** Text of a file whose character set nobody has told: marks first, then what the bytes allow, then Windows-1252. */
export function decodeText(bytes: Uint8Array): { text: string; charset: 'UTF-8' | 'UTF-16' | 'Windows-1252' } {
  const [a, b, c] = bytes
  if (a === 0xef && b === 0xbb && c === 0xbf) return { text: utf8(bytes.subarray(3)), charset: 'UTF-8' }
  if (a === 0xff && b === 0xfe) return { text: iconv.decode(bytes.subarray(2), 'utf-16le'), charset: 'UTF-16' }
  if (a === 0xfe && b === 0xff) return { text: iconv.decode(bytes.subarray(2), 'utf-16be'), charset: 'UTF-16' }
  const wide = noughts(bytes)
  if (wide) return { text: iconv.decode(bytes, wide), charset: 'UTF-16' }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), charset: 'UTF-8' }
  } catch {
    return { text: iconv.decode(bytes, 'windows-1252'), charset: 'Windows-1252' }
  }
}

const utf8 = (bytes: Uint8Array): string => new TextDecoder('utf-8').decode(bytes)

/** UTF-16 without a mark: every second byte of Western text is nought. */
function noughts(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | null {
  const n = Math.min(bytes.length, 400) & ~1
  if (n < 4) return null
  let even = 0
  let odd = 0
  for (let i = 0; i < n; i += 2) {
    if (bytes[i] === 0) even++
    if (bytes[i + 1] === 0) odd++
  }
  if (odd > n * 0.35 && even < n * 0.05) return 'utf-16le'
  return even > n * 0.35 && odd < n * 0.05 ? 'utf-16be' : null
}
