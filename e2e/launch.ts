import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'

export const root = fileURLToPath(new URL('..', import.meta.url))
export interface Launched {
  /** What it printed until it was ready. */ said: string
  stop(): Promise<void>
}

/** Starts Rauta as a user does, and waits until it says that it is ready. @param args as after `npm run demo` or `npm start`: `start --lan 127.0.0.1` */
export async function launch(args: readonly string[], env: Record<string, string>): Promise<Launched> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'packages/demo/src/launch.ts', ...args], {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let said = ''
  await new Promise<void>((done, fail) => {
    child.stdout.on('data', (text: Buffer) => {
      said += text.toString()
      if (said.includes('Ctrl-C')) done()
    })
    child.once('exit', (code) => fail(new Error(`Rauta ended with ${code} before it was ready. ${said}`)))
  })
  return {
    said,
    stop: () =>
      new Promise((done) => {
        child.once('exit', () => done())
        child.kill('SIGINT')
      }),
  }
}
