import { createHash } from 'node:crypto'
import { crc32, deflateSync } from 'node:zlib'
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { v7 } from 'uuid'
import { Site, siteFile } from './site'

/** A JPEG as far as its size is told (ITU-T T.81: start of image, JFIF, start of frame), then bytes of one kind. */
const jpeg = (width: number, height: number, n: number) =>
  Buffer.concat([
    Buffer.from('ffd8ffe000104a46494600010100000100010000ffc0001108', 'hex'),
    Buffer.from([height >> 8, height & 255, width >> 8, width & 255]),
    Buffer.from('03012200021101031101', 'hex'),
    Buffer.alloc(2000, n),
  ])
const picture = (n: number) => jpeg(40, 30, n)
/** A real PNG of one colour. */
function png(grey: number): Buffer {
  const chunk = (kind: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(kind, 'latin1'), data])
    const out = Buffer.alloc(body.length + 8)
    out.writeUInt32BE(data.length, 0)
    body.copy(out, 4)
    out.writeUInt32BE(crc32(body), body.length + 4)
    return out
  }
  const head = Buffer.from([0, 0, 0, 4, 0, 0, 0, 3, 8, 0, 0, 0, 0])
  const rows = Buffer.concat([0, 1, 2].map(() => Buffer.from([0, grey, grey, grey, grey])))
  return Buffer.concat([
    Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(rows)),
    chunk('IEND', Buffer.alloc(0)),
  ])
}
const hash = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex')

describe('pictures kept with a door', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start({ rig: false })
    await site.plan(1)
  })
  afterAll(() => site.stop())
  let cookie = ''
  beforeAll(async () => {
    cookie =
      (await site.ask('POST', '/sign-in', { name: 'lead', password: 'long enough 1' }, '')).headers
        .get('set-cookie')
        ?.split(';')[0] ?? ''
  })
  const put = async (id: string, bytes: Buffer) => {
    const answer = await fetch(`${site.base}/photos/${id}`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/octet-stream' },
      body: new Uint8Array(bytes),
    })
    return { status: answer.status, body: (await answer.json()) as { says: string } }
  }
  const get = (id: string) => fetch(`${site.base}/photos/${id}`, { headers: { cookie } })
  const record = (id: string, bytes: Buffer) =>
    site.ask('POST', '/commands', {
      id: v7(),
      name: 'photo.add',
      payload: { id, door: 'D-01', cable: '', of: 'nameplate', width: 10, height: 10, sha256: hash(bytes) },
      seen: site.facts.rev,
    })

  it('are given back as they came, once their record names them, and stand in the door’s chain', async () => {
    const id = v7()
    expect(await put(id, picture(1))).toMatchObject({ status: 200 })
    expect((await get(id)).status).toBe(404)
    expect((await record(id, picture(1))).status).toBe(200)
    const back = await get(id)
    expect(back.headers.get('content-type')).toContain('image/jpeg')
    expect(Buffer.from(await back.arrayBuffer()).equals(picture(1))).toBe(true)
    expect(
      (await site.server.context.log.chain('D-01')).some(
        (c) => c.kind === 'photo' && (c.body as { sha256: string }).sha256 === hash(picture(1)),
      ),
    ).toBe(true)
  })
  it('a picture sent twice is kept once; another under the same id is refused; what is no picture is named', async () => {
    const id = v7()
    expect((await put(id, picture(2))).status).toBe(200)
    expect((await put(id, picture(2))).status).toBe(200)
    expect(await put(id, picture(3))).toMatchObject({
      status: 422,
      body: { says: expect.stringContaining('Another picture') as string },
    })
    expect(await put(v7(), Buffer.from('hello'))).toMatchObject({
      status: 422,
      body: { says: expect.stringContaining('no picture') as string },
    })
    expect((await put('../../etc', picture(1))).status).toBe(404)
  })
  it('one of more pixels than a photo has, or cut short before its size, is refused in words', async () => {
    for (const [bytes, why] of [
      [jpeg(16_000, 16_000, 1), /16000 by 16000 pixels/],
      [jpeg(13_000, 10, 1), /13000 by 10 pixels/],
      [jpeg(40, 30, 1).subarray(0, 22), /cut short/],
    ] as const) {
      const { status, body } = await put(v7(), bytes)
      expect(status).toBe(422)
      expect(body.says).toMatch(why)
    }
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
    expect(((await (await get(id)).json()) as { says: string }).says).toContain('waits on the phone')
  })
  it('stand in the printed record with who took them and the beginning of their hash; what is missing or no picture says why', async () => {
    const [a, b] = [v7(), v7()]
    await put(a, png(40))
    await record(a, png(40))
    await put(b, png(200))
    await record(b, png(200))
    // Its size is there, and nothing after it.
    const cut = png(120).subarray(0, 40)
    const c = v7()
    expect((await put(c, cut)).status).toBe(200)
    await record(c, cut)
    const pdf = await site.bytes('/doors/D-01/record.pdf')
    const document = await getDocument({ data: pdf, verbosity: 0 }).promise
    let text = ''
    let images = 0
    const figures: string[] = []
    interface Node {
      role?: string
      alt?: string
      children?: Node[]
    }
    const walk = (node: Node | null) => {
      if (node?.role === 'Figure') figures.push(node.alt ?? '')
      for (const child of node?.children ?? []) walk(child)
    }
    for (let n = 1; n <= document.numPages; n++) {
      const page = await document.getPage(n)
      text += (await page.getTextContent()).items.map((i) => ('str' in i ? i.str : '')).join(' ')
      images += (await page.getOperatorList()).fnArray.filter((f: number) => f === OPS.paintImageXObject).length
      walk((await page.getStructTree()) as Node | null)
    }
    await document.destroy()
    // With the JPEG of the first test.
    expect(images).toBe(3)
    expect(figures.filter((f) => f === 'Picture of the nameplate')).toHaveLength(3)
    for (const bytes of [png(40), png(200)]) expect(text.replaceAll(/\s+/g, '')).toContain(hash(bytes).slice(0, 16))
    const plain = text.replaceAll(/\s+/g, ' ')
    expect(plain).toContain('waits on the phone that took it')
    expect(plain).toContain('not the picture that was recorded')
    expect(plain).toContain('cannot be read as a picture')
  })
})
