import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { routesOf } from '../../../scripts/routesOf'
import { checksOf, formBodies, formCommands } from '../../../scripts/checksOf'

const file = fileURLToPath(new URL('../../../apps/web/src/state/checks.generated.js', import.meta.url))

it('the compiled checks of the forms are those of the commands as they are now: else run npx tsx scripts/checks.ts', () => {
  const there = readFileSync(file, 'utf8')
  for (const name of formCommands) expect(there).toContain(`export const ${name.replace('.', '_')}`)
  for (const name of formBodies) expect(there).toContain(`export const body_${name}`)
  expect(there === checksOf()).toBe(true)
})

it('the typed addresses are those of the pages as they are now: else run npx tsx scripts/routes.ts', () => {
  const routes = fileURLToPath(new URL('../../../apps/web/src/routes.generated.d.ts', import.meta.url))
  expect(readFileSync(routes, 'utf8') === routesOf()).toBe(true)
})
