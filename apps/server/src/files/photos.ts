import { createHash } from 'node:crypto'
import { and, eq, inArray } from 'drizzle-orm'
import { imageSize } from 'image-size'
import type { Database } from '../store/open'
import { photos } from '../store/schema'

/** Bytes of one picture at most. */
export const largestPhoto = 3 * 1024 * 1024

/** What a picture begins with, for the kinds that browsers write. */
function typeOf(bytes: Buffer): string | null {
  if (bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]))) return 'image/jpeg'
  if (bytes.subarray(0, 4).toString('latin1') === '\x89PNG') return 'image/png'
  return bytes.subarray(8, 12).toString('latin1') === 'WEBP' ? 'image/webp' : null
}

/** A picture of more is no photo of a door: unfolded it would take gigabytes, also in print. */
const most = { side: 12_000, pixels: 50_000_000 }

const cutShort = 'This picture cannot be read: it may be cut short. Take it anew, or choose another file.'

/** In words why a picture is too large, or cannot be one; null where it is fine. */
function sizeFault(bytes: Buffer): string | null {
  try {
    // A copy of its own: the library reads on in whatever memory lies behind a part of a larger buffer.
    const { width, height } = imageSize(new Uint8Array(bytes))
    if (!(width > 0 && height > 0)) return cutShort
    if (Math.max(width, height) <= most.side && width * height <= most.pixels) return null
    return `This picture has ${width} by ${height} pixels; ${most.pixels / 1e6} million are the most. Make it smaller, or take it anew.`
  } catch {
    return cutShort
  }
}

const hashOf = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex')

/** Pictures of the job: kept once under their id, and told apart from others by their hash. */
export class Photos {
  constructor(
    private readonly db: Database,
    private readonly job: string,
  ) {}

  /** @returns in words why it is not taken, or null */
  async keep(id: string, bytes: Buffer): Promise<string | null> {
    const type = typeOf(bytes)
    if (!type) return 'This is no picture that can be kept. Take a photo, or choose a JPEG, PNG or WebP file.'
    const fault = sizeFault(bytes)
    if (fault) return fault
    const sha256 = hashOf(bytes)
    const before = (
      await this.db
        .select({ sha256: photos.sha256 })
        .from(photos)
        .where(and(eq(photos.job, this.job), eq(photos.id, id)))
    )[0]
    if (before) return before.sha256 === sha256 ? null : 'Another picture was kept under this id already.'
    await this.db.insert(photos).values({ job: this.job, id, type, sha256, bytes: new Uint8Array(bytes) })
    return null
  }

  /** Those of many that are here. */
  async among(ids: readonly string[]): Promise<Map<string, { type: string; sha256: string; bytes: Buffer }>> {
    if (ids.length === 0) return new Map()
    const rows = await this.db
      .select()
      .from(photos)
      .where(and(eq(photos.job, this.job), inArray(photos.id, [...ids])))
    // Of the bytes as they lie there now: what the store says of them may have been altered with them.
    return new Map(
      rows.map((r) => {
        const bytes = Buffer.from(r.bytes)
        return [r.id, { type: r.type, sha256: hashOf(bytes), bytes }]
      }),
    )
  }

  async of(id: string): Promise<{ type: string; sha256: string; bytes: Buffer } | null> {
    return (await this.among([id])).get(id) ?? null
  }
}
