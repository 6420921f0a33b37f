import type { Config } from './records'

/** What is worked out once for a configuration: every door of the device asks. */
export function oncePerConfig<T>(work: (config: Config) => T): (config: Config) => T {
  const kept = new WeakMap<Config, { found: T }>()
  return (config) => {
    let known = kept.get(config)
    if (!known) kept.set(config, (known = { found: work(config) }))
    return known.found
  }
}
