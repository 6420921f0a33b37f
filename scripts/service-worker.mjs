import { statSync } from 'node:fs'
import { join } from 'node:path'
import { generateSW } from 'workbox-build'
import { root } from './ready.mjs'

// The whole application is put on the phone at the first visit, so that every place opens without the server. What the server answers is
// never kept here: the job lies in the page's own store. A new build waits until it is asked for.
const dist = process.env['WEB_DIST'] ?? join(root, 'apps/web/dist')
const { count, size, warnings } = await generateSW({
  globDirectory: dist,
  globPatterns: ['**/*.{js,html,svg,png,ttf,json,webmanifest}'],
  globIgnores: ['**/*.map', 'sw.js'],
  swDest: join(dist, 'sw.js'),
  inlineWorkboxRuntime: true,
  mode: 'production',
  sourcemap: false,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//, /^\/trust/],
  dontCacheBustURLsMatching: /-[0-9a-f]{32}\.|\.[0-9a-f]{32}\./,
  maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
  cleanupOutdatedCaches: true,
  clientsClaim: true,
  skipWaiting: false,
})
if (warnings.length) console.warn(warnings.join('\n'))
if (count < Number(process.env['WEB_LEAST'] ?? 10) || statSync(join(dist, 'sw.js')).size < 1000)
  throw new Error(`The service worker holds ${count} files, ${size} bytes: the export is not whole.`)
