import { createHash } from 'node:crypto'
import { homedir } from 'node:os'
import { join, resolve } from 'node:path'

/** Where the job's data lie. */
export const dataFolder = resolve(process.env['RAUTA_DATA'] ?? join(homedir(), '.local', 'share', 'rauta'))

/** Outside the data folder, so that a copy of the data alone opens no device. */
export const keyFile = resolve(
  process.env['RAUTA_KEY'] ??
    join(homedir(), '.config', 'rauta', `${createHash('sha256').update(dataFolder).digest('hex').slice(0, 12)}.key`),
)
