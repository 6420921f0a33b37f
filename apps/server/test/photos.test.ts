import { createHash } from 'node:crypto'
import { v7 } from 'uuid'
import { Site, siteFile } from './site'

/** The least that begins like a JPEG. */
const picture = (n: number) => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(2000, n)])
const hash = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex')

describe('pictures kept with a door', () => {
  let site: Site
  beforeAll(async () => { site = await new Site(siteFile()).start({ rig: false }); await site.plan(1) })
  afterAll(() => site.stop())
  let cookie = ''
  beforeAll(async () => { cookie = (await site.ask('POST', '/sign-in', { name: 'lead', password: 'long enough 1' }, '')).headers.get('set-cookie')?.split(';')[0] ?? '' })
  const put = async (id: string, bytes: Buffer) => { const answer = await fetch(`${site.base}/photos/${id}`, { method: 'POST', headers: { cookie, 'content-type': 'application/octet-stream' }, body: new Uint8Array(bytes) }); return { status: answer.status, body: (await answer.json()) as { says: string } } }
  const get = (id: string) => fetch(`${site.base}/photos/${id}`, { headers: { cookie } })
  const record = (id: string, bytes: Buffer) => site.ask('POST', '/commands', { id: v7(), name: 'photo.add', payload: { id, door: 'D-01', cable: '', of: 'nameplate', width: 10, height: 10, sha256: hash(bytes) }, seen: site.facts.rev })

  it('are given back as they came, once their record names them, and stand in the door’s chain', async () => {
    const id = v7()
    expect(await put(id, picture(1))).toMatchObject({ status: 200 })
    expect((await get(id)).status).toBe(404)
    expect((await record(id, picture(1))).status).toBe(200)
    const back = await get(id)
    expect(back.headers.get('content-type')).toContain('image/jpeg')
    expect(Buffer.from(await back.arrayBuffer()).equals(picture(1))).toBe(true)
    expect(Object.values(site.facts.chain).some((c) => c.kind === 'photo' && (c.body as { sha256: string }).sha256 === hash(picture(1)))).toBe(true)
  })
  it('a picture sent twice is kept once; another under the same id is refused; what is no picture is named', async () => {
    const id = v7()
    expect((await put(id, picture(2))).status).toBe(200)
    expect((await put(id, picture(2))).status).toBe(200)
    expect(await put(id, picture(3))).toMatchObject({ status: 422, body: { says: expect.stringContaining('Another picture') as string } })
    expect(await put(v7(), Buffer.from('hello'))).toMatchObject({ status: 422, body: { says: expect.stringContaining('no picture') as string } })
    expect((await put('../../etc', picture(1))).status).toBe(404)
  })
  it('one that is not what was recorded is not shown', async () => {
    const id = v7()
    await put(id, picture(4))
    await record(id, picture(5))
    expect((await get(id)).status).toBe(409)
  })
  it('one that has not arrived says where it waits', async () => {
    const id = v7()
    await record(id, picture(6))
    expect((await (await get(id)).json() as { says: string }).says).toContain('waits on the phone')
  })
})
