import type { Outcome } from './outcome'

/** What each command takes, for people. */
export const helps: Readonly<Record<string, { line: string; takes: string }>> = {
  verify: {
    line: 'RECORD.json [--key FILE] [--head HASH] [--picture FILE ...]',
    takes:
      'Checks a door’s record, and pictures against it. --key: a file with the job’s public key; --head: the printed head.',
  },
  volts: {
    line: 'INPUT.json',
    takes:
      'Volts at a lock at the end of its run: {"sourceV", "sourceOhm", "celsius", "cable", "lengthM", "lock": {"nominalV", "amps", "leastV"}}; or all over a supply tree: {"sourceV", "nodes": [{"id", "from", "cable", "lengthM", "celsius", "ohm", "leastV", "consumers"}]}.',
  },
  battery: {
    line: 'INPUT.json',
    takes:
      'Ampere-hours for the hours asked for, the next size, and how long a battery lasts: {"restA", "hours", "movingAh", "celsius", "peukert", "ageing", "derating", "sizes", "bank": {"ah", "volts", "count", "wiring"} or {"ah", "volts", "series", "parallel"}}.',
  },
  poe: {
    line: 'INPUT.json',
    takes:
      'Network power: {"volts", "budgetW", "ports": [{"id", "highestClass"}], "devices": [{"name", "port", "lengthM", "class", "restW", "peakW"}]}.',
  },
  switches: {
    line: 'INPUT.json',
    takes:
      'How switches stand for an address, or which address they show: {"coding": {"kind", "positions", "order", "inverted", "offset"}, "address"} or "switches" instead of the address.',
  },
  addresses: {
    line: 'INPUT.json',
    takes:
      'Addresses for devices, in order: {"network", "prefix", "gateway", "timeServer", "reserved", "foreign": [{"address", "whose"}], "devices": [{"ref", "address", "factory", "mac", "subnet"}]}; "subnets": [{"name", "network", "prefix", "gateway"}] for more.',
  },
  place: {
    line: 'INPUT.json',
    takes:
      'Controllers and terminals for all doors at once: {"doors": [{"ref", "hardware", "at", "distances"}], "cabinets": [{"name", "at"}], "spare", "most", "allowed", "sheets"}.',
  },
  doors: {
    line: 'LIST.xlsx|LIST.csv [--sheet NAME] [--titles ROW] [--column "TITLE=MEANING" ...] [--area "TEXT=CODE" ...] [--use "TEXT=DEVICE" ...]',
    takes:
      'Reads a door schedule and tells of every row. --sheet: which sheet, by name or number; --titles: the row of the titles; --column: what a column tells; --area: how an area is called; --use: one answer for every row that says the same of a device.',
  },
  cards: {
    line: 'INPUT.json',
    takes:
      'What a reader sent, read every way, with what stands on the card: {"bits"} or {"hex", "length"}, "printed", "formats".',
  },
  why: {
    line: 'INPUT.json',
    takes:
      'Who passes where, when, and which rule decides: {"zone", "at": "2027-01-04T06:15:00+02:00", "door", "person", "rules", "schedules", "specialDays", "groups"}.',
  },
  backup: { line: 'FILE', takes: 'The whole store into a file, looked at; also while the server runs.' },
  restore: { line: 'FILE', takes: 'The store as a backup has it; what was there is kept beside it.' },
}

export const usage = `${Object.entries(helps)
  .map(([name, { line }]) => `rauta ${name} ${line}`)
  .join('\n')}
rauta COMMAND --help tells what one takes. A file called - is standard input. Schemas: docs/cli.md`

export const helpOf = (command: string): string => {
  const help = helps[command]
  return help ? `rauta ${command} ${help.line}\n${help.takes}` : usage
}

/** Help that was asked for, or is owed where nothing can be done; null where there is something to do. */
export function helpAsked(argv: readonly string[]): Outcome | null {
  const [command, file] = argv
  if (command === undefined) return { code: 2, out: usage }
  if (command === '--help' || command === '-h' || command === 'help')
    return { code: 0, out: file === undefined ? usage : helpOf(file) }
  if (!Object.hasOwn(helps, command)) return { code: 2, out: `There is no command ${command}.\n${usage}` }
  if (argv.includes('--help') || argv.includes('-h')) return { code: 0, out: helpOf(command) }
  return file === undefined ? { code: 2, out: `${command} needs a file.\n${helpOf(command)}` } : null
}
