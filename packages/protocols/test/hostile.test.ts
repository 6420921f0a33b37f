import fc from 'fast-check'
import { hello, largestBody, MalformedError, parseXml, readDiscovery, scopeValue } from '../src'

const repeat = (text: string, bytes: number) => text.repeat(Math.floor(bytes / text.length))
const most = largestBody - 200

/** Each is as large as may come, and made to be dear to read. */
const dear: [string, string][] = [
  ['elements in one another', repeat('<a>', most)],
  ['elements in one another, with prefixes', `<r xmlns:p="urn:p">${repeat('<p:a>', most)}`],
  ['closed elements in one another', repeat('<a>', most / 2) + repeat('</a>', most / 2)],
  ['elements side by side', `<r>${repeat('<a/>', most)}</r>`],
  ['elements with a name space each', `<r>${repeat('<p:a xmlns:p="urn:q"/>', most)}</r>`],
  ['attributes in one element', `<r ${Array.from({ length: 60_000 }, (_, i) => `a${i}="1"`).join(' ')}/>`],
  [
    'name spaces in one element',
    `<r ${Array.from({ length: 30_000 }, (_, i) => `xmlns:a${i}="urn:${i}"`).join(' ')}/>`,
  ],
  ['one name', `<${repeat('a', most)}/>`],
  ['one attribute', `<r a="${repeat('x', most)}"/>`],
  ['one text', `<r>${repeat('x', most)}</r>`],
  ['text in pieces', `<r>${repeat('x<![CDATA[y]]>', most)}</r>`],
  ['entities', `<r>${repeat('&amp;', most)}</r>`],
  ['comments', `<r>${repeat('<!-- -->', most)}</r>`],
  ['instructions', `<r>${repeat('<?a b?>', most)}</r>`],
  ['no end of a tag', `<r ${repeat('a ', most)}`],
  ['brackets', repeat('<', most)],
  ['a document type', `<!DOCTYPE r [${repeat('<!ENTITY a "b">', most)}]><r/>`],
]

describe('bytes from anybody', () => {
  it.each(dear)('%s are read or refused without holding anybody up', (_what, text) => {
    const began = performance.now()
    try {
      parseXml(text)
    } catch (error) {
      expect(error).toBeInstanceOf(MalformedError)
    }
    // Alone each takes less than 200 ms; a busy machine needs a few times as long, and what is quadratic a hundred times.
    expect(performance.now() - began).toBeLessThan(2500)
  })
  it('a message of 64 levels is read, one of 65 is not', () => {
    const deep = (n: number) => '<a>'.repeat(n) + '</a>'.repeat(n)
    expect(parseXml(deep(64)).localName).toBe('a')
    expect(() => parseXml(deep(65))).toThrow('too deep')
  })
  it('64 attributes are read, 65 are not', () => {
    const many = (n: number) => `<a ${Array.from({ length: n }, (_, i) => `x${i}="1"`).join(' ')}/>`
    expect(parseXml(many(64)).getAttribute('x63')).toBe('1')
    expect(() => parseXml(many(65))).toThrow('too many attributes')
  })
  it('a scope with a broken escape is taken as it stands', () => {
    for (const broken of ['%', '%E0%A4%A', '%ZZ', 'Riser%201'])
      expect(typeof scopeValue([`onvif://www.onvif.org/name/${broken}`], 'name')).toBe('string')
    expect(scopeValue(['onvif://www.onvif.org/name/Riser%201'], 'name')).toBe('Riser 1')
    expect(scopeValue(['onvif://www.onvif.org/name/%E0%A4%A'], 'name')).toBe('%E0%A4%A')
  })
  it('a datagram is read or refused, whatever of it is altered', () => {
    const good = hello('urn:uuid:1', {
      endpoint: 'urn:uuid:2',
      types: 'tds:Device',
      scopes: ['onvif://www.onvif.org/name/A%201'],
      xaddrs: ['http://127.0.0.1/onvif/device_service'],
    })
    fc.assert(
      fc.property(fc.nat(good.length - 1), fc.string({ maxLength: 12 }), fc.nat(6), (at, put, cut) => {
        const text = good.slice(0, at) + put + good.slice(at + cut)
        try {
          const message = readDiscovery(text)
          if (message.kind === 'hello') scopeValue(message.announcement.scopes, 'name')
        } catch (error) {
          expect(error).toBeInstanceOf(MalformedError)
        }
      }),
      { numRuns: 300 },
    )
  })
})
