import { el, elements, parseXml } from '@rauta/protocols'
import { pages } from '../src/onvif/entity'
import type { OnvifSession } from '../src/onvif/session'

/** A device whose n-th page holds so many records and names the next. */
function turning(page: (n: number) => { records: number; next: string }) {
  const asked: string[] = []
  const session = {
    call: (_service: string, body: { xml: string }) => {
      asked.push(body.xml)
      const { records, next } = page(asked.length)
      const list = el(
        'tdc:GetDoorListResponse',
        next ? el('tdc:NextStartReference', next) : null,
        Array.from({ length: records }, () => el('tdc:Door', 'x')),
      )
      return Promise.resolve(
        parseXml(list.xml.replace('<tdc:GetDoorListResponse', '<tdc:GetDoorListResponse xmlns:tdc="urn:x"')),
      )
    },
  } as unknown as OnvifSession
  const read = () => pages(session, { service: 'tdc', list: 'GetDoorList' }, (body) => elements(body, 'Door').length)
  return { asked, read }
}

describe('a list that a device gives page by page', () => {
  it('is read to its end, each page asked for by the reference of the one before', async () => {
    const { asked, read } = turning((n) => ({ records: 3, next: n < 4 ? `p${n}` : '' }))
    await read()
    expect(asked).toHaveLength(4)
    expect(asked[0]).not.toContain('StartReference')
    expect(asked[3]).toContain('p3')
  })
  it.each([
    ['that names the page it came from', () => ({ records: 3, next: 'p' }), 2],
    ['that goes in a circle', (n: number) => ({ records: 3, next: `p${n % 3}` }), 4],
    ['that names another page and holds nothing', (n: number) => ({ records: 0, next: `p${n}` }), 1],
    ['of more records than any device has', (n: number) => ({ records: 900, next: `p${n}` }), 112],
  ] as const)('one %s is given up after so many questions', async (_what, page, most) => {
    const { asked, read } = turning(page)
    await expect(read()).rejects.toMatchObject({ code: 'endless' })
    expect(asked).toHaveLength(most)
  })
})
