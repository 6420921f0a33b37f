import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { launch, root } from '../launch'
import { killRounds } from './kills'

/** `npm run kills`: 200 kills against a demo of its own; the result goes into docs/kills.md. */
const kills = Number(process.env['KILLS'] ?? 200)
const seed = Number(process.env['SEED'] ?? Math.floor(Math.random() * 1e9))
const port = 4394
const data = mkdtempSync(join(tmpdir(), 'rauta-kills-'))
console.log(`Seed ${seed}. Making a demo ...`)
const demo = await launch(['demo', '--no-rig'], { PORT: String(port), RAUTA_DATA: data, RAUTA_KEY: `${data}.key` })
let failed: boolean
try {
  const began = Date.now()
  const told = await killRounds({
    base: `http://127.0.0.1:${port}`,
    kills,
    browsers: Math.round(kills / 10),
    seed,
    door: 'V-03',
    log: (says) => {
      console.log(says)
    },
  })
  const minutes = ((Date.now() - began) / 60_000).toFixed(1)
  failed = told.lost.length > 0 || told.twice.length > 0
  const says = `${told.kills} kills (${told.browsers} of the whole browser, ${told.duringSync} while records were on their way), seed ${seed}, ${minutes} minutes: ${told.shown} readings were shown as kept, ${told.lost.length} of them lost; ${told.arrived} readings are on the server, ${told.twice.length} twice.`
  console.log(says)
  if (kills >= 200)
    writeFileSync(
      join(root, 'docs/kills.md'),
      `# Nothing that was shown as kept is lost\n\n\`npm run kills\` enters readings on a phone without signal and kills the page's process, or the whole browser, at random moments; then it compares what the screen had shown as kept with what the server has.\n\nLast run: ${says}\n\nA reading that was typed but not yet shown as kept may arrive or not; it never arrives twice. \`SEED=${seed} npm run kills\` repeats the moments as far as the machine's own timing lets it.\n`,
    )
} finally {
  await demo.stop()
  rmSync(data, { recursive: true, force: true })
}
process.exit(failed ? 1 : 0)
