import fc from 'fast-check'
import { canonicalJson, digestOf } from '../src'

describe('canonical JSON, RFC 8785', () => {
  // Section 3.2.2 and 3.2.3 of RFC 8785: its own example, input and output.
  it('gives the standard’s own example', () => {
    const input = JSON.parse(
      '{"numbers":[333333333.33333329,1E30,4.50,2e-3,0.000000000000000000000000001],"string":"\\u20ac$\\u000F\\u000aA\'\\u0042\\u0022\\u005c\\\\\\"\\/","literals":[null,true,false]}',
    ) as unknown
    expect(canonicalJson(input)).toBe(
      '{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27],"string":"€$\\u000f\\nA\'B\\"\\\\\\\\\\"/"}',
    )
  })

  // Section 3.2.3: property names sorted by UTF-16 code units.
  it('sorts property names as the standard’s example does', () => {
    const input = {
      '\u20ac': 'Euro Sign',
      '\r': 'Carriage Return',
      '\ufb33': 'Hebrew Letter Dalet With Dagesh',
      '1': 'One',
      '\ud83d\ude00': 'Emoji: Grinning Face',
      '\u0080': 'Control',
      '\u00f6': 'Latin Small Letter O With Diaeresis',
    }
    const order = JSON.parse(
      `[${canonicalJson(input)
        .slice(1, -1)
        .split(/,(?=")/)
        .map((p) => p.slice(p.indexOf(':', p.indexOf('"', 1)) + 1))
        .join(',')}]`,
    ) as string[]
    expect(order).toEqual([
      'Carriage Return',
      'One',
      'Control',
      'Latin Small Letter O With Diaeresis',
      'Euro Sign',
      'Emoji: Grinning Face',
      'Hebrew Letter Dalet With Dagesh',
    ])
  })

  it('refuses what has no JSON form', () => {
    expect(() => canonicalJson(NaN)).toThrow()
    expect(() => canonicalJson(undefined)).toThrow()
  })

  it('gives one digest whatever the order of the fields', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (object) => {
        const turned = Object.fromEntries(Object.entries(object).reverse())
        expect(digestOf(turned)).toBe(digestOf(object))
      }),
    )
  })

  // FIPS 180-4: SHA-256 of the two characters {} (value from memory).
  it('is SHA-256 of that form', () => {
    expect(digestOf({})).toBe('44136fa355b3678a1146ad16f7e8649e94fb4fc21fe77e8310c060f61caaff8a')
  })
})
