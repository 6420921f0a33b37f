import { Ajv } from 'ajv'
import standalone from 'ajv/dist/standalone/index.js'
import formats from 'ajv-formats'
import { bodies, commands } from '../packages/contracts/src'

/** Commands that a form fills in field by field. */
export const formCommands = [
  'controller.put',
  'unit.put',
  'unitFeed.put',
  'job.edit',
  'area.put',
  'door.add',
  'door.edit',
  'doors.edit',
  'sheet.put',
  'person.put',
  'group.put',
  'rule.put',
  'reaction.put',
  'doorSet.put',
  'schedule.put',
  'specialDay.put',
  'cardFormat.put',
] as const
/** Bodies of requests that a form fills in. */
export const formBodies = ['account', 'newPassword', 'ownPassword', 'firstUse', 'devicePassword'] as const

/** The compiled checks as one module, each under its command's or its body's name. */
export function checksOf(): string {
  const ajv = new Ajv({ allErrors: true, strict: false, code: { source: true, esm: true, lines: true } })
  formats.default(ajv)
  const names = Object.fromEntries([
    ...formCommands.map((name) => [name.replace('.', '_'), name]),
    ...formBodies.map((name) => [`body_${name}`, `body_${name}`]),
  ]) as Record<string, string>
  for (const name of formBodies) ajv.addSchema(bodies[name], `body_${name}`)
  for (const name of formCommands) {
    const command = commands[name]
    if (!command) throw new Error(`There is no command ${name}.`)
    ajv.addSchema(command.schema, name)
  }
  const code = (standalone as unknown as { default: typeof standalone }).default ?? standalone
  const text = (code as (ajv: Ajv, refs: Record<string, string>) => string)(ajv, names)
  return `// Made by scripts/checks.ts from the commands' schemas: change those, then run it again.\n/* eslint-disable */\n${asModule(text)}`
}

/** The compiler leaves calls of `require` in the code: each becomes an import that works however modules are joined. */
function asModule(text: string): string {
  const files = [...new Set([...text.matchAll(/require\("([^"]+)"\)/g)].map((m) => m[1] ?? ''))]
  const head = files.map((file, i) => `import * as module${i} from '${file}'`)
  const exportsOf = "const exportsOf = (m) => (m.default && typeof m.default === 'object' ? m.default : m)"
  return text
    .replace('"use strict";', [...head, exportsOf].join('\n') + '\n')
    .replace(/require\("([^"]+)"\)/g, (_all, file: string) => `exportsOf(module${files.indexOf(file)})`)
}
