import { readFileSync } from 'node:fs'
import { run } from './run'

const { code, out } = run(process.argv.slice(2), (file) => readFileSync(file === '-' ? 0 : file, 'utf8'))
console.log(out)
process.exit(code)
