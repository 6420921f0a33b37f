import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { makeClock } from '@rauta/protocols'
import { startServer, type Running } from '../../apps/server/src'

let exported: string | null = null

/** An empty shell of the same stack, exported by the same bundler once in a run, with a service worker made the same way; served as Rauta is. */
export async function emptyShell(): Promise<Running> {
  if (exported === null) {
    const shell = mkdtempSync(join(tmpdir(), 'rauta-shell-'))
    process.on('exit', () => rmSync(shell, { recursive: true, force: true }))
    execFileSync(
      process.execPath,
      [resolve('node_modules/expo/bin/cli'), 'export', '--platform', 'web', '--output-dir', shell],
      {
        cwd: resolve('scripts/shell'),
        stdio: 'ignore',
        env: { ...process.env, CI: '1', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1' },
      },
    )
    execFileSync(process.execPath, [resolve('scripts/service-worker.mjs')], {
      stdio: 'ignore',
      env: { ...process.env, WEB_DIST: shell, WEB_LEAST: '1' },
    })
    exported = shell
  }
  return startServer({
    dataFolder: null,
    keyFile: join(exported, 'key'),
    port: 0,
    clock: makeClock(1),
    table: null,
    webFolder: exported,
    rigPage: null,
    logLevel: 'silent',
  })
}
