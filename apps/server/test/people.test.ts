import {
  arrivalsOf,
  bitsText,
  cardBits,
  cardData,
  enrolmentPlaces,
  heldConfig,
  marksOf,
  peopleNotArrived,
  readIn,
  workedConfigs,
  type Person,
} from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import { doorCodec, credentialCodec } from '@rauta/protocols'
import { Site, serial, siteFile } from './site'

/** People, their cards and their days: told to a device, obeyed by it, read back, and proved at a door. */
describe('people over the wire', () => {
  let site: Site
  const door = 'D-01'
  const card = { facility: 61, number: 4417 }
  const present = (hex: string, at = door) => site.hands([{ do: 'card', door: at, reader: 'R1', card: hex }])
  const person = (): Person => {
    const found = site.facts.person['p']
    if (!found) throw new Error('nobody')
    return found
  }
  const change = async (over: Partial<Person>) => {
    const { past: _past, ...rest } = person()
    await site.command('person.put', { ...rest, ...over })
    await site.load()
  }
  /** The answer of the door to a card: as the event that came of it. */
  const answer = async (hex: string) => {
    const before = new Set(Object.keys(site.facts.event))
    await present(hex)
    return await site.until('the card to be answered', (f) =>
      Object.values(f.event).find((e) => !before.has(e.id) && e.card === hex && e.kind !== 'gap'),
    )
  }
  const configs = () => workedConfigs(site.facts, shippedSheets)

  beforeAll(async () => {
    site = await new Site(
      siteFile((s) => {
        Object.assign(s.cards, { expired: '582715', longer: '582716' })
      }),
    ).start()
    await site.plan(2)
    await site.take()
    await site.load()
  })
  afterAll(() => site.stop())

  it('whose time has not begun or has ended is refused for that reason, and in between passes', async () => {
    const hex = cardData(card)
    expect(await answer(hex)).toMatchObject({ kind: 'granted' })
    const day = (days: number) => new Date(site.clock.now() + days * 86_400_000).toISOString().slice(0, 10)
    await change({ validFrom: day(3) })
    expect(await answer(hex)).toMatchObject({ kind: 'refused', state: 'notYet' })
    await change({ validFrom: day(-9), validUntil: day(-3) })
    expect(await answer(hex)).toMatchObject({ kind: 'refused', state: 'expired' })
    await change({ validFrom: day(-9), validUntil: day(3) })
    expect(await answer(hex)).toMatchObject({ kind: 'granted' })
  })

  it('lost and withdrawn are told apart by the device, and read back as what they are', async () => {
    await site.command('card.state', { person: 'p', card: 'c', state: 'withdrawn' })
    await site.load()
    expect(heldConfig(site.facts, 'a1')['credential/c']).toMatchObject({ enabled: false, reason: 'withdrawn' })
    expect(await answer(cardData(card))).toMatchObject({ kind: 'refused', state: 'withdrawn' })
    await site.command('card.state', { person: 'p', card: 'c', state: 'lost' })
    await site.load()
    expect(heldConfig(site.facts, 'a1')['credential/c']).not.toHaveProperty('reason')
    expect(await answer(cardData(card))).toMatchObject({ kind: 'refused', state: 'lost' })
    await site.command('card.state', { person: 'p', card: 'c', state: 'in use' })
    await site.load()
  })

  it('an expired card and a longer release are proved at the door, where somebody carries such cards', async () => {
    const kit = site.facts.testCards['kit']
    await site.command('testCards.put', {
      ...kit,
      expired: { facility: 88, number: 10005 },
      longer: { facility: 88, number: 10006 },
    })
    const { behaviour } = site.facts.door[door] ?? {}
    await site.command('door.edit', { id: door, fields: { behaviour: { ...behaviour, longReleaseS: 12 } } })
    await site.load()
    const show = (which: string) => [{ do: 'card' as const, door, reader: 'R1', card: which }]
    expect(await site.prove(door, 'expired-card', show('expired'))).toMatchObject({ verdict: 'passed' })
    expect(await site.prove(door, 'release-time', show('good'))).toMatchObject({ verdict: 'passed' })
    expect(await site.prove(door, 'longer-release', show('longer'), 40_000)).toMatchObject({ verdict: 'passed' })
    // Another time makes stale what it proved, and nothing else.
    await site.command('door.edit', {
      id: door,
      fields: { behaviour: { ...site.facts.door[door]?.behaviour, longReleaseS: 20 } },
    })
    const found = site.facts.door[door]
    const state = (test: string) =>
      Object.values(site.facts.proof).filter((p) => p.door === door && p.test === test).length
    expect(state('longer-release')).toBe(1)
    expect(found && marksOf(site.facts, found, shippedSheets).load.sign).toBe('stale')
    await site.load()
  })

  it('a card that was never read before is read in at a chosen reader, given, loaded, and opens', async () => {
    await site.command('part.enrols', { door, part: 'R1', may: true })
    const [place] = enrolmentPlaces(site.facts, shippedSheets)
    if (!place) throw new Error('no reader')
    const fresh = { facility: 61, number: 5005 }
    const since = Object.values(site.facts.event).reduce((most, e) => Math.max(most, e.received), 0)
    await answer(cardData(fresh))
    const [read] = readIn(site.facts, place, since)
    expect(read?.card).toEqual(fresh)
    await site.command('card.give', { person: 'p', card: { id: 'c5', ...fresh } })
    expect(peopleNotArrived(site.facts, configs()).get('p')).toEqual(['a1'])
    await site.load()
    expect(peopleNotArrived(site.facts, configs()).get('p')).toBeUndefined()
    expect(await answer(cardData(fresh))).toMatchObject({ kind: 'granted' })
  })

  it('a card of 34 bits at a reader set to 26 comes as bits; the reader is set to it, and the card is itself', async () => {
    const long = { format: 'wiegand34', facility: 61, number: 6006 }
    const since = Object.values(site.facts.event).reduce((most, e) => Math.max(most, e.received), 0)
    const place = { door: site.facts.door[door] as NonNullable<typeof site.facts.door.x>, part: 'R1' }
    await present(bitsText(cardBits(long)))
    const read = await site.until('what came', () => readIn(site.facts, place, since)[0])
    expect(read).toMatchObject({ card: null, choices: [{ card: long, format: '34 bits' }] })
    await site.command('part.format', { door, part: 'R1', format: 'wiegand34' })
    await site.load()
    await present(bitsText(cardBits(long)))
    await site.until('the card', () => {
      const [again] = readIn(site.facts, { ...place, door: site.facts.door[door] ?? place.door }, since)
      return again?.card?.number === 6006
    })
    await site.command('part.format', { door, part: 'R1', format: 'wiegand26' })
    await site.load()
  })

  it('a right that was taken away on the device past Rauta is named with person and controller', async () => {
    const unit = site.unit(serial)
    const held = unit.memory.entities.CredentialData['c']
    if (!held) throw new Error('nothing held')
    unit.memory.entities.CredentialData['c'] = { ...held, enabled: false }
    unit.emit('Configuration/Credential/Changed', { CredentialToken: 'c' }, {})
    await site.until('it to be noticed', () => peopleNotArrived(site.facts, configs()).get('p')?.includes('a1'), 40_000)
    const codes = arrivalsOf(site.facts, person(), shippedSheets, configs(), Date.now()).map((a) => a.code)
    expect(codes).toContain('changed')
    await site.load()
    expect(peopleNotArrived(site.facts, configs()).size).toBe(0)
  })

  it('validity and longer times cross the wire as the specification has them', () => {
    const unit = site.unit(serial)
    expect(unit.memory.entities.CredentialData['rauta-longer']).toMatchObject({ extendedGrantTime: true })
    expect(unit.memory.entities.CredentialData['rauta-expired']).toMatchObject({ validTo: '2000-01-01T00:00:00Z' })
    expect(unit.memory.entities.Door[door]).toMatchObject({ extendedReleaseS: 20 })
    expect([doorCodec.list, credentialCodec.list]).toEqual(['GetDoorList', 'GetCredentialList'])
  })
})

describe('people that a device holds already', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(
      siteFile((s) => {
        const [device] = s.devices
        if (device) device.holds = { doors: 1, people: 30 }
      }),
    ).start()
    await site.plan(1)
    await site.find()
    await site.command('claim.start', { controller: 'a1' })
    await site.until(
      'somebody to agree',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'holds')?.state === 'waits',
    )
  })
  afterAll(() => site.stop())
  const read = () => site.ask('POST', '/controllers/a1/people-list')
  const held = () => site.unit().memory.entities.CredentialData
  const take = (id: unknown) => site.ask('POST', `/people-list/${String(id)}/take`, {})

  it('are read before it is erased, looked through like a list, and taken into the job; nothing on the device is touched', async () => {
    Object.assign(held(), {
      x1: {
        token: 'x1',
        holder: '77 Siru Lehtola',
        format: 'WIEGAND26',
        value: '3D0101',
        profiles: [{ token: 'old' }, { token: 'old', validTo: '2027-01-31T22:00:00Z' }],
        enabled: true,
        validTo: '2027-06-30T21:00:00Z',
        extendedGrantTime: true,
      },
      x2: {
        token: 'x2',
        holder: '77 Siru Lehtola',
        format: 'WIEGAND26',
        value: '3D0102',
        profiles: [],
        enabled: false,
      },
      x3: { token: 'x3', holder: 'Somebody Else', format: 'WIEGAND26', value: '3D1141', profiles: [], enabled: true },
      x4: { token: 'x4', holder: 'Strange One', format: 'NOBODY-KNOWS', value: 'FF', profiles: [], enabled: true },
    })
    site.unit().memory.entities.AccessProfile['old'] = { token: 'old', name: 'Old; staff', policies: [] }
    const before = JSON.stringify(held())
    const { status, body } = await read()
    expect(status).toBe(200)
    // Of 30 and three others one card is somebody's of the job already.
    expect(body).toMatchObject({ file: 'People on A1', counts: { new: 32, changed: 0, same: 0, bad: 1 } })
    expect(JSON.stringify(body['rows'])).toContain('card 61 04417 is Somebody’s')
    expect((await take(body['id'])).status).toBe(200)
    const all = Object.values(site.facts.person)
    expect(all.find((p) => p.number === '77')).toMatchObject({
      name: 'Siru Lehtola',
      cards: [{ facility: 61, number: 257, state: 'in use' }],
      longer: true,
      validUntil: '2027-07-01T00:00',
      remark: 'In Old staff until 2027-02-01 00:00 on A1. Card 61 00258 is not in use on A1',
    })
    expect(all.find((p) => p.name === 'Strange One')).toMatchObject({
      cards: [],
      remark: expect.stringContaining('no format reads') as string,
    })
    expect(Object.values(site.facts.group).map((g) => g.name)).toContain('Old staff')
    expect(JSON.stringify(held())).toBe(before)
    expect((await read()).body).toMatchObject({ counts: { new: 0, changed: 0, same: 32, bad: 1 } })
  })
  it('after it is erased and loaded, what it holds is held against the job; a stranger on it is told as new', async () => {
    await site.command('claim.agreeErase', { controller: 'a1' })
    await site.until('the firmware', (f) => f.claim['a1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits')
    expect((await read()).status).toBe(502)
    await site.command('firmware.accept', { controller: 'a1' })
    await site.until('it in service', (f) => f.reach['a1']?.owned)
    await site.load()
    expect((await read()).body).toMatchObject({ counts: { new: 0, changed: 0, same: 1, bad: 0 } })
    Object.assign(held(), {
      y: { token: 'y', holder: 'Stranger', format: 'WIEGAND26', value: '3D0909', profiles: [], enabled: true },
    })
    site.unit().emit('Configuration/Credential/Changed', { CredentialToken: 'y' }, {})
    await site.until('it to be noticed', () => heldConfig(site.facts, 'a1')['credential/y'], 40_000)
    expect((await read()).body).toMatchObject({ counts: { new: 1, same: 1, bad: 0 } })
  })
  it('is refused to who is not signed in, and of what is no controller', async () => {
    expect((await site.ask('POST', '/controllers/a1/people-list', undefined, '')).status).toBe(401)
    expect((await site.ask('POST', '/controllers/none/people-list')).status).toBe(502)
  })
})

describe('a list of people over HTTP', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start({ rig: false })
    await site.plan(1)
  })
  afterAll(() => site.stop())
  const bring = (text: string, file = 'people.csv') =>
    site.raw(`/people-list?file=${encodeURIComponent(file)}`, Buffer.from(text))
  const take = (id: unknown, body: object = {}) => site.ask('POST', `/people-list/${String(id)}/take`, body)

  it('is looked through, changed in its columns, taken over as one change, and taken back as one', async () => {
    const text = 'Who,Number,Card\nAino Laine,20,61 7000\nBad One,21,61 4417\n'
    const brought = await bring(text)
    expect(brought).toMatchObject({ status: 200, body: { counts: { new: 0, bad: 2 }, groups: [], areas: [] } })
    const view = await site.ask('POST', `/people-list/${String(brought.body['id'])}/columns`, {
      columns: { 0: 'name' },
    })
    expect(view.body).toMatchObject({ counts: { new: 1, bad: 1, changed: 0, same: 0 } })
    expect(JSON.stringify(view.body['rows'])).toContain('is Somebody’s')
    const before = site.facts.person
    expect((await take(brought.body['id'])).body).toMatchObject({ says: '1 person taken over.' })
    expect(Object.values(site.facts.person).find((p) => p.number === '20')).toMatchObject({ name: 'Aino Laine' })
    expect(site.facts.columns['people']?.meanings).toMatchObject({ who: 'name' })
    // The title that was said once is known from then on.
    expect((await bring('Who,Number\nAnother,22\n')).body).toMatchObject({ counts: { new: 1, bad: 0 } })
    await site.command('plan.undo', { rev: site.facts.rev })
    expect(site.facts.person).toEqual(before)
    expect((await take(brought.body['id'])).status).toBe(404)
  })
  it('goes out as CSV and workbook and comes back the same; an empty one can be taken', async () => {
    for (const [file, path] of [
      ['people.csv', '/people-list.csv'],
      ['people.xlsx', '/people-list.xlsx'],
    ] as const) {
      const back = await site.raw(`/people-list?file=${file}`, await site.bytes(path))
      expect(back.body).toMatchObject({ counts: { new: 0, changed: 0, same: 1, bad: 0 } })
      expect((await take(back.body['id'])).body).toMatchObject({
        says: 'Nothing to take over: the job is as the file says.',
      })
    }
    const empty = await site.raw('/people-list?file=t.xlsx', await site.bytes('/people-list.xlsx?empty=1'))
    expect(empty.body).toMatchObject({ headerRow: 1, counts: { new: 0, changed: 0, same: 0, bad: 0 } })
  })
  it('is nobody’s who may not change the job, and what is no list says so', async () => {
    await site.ask('POST', '/accounts', { name: 'eyes', password: 'long enough 2', role: 'viewer' })
    const signedIn = await fetch(`${site.base}/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'eyes', password: 'long enough 2' }),
    })
    const cookie = signedIn.headers.get('set-cookie')?.split(';')[0] ?? ''
    expect(cookie).not.toBe('')
    for (const path of ['/people-list.csv', '/people-list.xlsx'])
      expect((await site.ask('GET', path, undefined, cookie)).status).toBe(403)
    expect((await site.ask('GET', '/people-list.csv', undefined, '')).status).toBe(401)
    expect((await bring('%PDF-1.4', 'people.pdf')).status).toBe(422)
    // A door schedule’s file is not taken over as people.
    const doors = await site.raw('/door-schedule?file=d.csv', Buffer.from('Door,Name,From,To\nX-1,X,O,I\n'))
    expect((await take(doors.body['id'])).status).toBe(404)
  })
})
