import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { checksOf, formCommands } from '../../../scripts/checksOf'

const file = fileURLToPath(new URL('../../../apps/web/src/state/checks.generated.js', import.meta.url))

it('the compiled checks of the forms are those of the commands as they are now: else run npx tsx scripts/checks.ts', () => {
  const there = readFileSync(file, 'utf8')
  for (const name of formCommands) expect(there).toContain(`export const ${name.replace('.', '_')}`)
  expect(there === checksOf()).toBe(true)
})
