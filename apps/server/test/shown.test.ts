import { eq, sql } from 'drizzle-orm'
import { applyChanges, put, type Facts } from '@rauta/core'
import { v7 } from 'uuid'
import { holdsNatively } from '../src/changes/links'
import { alteredChains } from '../src/store/alteredChains'
import { chainRecords, photos } from '../src/store/schema'
import { Site, siteFile } from './site'

const png = (grey: number): Uint8Array =>
  Buffer.from(
    // One pixel; the grey lies in its own byte of a stored block, so that two of them differ by little.
    grey
      ? 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNgAAAAAgABc3UBGAAAAABJRU5ErkJggg=='
      : 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGP4DwABAQEAsTj2pgAAAABJRU5ErkJggg==',
    'base64',
  )

describe('what is shown of what was recorded', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start({ rig: false })
    await site.plan(2)
  })
  afterAll(() => site.stop())
  const db = () =>
    (site.server.context.log as unknown as { db: { update: never; execute: never } }).db as never as {
      update(table: unknown): { set(v: object): { where(w: unknown): Promise<unknown> } }
      select(): { from(t: unknown): { where(w: unknown): Promise<{ n: number; data: { body: unknown } }[]> } }
      execute(q: unknown): Promise<unknown>
    }

  it('a picture whose bytes were altered in the store is neither shown nor printed, though the store says they are the same', async () => {
    const id = v7()
    const sha256 = (await import('node:crypto')).createHash('sha256').update(png(0)).digest('hex')
    expect((await site.raw(`/photos/${id}`, png(0))).status).toBe(200)
    await site.command('photo.add', { id, door: 'D-01', cable: '', of: 'nameplate', width: 1, height: 1, sha256 })
    expect((await site.ask('GET', `/photos/${id}`)).status).toBe(200)
    await db()
      .update(photos)
      .set({ bytes: new Uint8Array(png(1)) })
      .where(eq(photos.id, id))
    const shown = await site.ask('GET', `/photos/${id}`)
    expect(shown.status).toBe(409)
    expect(shown.body['says']).toContain('not the one that was recorded')
    expect((await site.ask('GET', '/doors/D-01/record.pdf')).status).toBe(200)
  })

  const notices = async () => {
    await site.restart()
    const end = Date.now() + 8000
    for (;;) {
      const { aside } = (await site.ask('GET', '/facts')).body as {
        aside: { kind: string; id: string; says: string }[]
      }
      const found = aside.filter((a) => a.kind === 'chain')
      if (found.length || Date.now() > end) return found
      await new Promise((done) => setTimeout(done, 50))
    }
  }

  it('is compared with the door’s chain after a start: nothing is said while they agree', async () => {
    await site.command('reading.add', {
      id: 'r1',
      door: 'D-01',
      cable: site.facts.door['D-01']?.cables[0]?.id ?? '',
      kind: 'loop',
      value: 1.5,
    })
    await site.restart()
    await new Promise((done) => setTimeout(done, 1500))
    const { aside } = (await site.ask('GET', '/facts')).body as { aside: unknown[] }
    expect(aside).toEqual([])
  })

  it.each([
    [
      'a record of the chain was edited',
      (body: Record<string, unknown>) => ({ ...body, value: 0.1 }),
      /^D-01: its records are not what was signed\. Record \d+ \(reading, .*\) was edited/,
    ],
    ['a record of the chain is gone', null, /D-01/],
  ] as const)('a door where %s is named in red', async (_what, edit, says) => {
    const where = eq(chainRecords.door, 'D-01')
    const rows = await db().select().from(chainRecords).where(where)
    const row = rows.find((r) => (r.data as { kind?: string }).kind === 'reading')
    if (!row) throw new Error('no record')
    const before = structuredClone(row.data)
    const data = edit ? { ...row.data, body: edit(row.data.body as Record<string, unknown>) } : row.data
    const set = (value: object) =>
      db().execute(
        sql`update chain_records set data = ${JSON.stringify(value)}::jsonb where door = 'D-01' and n = ${row.n}`,
      )
    if (edit) await set(data)
    else await db().execute(sql`update chain_records set n = 900 where door = 'D-01' and n = ${row.n}`)
    const found = await notices()
    expect(found.map((f) => f.says).join()).toMatch(says)
    if (edit) await set(before)
    else await db().execute(sql`update chain_records set n = ${row.n} where door = 'D-01' and n = 900`)
  })

  it('a reading that is shown otherwise than it was recorded is named, though its chain is whole', async () => {
    const { log } = site.server.context
    const look = (facts: Facts) =>
      alteredChains(
        db() as never,
        'job-1',
        () => facts,
        holdsNatively,
        () => Promise.resolve(),
      )
    expect(await look(log.facts)).toEqual([])
    const reading = log.facts.reading['r1']
    if (!reading) throw new Error('no reading')
    const shown = applyChanges(log.facts, [put(log.facts, 'reading', { ...reading, value: 0.1 })], log.facts.rev)
    expect(await look(shown)).toEqual([
      { kind: 'chain', id: 'D-01', says: 'D-01: what is shown of reading r1 is not what was recorded.' },
    ])
    const door = log.facts.door['D-02']
    if (!door) throw new Error('no door')
    const renamed = applyChanges(log.facts, [put(log.facts, 'door', { ...door, name: 'Another' })], log.facts.rev)
    expect((await look(renamed)).map((f) => f.id)).toEqual(['D-02'])
  })

  it('what a change would cost signed doors is said before it is made, for every kind of change, and nothing of it is kept', async () => {
    await site.server.context.log.append('test', 'signed', (facts) => [
      put(facts, 'signature', {
        id: 's1',
        door: 'D-01',
        role: 'engineer',
        name: 'V',
        stroke: 'M0 0',
        head: '',
        basis: '',
        snags: [],
        at: 1,
      }),
    ])
    const preview = (name: string, payload: unknown) =>
      site.ask('POST', '/commands/preview', { id: v7(), name, payload, seen: site.facts.rev })
    const { rev } = site.facts
    const stopping = await preview('door.edit', {
      id: 'D-01',
      fields: { handle: false, hardware: { entryReader: 'reader-slim' } },
    })
    expect(stopping.body['losses']).toMatchObject([{ ref: 'D-01', marks: ['plan'] }])
    expect((await preview('door.edit', { id: 'D-01', fields: { name: 'Another' } })).body['losses']).toEqual([])
    // A door that nobody signed.
    const other = await preview('door.edit', {
      id: 'D-02',
      fields: { handle: false, hardware: { entryReader: 'reader-slim' } },
    })
    expect(other.body['losses']).toEqual([])
    expect((await preview('door.remove', { id: 'D-01' })).body['losses']).toMatchObject([{ ref: 'D-01', marks: [] }])
    expect((await preview('door.edit', { id: 'D-01', fields: { nothing: 1 } })).status).toBe(422)
    expect((await preview('door.edit', { id: 'D-77', fields: { name: 'x' } })).status).toBe(409)
    // Undo is a change like any other: it would take the door off its terminals again.
    await site.server.context.log.append('test', 'off its terminals', (facts) =>
      facts.door['D-01'] ? [put(facts, 'door', { ...facts.door['D-01'], placement: null })] : [],
    )
    await site.command('door.placeProposed', { id: 'D-01', controller: 'a1' })
    const { undo } = (await site.ask('GET', '/plan-edits')).body as { undo?: { rev: number } }
    const undone = await preview('plan.undo', { rev: undo?.rev })
    expect({ status: undone.status, losses: undone.body['losses'] }).toMatchObject({
      status: 200,
      losses: [{ ref: 'D-01', marks: ['plan'] }],
    })
    expect(site.facts.door['D-01']?.placement).not.toBeNull()
    expect(site.facts.rev).toBe(rev + 2)
  })
})
