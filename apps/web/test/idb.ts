// jsdom has no structured clone, and the store in memory needs one.
// eslint-disable-next-line @typescript-eslint/no-require-imports
const { deserialize, serialize } = require('v8') as {
  deserialize(b: Uint8Array): unknown
  serialize(v: unknown): Uint8Array
}
globalThis.structuredClone ??= ((value: unknown) => deserialize(serialize(value))) as typeof structuredClone
// eslint-disable-next-line @typescript-eslint/no-require-imports
require('fake-indexeddb/auto')
