import { Ajv } from 'ajv'
import formats from 'ajv-formats'
import { commands, complaintWords, patternWords } from '../src'

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
})
