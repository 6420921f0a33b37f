import { deserialize, serialize } from 'node:v8'

// jsdom has no structured clone, and the store in memory needs one.
globalThis.structuredClone ??= ((value: unknown) => deserialize(serialize(value)) as unknown) as typeof structuredClone
// eslint-disable-next-line @typescript-eslint/no-require-imports
require('fake-indexeddb/auto')
