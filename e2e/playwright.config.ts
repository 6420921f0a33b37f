import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { defineConfig } from '@playwright/test'
import { base, port } from './site'

// Made once: the configuration is read again by each worker.
process.env['E2E_DATA'] ??= mkdtempSync(join(tmpdir(), 'rauta-e2e-'))

export default defineConfig({
  testDir: './journeys',
  workers: 1,
  fullyParallel: false,
  // On a busy machine a wait can run out: what failed is told, and tried once more.
  retries: 1,
  timeout: 150_000,
  expect: { timeout: 15_000 },
  reporter: [
    ['list'],
    ['json', { outputFile: process.env['PLAYWRIGHT_JSON_OUTPUT_NAME'] ?? '../test-results-journeys.json' }],
  ],
  outputDir: `../test-results/${port}`,
  use: {
    baseURL: base,
    viewport: { width: 390, height: 844 },
    acceptDownloads: true,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  // The demo is made anew for the journeys: the real server and the rig, started as a user starts them.
  webServer: {
    command: `node --import tsx packages/demo/src/launch.ts demo`,
    cwd: '..',
    wait: { stdout: /Ctrl-C ends it/ },
    timeout: 200_000,
    stdout: 'pipe',
    gracefulShutdown: { signal: 'SIGTERM', timeout: 8000 },
    env: {
      PORT: String(port),
      RAUTA_DATA: process.env['E2E_DATA'] ?? '',
      RAUTA_KEY: join(process.env['E2E_DATA'] ?? '', '..', `${(process.env['E2E_DATA'] ?? 'x').split('/').at(-1)}.key`),
    },
  },
})
