/** Writes the application's addresses as types, so that a link that leads nowhere is no program. */
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { routesOf } from './routesOf'

const file = join(fileURLToPath(new URL('..', import.meta.url)), 'apps/web/src/routes.generated.d.ts')
writeFileSync(file, routesOf())
console.log(`Wrote ${file}.`)
