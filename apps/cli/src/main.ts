import { readFileSync } from 'node:fs'
import { doors } from './doors'
import { run } from './run'

const args = process.argv.slice(2)
const bytes = (file: string) => readFileSync(file === '-' ? 0 : file)
const { code, out } =
  args[0] === 'doors' && args[1] ? await doors(args[1], bytes) : run(args, (file) => bytes(file).toString('utf8'))
console.log(out)
process.exit(code)
