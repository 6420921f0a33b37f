/** Values made to do harm, by the kind of place that they are put in. */
const texts = [
  '',
  ' ',
  'constructor',
  '__proto__',
  'toString',
  'hasOwnProperty',
  '\u0000',
  'a\u0000b',
  '\ud83d',
  'x\udc00',
  '../../etc/passwd',
  '<script>alert(1)</script>',
  "'; drop table records; --",
  '=1+1',
  '\u202e\u200b',
  'Я-01',
  '扉の１',
  'x'.repeat(5000),
  '999999999999999999999999',
  '2027-13-45',
  '99:99',
  '255.255.255.255',
  '256.1.1.1',
  '0x7f000001',
]
const numbers = [0, -0, -1, 1e-9, 0.1, 1e9, 2 ** 31, 2 ** 53, 99999999999, 1e300, -1e300]
const others = [null, true, false, [], {}, [[]], [null], { constructor: 1 }, JSON.parse('{"__proto__": {"a": 1}}')]
export const hostileValues: readonly unknown[] = [...texts, ...numbers, ...others]

interface Schema {
  type?: string | readonly string[]
  properties?: Record<string, Schema>
  required?: readonly string[]
  items?: Schema
  enum?: readonly unknown[]
  const?: unknown
  anyOf?: readonly Schema[]
  oneOf?: readonly Schema[]
  minimum?: number
  maximum?: number
  minItems?: number
  pattern?: string
  additionalProperties?: boolean | Schema
}
export type Random = () => number
export const seeded = (seed: number): Random => {
  let state = seed
  return () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648
}
const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)] as T

/**
 * A value that is nearly as a schema wants it: most of it fits, and here and there stands something hostile.
 * @param ids of records that there are: places for texts get one of them now and then
 */
export function nearly(schema: Schema, random: Random, ids: readonly string[], harm = 0.12, depth = 0): unknown {
  if (random() < harm) return pick(random, hostileValues)
  if (schema.const !== undefined) return schema.const
  if (schema.enum) return pick(random, schema.enum)
  const choice = schema.anyOf ?? schema.oneOf
  if (choice) return nearly(pick(random, choice), random, ids, harm, depth)
  const type = Array.isArray(schema.type) ? pick(random, schema.type as string[]) : schema.type
  switch (type) {
    case 'object': {
      const out: Record<string, unknown> = {}
      for (const [key, inner] of Object.entries(schema.properties ?? {}))
        if (schema.required?.includes(key) || random() < 0.5) out[key] = nearly(inner, random, ids, harm, depth + 1)
      if (random() < harm / 2) out[pick(random, ['constructor', 'extra', 'toString', ''])] = pick(random, hostileValues)
      if (typeof schema.additionalProperties === 'object' && depth < 6)
        out[pick(random, ids)] = nearly(schema.additionalProperties, random, ids, harm, depth + 1)
      return out
    }
    case 'array': {
      const count = Math.max(schema.minItems ?? 0, Math.floor(random() * 4))
      return Array.from({ length: count }, () => nearly(schema.items ?? {}, random, ids, harm, depth + 1))
    }
    case 'integer':
      return Math.floor(
        (schema.minimum ?? 0) + random() * Math.min(200, (schema.maximum ?? 200) - (schema.minimum ?? 0)),
      )
    case 'number':
      return (schema.minimum ?? 0) + random() * Math.min(200, (schema.maximum ?? 200) - (schema.minimum ?? 0))
    case 'boolean':
      return random() < 0.5
    case 'null':
      return null
    default:
      return random() < 0.6 ? pick(random, ids) : pick(random, ['Door 1', 'A', '10.7.1.30', '2027-03-01', '08:00'])
  }
}
