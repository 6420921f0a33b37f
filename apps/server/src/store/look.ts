import { PGlite } from '@electric-sql/pglite'

/** Opens the store in a folder and tells what its log comes to, as JSON on one line: run as a process of its own, since opening takes the engine's whole memory. */
const folder = process.argv[2] ?? ''
const engine = new PGlite(folder)
await engine.waitReady
const { rows } = await engine.query<{ changes: number; rev: number }>(
  'select count(*)::int as changes, coalesce(max(rev), 0)::int as rev from changes',
)
await engine.close()
console.log(JSON.stringify(rows[0]))
