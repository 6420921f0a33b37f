import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { buildWeb, install, needNode, root } from './ready.mjs'

needNode()
install()
buildWeb()
const child = spawn(
  process.execPath,
  ['--import', 'tsx', join(root, 'packages/demo/src/launch.ts'), ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit' },
)
// The child hears Ctrl-C itself and ends in order; this process only waits for it.
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
child.on('exit', (code) => process.exit(code ?? 1))
