import { Ajv } from 'ajv'
import formats from 'ajv-formats'
import { commands, complaintField, complaintSays, complaintWords, patternWords } from '../src'
import { object } from '../src/commands/command'

/** Every pattern that stands anywhere in a schema. */
function patternsIn(schema: unknown): string[] {
  if (typeof schema !== 'object' || schema === null) return []
  return Object.entries(schema).flatMap(([key, value]) => [
    ...(key === 'pattern' && typeof value === 'string' ? [value] : []),
    ...patternsIn(value),
  ])
}

describe('what a schema has against a value is said in words', () => {
  it('every pattern of every command has words of its own', () => {
    const patterns = new Set(Object.values(commands).flatMap((c) => patternsIn(c.schema)))
    expect(patterns.size).toBeGreaterThan(8)
    expect([...patterns].filter((p) => !Object.hasOwn(patternWords, p))).toEqual([])
  })
  it('no complaint of any command, for any wrong payload, speaks as a schema does', () => {
    const ajv = new Ajv({ allErrors: true, strict: false })
    formats.default(ajv)
    const wrong = [null, 7, 'x', [], {}, { more: 1 }, { id: '', fields: {} }, { id: '!', fields: { ref: '?' } }]
    for (const command of Object.values(commands)) {
      const check = ajv.compile(command.schema)
      for (const payload of wrong)
        if (!check(payload))
          for (const error of check.errors ?? [])
            expect([command.name, complaintWords(error)]).toEqual([
              command.name,
              expect.not.stringMatching(/must NOT|must match pattern|undefined|must be equal|must pass|instancePath/),
            ])
    }
  })
  it.each([
    [{}, 'name', 'name is missing.'],
    [{ name: 'a', more: 1 }, 'more', 'more is not known here.'],
    [{ name: 'a', in: { port: 0 } }, 'in.port', 'in.port must be 1 or more.'],
    [{ name: 'a', in: {} }, 'in.port', 'in.port is missing.'],
    [{ name: 'a', list: [{}, { x: 1 }] }, 'list.1.x', 'list.1.x is not known here.'],
    ['text', '', 'This must be an object in { }.'],
    [{ name: '' }, 'name', 'name must not be blank.'],
    [{ name: 'abcdef' }, 'name', 'name is too long: 5 letters at most.'],
  ])('%j is wrong at %j: %s', (value, field, says) => {
    const inner = object({ port: { type: 'integer', minimum: 1 } })
    const schema = object(
      {
        name: { type: 'string', minLength: 1, maxLength: 5 },
        in: inner,
        list: { type: 'array', items: { type: 'object', additionalProperties: false } },
      },
      ['in', 'list'],
    )
    const check = new Ajv().compile(schema)
    expect(check(value)).toBe(false)
    const error = check.errors?.[0]
    if (!error) throw new Error('no error')
    expect([complaintField(error), complaintSays(error)]).toEqual([field, says])
  })
})
