import type { Mutant } from './list'

const reach = 'packages/core/src/marks/reach.ts'
const wire = { tests: 'server/test/bus', wire: true } as const
const osdp = 'packages/protocols/src/osdp/'

/** Readers on buses: what is believed of them, and what they are told. */
export const busMutants: readonly Mutant[] = [
  {
    name: 'bus: a reader on a bus that answers in clear counts as reached',
    file: reach,
    find: 'if (why) return stale(`${ref} ${why}`)',
    put: "if (why && seen.state !== 'clear') return stale(`${ref} ${why}`)",
    tests: 'contracts/test/busReach',
  },
  {
    name: 'bus: a reader on a bus that was exchanged counts as reached',
    file: reach,
    find: 'if (seen.serial && seen.serial !== reach.serial)',
    put: 'if (seen.serial === undefined)',
    tests: 'contracts/test/busReach',
  },
  {
    name: 'bus: a reader on a bus counts as reached where it is not planned any more',
    file: reach,
    find: 'if (was !== shall)',
    put: 'if (was === undefined)',
    tests: 'contracts/test/busReach',
  },
  {
    name: 'bus: a door is signed whose reader is talked to in clear',
    file: reach,
    find: "new Set([undefined, 'clear', 'wrongKey', 'keyWanted'])",
    put: "new Set([undefined, 'wrongKey', 'keyWanted'])",
    tests: 'contracts/test/busReach',
  },
  {
    name: 'bus: a reader that was exchanged is not proved anew',
    file: 'packages/core/src/proving/script.ts',
    find: 'return reach ? { readerSerial: reach.serial } : {}',
    put: "return reach ? { readerSerial: '' } : {}",
    ...wire,
  },
  {
    name: 'bus: a frame whose check is wrong is read',
    file: `${osdp}frame.ts`,
    find: 'if (!sound) return null',
    put: 'if (length < 0 && !sound) return null',
    tests: 'protocols/test/osdp',
  },
  {
    name: 'bus: the last block of a frame has no key of its own',
    file: `${osdp}channel.ts`,
    find: 'last ? keys.mac2 : keys.mac1',
    put: 'last ? keys.mac1 : keys.mac1',
    tests: 'protocols/test/osdp',
  },
  {
    name: 'bus: a reply whose MAC is wrong is believed',
    file: `${osdp}control.ts`,
    find: "if (data && channel.accepts('reply', came.covered, came.mac)) return data",
    put: 'if (data) return data',
    tests: 'standins/test/busReader',
  },
  {
    name: 'bus: two that answer at once are taken for one',
    file: `${osdp}control.ts`,
    find: 'throw new BusError(heard)',
    put: "throw new BusError('silent')",
    tests: 'standins/test/busReader',
  },
  {
    name: 'bus: a key is sent to a reader before it is kept',
    file: 'apps/server/src/reach/opener.ts',
    find: 'await vault.put(nextId(device), fresh)\n  await send()',
    put: 'await send()',
    ...wire,
  },
  {
    name: 'bus: a controller that lost the keys of its readers is not told them again',
    file: 'apps/server/src/reach/bus/look.ts',
    find: "!there || there.state === 'keyWanted'",
    put: "false && there?.state === 'keyWanted'",
    ...wire,
  },
  {
    name: 'bus: whoever answers where another reader is planned is taken for this one',
    file: 'apps/server/src/reach/bus/finding.ts',
    find: 'if (address === wanted.address || others.has(address)) continue',
    put: 'if (address === wanted.address) continue',
    ...wire,
  },
]
