import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { launch, root } from '../launch'
import { killRounds } from './kills'

/** `npm run kills`: 200 kills of a phone's browser against a demo of its own. `npm run kills -- server`: 1,000 of the server. The results go into docs/kills.md. */
if (process.argv[2] === 'server') await ofTheServer()
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
    tell(
      'A phone',
      `\`npm run kills\` enters readings on a phone without signal and kills the page's process, or the whole browser, at random moments; then it compares what the screen had shown as kept with what the server has.\n\nLast run: ${says}\n\nA reading that was typed but not yet shown as kept may arrive or not; it never arrives twice. \`SEED=${seed} npm run kills\` repeats the moments as far as the machine's own timing lets it.`,
    )
} finally {
  await demo.stop()
  rmSync(data, { recursive: true, force: true })
}
process.exit(failed ? 1 : 0)

/** Replaces one section of docs/kills.md and leaves the other. */
function tell(heading: string, text: string): void {
  const file = join(root, 'docs/kills.md')
  const before = readFileSync(file, 'utf8').split(/^(?=## )/m)
  const others = before.filter((part) => !part.startsWith(`## ${heading}`))
  writeFileSync(file, `${[...others, `## ${heading}\n\n${text}\n`].map((part) => part.trim()).join('\n\n')}\n`)
}

async function ofTheServer(): Promise<never> {
  const kills = Number(process.env['KILLS'] ?? 1000)
  const seed = Number(process.env['SEED'] ?? Math.floor(Math.random() * 1e9))
  const began = Date.now()
  const { serverKills } = await import('./server')
  const told = await serverKills(kills, seed, (says) => console.log(says))
  const minutes = ((Date.now() - began) / 60_000).toFixed(1)
  const works = Object.entries(told.byWork)
    .map(([work, count]) => `${count} ${work}`)
    .join(', ')
  const says = `${told.kills} kills of the server (${works}), seed ${seed}, ${minutes} minutes: ${told.acknowledged} groups and doors were acknowledged besides pictures, backups and what the device was given; ${told.faults.length === 0 ? 'nothing of it is lost, twice or there in part, and the device was taken in the end' : `faults: ${told.faults.join('; ')}`}.`
  console.log(says)
  if (kills >= 60)
    tell(
      'The server',
      `\`npm run kills -- server\` kills the server's process at random moments of bursts of commands, imports of lists, pictures, backups, the taking of a device and loads, starts it again, and compares what was acknowledged with what is there. \`KILLS=60\` makes fewer.\n\nLast run: ${says}`,
    )
  process.exit(told.faults.length ? 1 : 0)
}
