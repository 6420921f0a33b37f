import type { Mutant } from './list'

const core = 'packages/core/src/diagnosis'
const tests = 'core/test/reasoning|core/test/knowledge|contracts/test/failure'

/** What a failure excludes, and what is looked at next. */
export const diagnosisMutants: readonly Mutant[] = [
  {
    name: 'cause: a look costs nothing',
    file: `${core}/reasoning.ts`,
    find: 'let minutes = look.minutes',
    put: 'let minutes = 0',
    tests,
  },
  {
    name: 'cause: every answer is as likely as any other',
    file: `${core}/reasoning.ts`,
    find: 'minutes += chance * this.from',
    put: 'minutes += this.from',
    tests,
  },
  {
    name: 'cause: a look that tells nothing is asked for',
    file: `${core}/reasoning.ts`,
    find: 'Math.max(...each) - Math.min(...each) > 1e-9',
    put: 'each.length > 0',
    tests,
  },
  {
    name: 'cause: what an answer seldom goes with is excluded by it',
    file: `${core}/reasoning.ts`,
    find: 'return all > 0 ? own / all : 0',
    put: 'return all > 0 && own / all > 0.5 ? 1 : 0',
    tests,
  },
  {
    name: 'cause: it is settled too early',
    file: `${core}/reasoning.ts`,
    find: 'export const settledAt = 0.95',
    put: 'export const settledAt = 0.6',
    tests,
  },
  {
    name: 'cause: an answer of another look counts',
    file: `${core}/diagnose.ts`,
    find: 'Object.hasOwn(looks, look) && Object.hasOwn(looks[look]?.answers ?? {}, answer)',
    put: 'true',
    tests,
  },
  {
    name: 'cause: answers of another failure count',
    file: `${core}/failures.ts`,
    find: 'l.failure === id && ',
    put: '',
    tests,
  },
  {
    name: 'cause: answers of an earlier silence count',
    file: `${core}/failures.ts`,
    find: ' && l.at > since',
    put: '',
    tests,
  },
  {
    name: 'cause: a device that answers is searched',
    file: `${core}/silent.ts`,
    find: 'if (!isMute(reach)) return null',
    put: '',
    tests,
  },
  {
    name: 'cause: a lock that opens by volts is looked at as one that lets go without',
    file: `${core}/failed.ts`,
    find: "lock?.fail === 'safe'",
    put: "lock?.fail !== 'safe'",
    tests,
  },
  {
    name: 'cause: a turned contact is not told by what it says',
    file: `${core}/failed.ts`,
    find: "leafTold: moved ? 'turned' : 'still'",
    put: "leafTold: 'still'",
    tests,
  },
  {
    name: 'cause: a missing data line is not told by its bits',
    file: `${core}/failed.ts`,
    find: 'bits.every((b) => b === 1)',
    put: 'bits.every((b) => b === 0)',
    tests,
  },
  {
    name: 'cause: a break glass that frees nobody is searched as a lock that stays',
    file: `${core}/failed.ts`,
    find: "if (judge.kind === 'breakGlass') return glassKeeps(scene, judge.pole)",
    put: '',
    tests,
  },
  {
    name: 'cause: a refused card is searched at its reader',
    file: `${core}/failed.ts`,
    find: "if (own.some((e) => e.kind === 'refused')) return null",
    put: '',
    tests,
  },
  {
    name: 'cause: a passed test is searched',
    file: `${core}/failed.ts`,
    find: "if (proof.verdict !== 'failed' || !door",
    put: 'if (!door',
    tests,
  },
]
