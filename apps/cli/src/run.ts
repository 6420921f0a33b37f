import { Ajv } from 'ajv'
import { recordFileSchema, sheetSchema } from '@rauta/contracts'
import { addresses } from './addresses'
import { cards } from './cards'
import { helpAsked } from './help'
import { parse, wordsOf } from './input'
import { battery, place, poe, switches, volts, type PlaceInput } from './plan'
import { Bad, type Outcome, type Read, type ReadBytes } from './outcome'
import {
  addressesSchema,
  batterySchema,
  cardsSchema,
  placeSchema,
  poeSchema,
  switchesSchema,
  voltsSchema,
  whySchema,
} from './schemas'
import { verify } from './verify'
import { why } from './why'

const ajv = new Ajv({ strict: false, allowUnionTypes: true, allErrors: false })
const checks = {
  record: ajv.compile(recordFileSchema),
  volts: ajv.compile(voltsSchema),
  battery: ajv.compile(batterySchema),
  poe: ajv.compile(poeSchema),
  switches: ajv.compile(switchesSchema),
  addresses: ajv.compile(addressesSchema),
  place: ajv.compile(placeSchema),
  sheet: ajv.compile(sheetSchema),
  why: ajv.compile(whySchema),
  cards: ajv.compile(cardsSchema),
}

/** Runs one command line; never throws for bad input, but says what and where. Exit code 0 good, 1 the answer is no, 2 bad input. */
export function run(
  argv: readonly string[],
  read: Read,
  readBytes: ReadBytes = (file) => Buffer.from(read(file)),
): Outcome {
  const asked = helpAsked(argv)
  if (asked) return asked
  const [command = '', file = '', ...rest] = argv
  try {
    if (command === 'verify') return verify(parse(file, read, checks.record), rest, read, readBytes)
    if (rest.length) throw new Bad(`${command} takes one file; ${rest.join(' ')} is too much.`)
    return answer(command, file, read)
  } catch (error) {
    return { code: 2, out: inWords(error) }
  }
}

function answer(command: string, file: string, read: Read): Outcome {
  switch (command) {
    case 'volts':
      return volts(parse(file, read, checks.volts))
    case 'battery':
      return battery(parse(file, read, checks.battery))
    case 'poe':
      return poe(parse(file, read, checks.poe))
    case 'switches':
      return switches(parse(file, read, checks.switches))
    case 'addresses':
      return addresses(parse(file, read, checks.addresses))
    case 'place':
      return placeChecked(parse(file, read, checks.place))
    case 'cards':
      return cards(parse(file, read, checks.cards))
    default:
      return why(parse(file, read, checks.why))
  }
}

/** Sheets of one's own are held against the schema of sheets before anything is worked out of them. */
function placeChecked(input: PlaceInput): Outcome {
  ;(input.sheets ?? []).forEach((sheet, i) => {
    if (!checks.sheet(sheet)) throw new Bad(`sheets[${i}]: ${wordsOf(checks.sheet.errors ?? [])}`)
  })
  return place(input)
}

/** A fault of ours is told as one: a fitter can do nothing with the words of a program. */
export const inWords = (error: unknown): string =>
  error instanceof Bad || error instanceof RangeError
    ? error.message
    : `Rauta could not work this out (${(error as Error).message}). The input may have something in it that nobody thought of.`
