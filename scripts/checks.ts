/** Writes the shape checks of the commands that forms send, compiled from the commands' own schemas: one truth for form and server, without an interpreter of schemas on the phone. */
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { checksOf } from './checksOf'

const file = join(fileURLToPath(new URL('..', import.meta.url)), 'apps/web/src/state/checks.generated.js')
writeFileSync(file, checksOf())
console.log(`Wrote ${file}.`)
