import { v7 } from 'uuid'
import { jobOf } from '@rauta/core'
import { verifyChain } from '@rauta/core/chain'
import type { BatchResult, CommandRequest } from '@rauta/contracts'
import { waitedOf } from '../src/changes/links'
import { Site, siteFile } from './site'

/** Records that waited on phones: in batches, once, in order, from two phones at once, and from a file. */
describe('records that waited', () => {
  let site: Site
  let inka = ''
  beforeAll(async () => {
    site = await new Site(siteFile()).start({ rig: false })
    await site.plan(2)
    await site.ask('POST', '/accounts', { name: 'inka', password: 'long enough 2', role: 'engineer' })
    inka =
      (await site.ask('POST', '/sign-in', { name: 'inka', password: 'long enough 2' }, '')).headers
        .get('set-cookie')
        ?.split(';')[0] ?? ''
  })
  afterAll(() => site.stop())
  const tick = (what: string, done: boolean, seen: number, more: Partial<CommandRequest> = {}): CommandRequest => ({
    id: v7(),
    name: 'tick.set',
    payload: { door: 'D-01', cable: 'W1', what, done },
    seen,
    ...more,
  })
  const batch = async (records: CommandRequest[], cookie = inka) =>
    (await site.ask('POST', '/commands/batch', { records }, cookie)).body as { rev: number; results: BatchResult[] }

  it('arrive in order and once, however often the batch is sent; each has a revision of its own', async () => {
    const records = [
      tick('pulled', true, site.facts.rev),
      tick('tested', true, site.facts.rev),
      tick('tested', false, site.facts.rev),
    ]
    const first = await batch(records)
    expect(first.results.map((r) => r.ok && r.repeated)).toEqual([false, false, false])
    const revs = first.results.map((r) => (r.ok ? r.rev : 0))
    expect(revs).toEqual([...revs].sort((a, b) => a - b))
    expect(new Set(revs).size).toBe(3)
    expect(site.facts.tick['D-01/W1']).toMatchObject({ pulled: { by: 'inka' }, tested: null })
    const again = await batch(records)
    expect(again.results).toEqual(first.results.map((r) => ({ ...r, repeated: true })))
    expect(again.rev).toBe(first.rev)
  })
  it('one that is refused tells why and holds nothing up, and nothing of it stays', async () => {
    const before = site.facts.rev
    const { results } = await batch([
      tick('pulled', true, before, { payload: { door: 'D-99', cable: 'W1', what: 'pulled', done: true } }),
      tick('ended', true, before),
      { id: v7(), name: 'doors.vanish', payload: {}, seen: 0 },
    ])
    expect(results).toMatchObject([
      { ok: false, says: expect.stringContaining('There is no door D-99') as string },
      { ok: true },
      { ok: false, says: 'There is no command doors.vanish.' },
    ])
    expect(site.facts.rev).toBe(before + 1)
  })
  it('are never what is done live: a test, a load or a taking that waited is refused, alone and in a batch', async () => {
    const live = [
      { name: 'trial.start', payload: { door: 'D-01', test: 'told' } },
      { name: 'trial.answer', payload: { door: 'D-01', test: 'told', answer: 'skipped', says: 'late' } },
      { name: 'load.start', payload: { id: v7(), controller: 'a1' } },
      { name: 'claim.start', payload: { controller: 'a1' } },
    ]
    const before = site.facts.rev
    const late = expect.stringMatching(/^This is done live/) as string
    const { results } = await batch(live.map((l) => ({ id: v7(), seen: before, ...l })))
    expect(results).toMatchObject(live.map(() => ({ ok: false, says: late })))
    for (const l of live)
      expect(
        (await site.ask('POST', '/commands', { id: v7(), seen: before, waitedMs: 1, ...l }, inka)).body,
      ).toMatchObject({ says: late })
    expect(site.facts.rev).toBe(before)
  })
  it('were made when they were made, not when they arrived; an impossible wait is not believed', async () => {
    const hour = 3600_000
    const id = v7()
    await batch([
      {
        id: v7(),
        name: 'reading.add',
        payload: { id, door: 'D-01', cable: 'W1', kind: 'loop', value: 1 },
        seen: 0,
        waitedMs: 5 * hour,
      },
    ])
    const late = site.facts.reading[id]
    const entries = (await site.ask('GET', `/changes?after=${site.facts.rev - 1}`)).body as {
      entries: { at: number }[]
    }
    expect((entries.entries[0]?.at ?? 0) - (late?.at ?? 0)).toBe(5 * hour)
    const other = v7()
    await batch([
      {
        id: v7(),
        name: 'reading.add',
        payload: { id: other, door: 'D-01', cable: 'W1', kind: 'loop', value: 1 },
        seen: 0,
        waitedMs: 1e15,
      },
    ])
    expect((late?.at ?? 0) - (site.facts.reading[other]?.at ?? 0)).toBeLessThan(91 * 24 * hour)
  })
  it('are not older than what their phone had heard before; the chain says what it claims, and the paper too', async () => {
    const hour = 3600_000
    const id = v7()
    const seen = site.facts.rev
    const [at] = ((await site.ask('GET', `/changes?after=${seen - 1}`)).body as { entries: { at: number }[] }).entries
    await batch([
      {
        id: v7(),
        name: 'reading.add',
        payload: { id, door: 'D-01', cable: 'W1', kind: 'loop', value: 1 },
        seen,
        waitedMs: 5 * hour,
      },
    ])
    expect(site.facts.reading[id]?.at).toBe(at?.at)
    const chain = await site.server.context.log.chain('D-01')
    const record = chain.at(-1)
    expect(record?.body).toMatchObject({ id, waited: { claimedMs: 5 * hour } })
    expect(waitedOf(record as never)?.plausibleMs).toBe((record?.at ?? 0) - (at?.at ?? 0))
    expect(verifyChain(chain, { publicKey: jobOf(site.facts)?.publicKey ?? '' }).ok).toBe(true)
    expect(chain.filter((r) => waitedOf(r) === null).length).toBeGreaterThan(0)
  })
  it('two phones that ticked the same thing agree, and the first who did it did it', async () => {
    const seen = site.facts.rev
    await site.ask('POST', '/commands', tick('tested', true, seen))
    await batch([tick('tested', true, seen)])
    expect(site.facts.tick['D-01/W1']?.tested).toMatchObject({ by: 'lead' })
    expect(Object.values(site.facts.question)).toEqual([])
  })
  it('two phones that say the opposite leave an open question, and either answer can be chosen', async () => {
    const seen = site.facts.rev
    await site.ask('POST', '/commands', tick('pulled', false, seen))
    const { results } = await batch([tick('pulled', true, seen)])
    expect(results).toMatchObject([{ ok: true, questions: 1 }])
    const question = Object.values(site.facts.question)[0]
    expect(question).toMatchObject({
      kind: 'tick',
      record: 'D-01/W1',
      field: 'pulled',
      kept: null,
      offered: { by: 'inka' },
      by: 'inka',
    })
    expect(site.facts.tick['D-01/W1']?.pulled).toBeNull()
    await site.ask('POST', '/commands', {
      id: v7(),
      name: 'question.settle',
      payload: { id: question?.id, takeOffered: true },
      seen: site.facts.rev,
    })
    expect(site.facts.tick['D-01/W1']?.pulled).toMatchObject({ by: 'inka' })
    expect(Object.values(site.facts.question)).toEqual([])
  })
  it('one phone’s own later edits are no conflict with its earlier ones', async () => {
    const seen = site.facts.rev
    await batch([tick('tested', false, seen), tick('tested', true, seen), tick('tested', false, seen)])
    expect(Object.values(site.facts.question)).toEqual([])
    expect(site.facts.tick['D-01/W1']?.tested).toBeNull()
  })
  it('edits of one field made one after the other on one phone are no conflict either, but those from two phones are', async () => {
    const behaviour = (releaseS: number, phone: string, seen: number): CommandRequest => ({
      id: v7(),
      name: 'door.edit',
      payload: { id: 'D-02', fields: { behaviour: { ...site.facts.door['D-02']?.behaviour, releaseS } } },
      seen,
      phone,
    })
    const seen = site.facts.rev
    await batch([behaviour(6, 'phone-one', seen), behaviour(7, 'phone-one', seen)])
    expect(Object.values(site.facts.question)).toEqual([])
    expect(site.facts.door['D-02']?.behaviour.releaseS).toBe(7)
    await site.restart() // what was known about the phone is kept
    inka =
      (await site.ask('POST', '/sign-in', { name: 'inka', password: 'long enough 2' }, '')).headers
        .get('set-cookie')
        ?.split(';')[0] ?? ''
    const { results } = await batch([behaviour(8, 'phone-one', seen), behaviour(9, 'phone-two', seen)])
    expect(results).toMatchObject([
      { ok: true, questions: 0 },
      { ok: true, questions: 1 },
    ])
    expect(site.facts.door['D-02']?.behaviour.releaseS).toBe(8)
    await site.ask('POST', '/commands', {
      id: v7(),
      name: 'question.settle',
      payload: { id: Object.keys(site.facts.question)[0], takeOffered: false },
      seen: site.facts.rev,
    })
  })
  it('saved to a file, they are brought in by the lead as made by the one who made them, and once', async () => {
    const file = {
      format: 'rauta-waiting-1',
      job: site.facts.job['job']?.publicKey,
      by: 'inka',
      savedAt: new Date().toISOString(),
      records: [tick('tested', true, site.facts.rev)],
    }
    expect((await site.ask('POST', '/waiting', file, inka)).status).toBe(403)
    expect((await site.ask('POST', '/waiting', { ...file, job: 'another' })).body).toMatchObject({
      says: expect.stringContaining('another job') as string,
    })
    expect((await site.ask('POST', '/waiting', { ...file, by: 'nobody' })).body).toMatchObject({
      says: expect.stringContaining('no account called nobody') as string,
    })
    expect((await site.ask('POST', '/waiting', file)).body).toMatchObject({ results: [{ ok: true, repeated: false }] })
    expect(site.facts.tick['D-01/W1']?.tested).toMatchObject({ by: 'inka' })
    expect((await site.ask('POST', '/waiting', file)).body).toMatchObject({ results: [{ ok: true, repeated: true }] })
    const last = (
      (await site.ask('GET', `/changes?after=${site.facts.rev - 1}`)).body as {
        entries: { says: string; by: string }[]
      }
    ).entries[0]
    expect(last).toMatchObject({ by: 'inka', says: expect.stringContaining('brought in by lead') as string })
  })
  it('the changes say of which job they are, so that a phone does not mix two', async () => {
    expect((await site.ask('GET', '/changes?after=0')).body).toMatchObject({ job: site.facts.job['job']?.publicKey })
  })
})
