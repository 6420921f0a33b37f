/** A complaint of a JSON Schema validator. */
export interface Complaint {
  keyword: string
  params: unknown
  message?: string
}

/**
 * The field that a complaint is about, by its path with dots: where one is missing or not known, that one itself.
 * @returns empty for the whole
 */
export function complaintField({ keyword, params, instancePath }: Complaint & { instancePath: string }): string {
  const p = params as Record<string, unknown>
  const own = { required: p['missingProperty'], additionalProperties: p['additionalProperty'] }[keyword]
  return [instancePath.slice(1).replaceAll('/', '.'), own === undefined ? '' : String(own)].filter(Boolean).join('.')
}

/** A complaint as a sentence of its own: `password is too short: 10 letters at least.` */
export const complaintSays = (complaint: Complaint & { instancePath: string }): string => {
  const field = complaintField(complaint) || 'This'
  if (complaint.keyword === 'required') return `${field} is missing.`
  if (complaint.keyword === 'additionalProperties') return `${field} is not known here.`
  return `${field} ${complaintWords(complaint)}.`
}

const kinds: Readonly<Record<string, string>> = {
  number: 'a number',
  integer: 'a whole number',
  string: 'text in quotation marks',
  boolean: 'true or false',
  array: 'a list in [ ]',
  object: 'an object in { }',
  null: 'null',
}

/** What a schema has against a value, in plain words that follow the name of its field: `must be 0 or more`. The same on form, server and command line. */
export function complaintWords({ keyword, params, message }: Complaint): string {
  const p = params as Record<string, unknown>
  switch (keyword) {
    case 'type':
      return `must be ${[p['type']]
        .flat()
        .map((t) => kinds[String(t)] ?? String(t))
        .join(' or ')}`
    case 'required':
      return `needs ${String(p['missingProperty'])}`
    case 'additionalProperties':
      return `has ${String(p['additionalProperty'])}, which is not known here`
    case 'enum':
      return `must be one of: ${(p['allowedValues'] as unknown[]).map(String).join(', ')}`
    case 'minimum':
      return `must be ${String(p['limit'])} or more`
    case 'exclusiveMinimum':
      return `must be more than ${String(p['limit'])}`
    case 'maximum':
      return `must be ${String(p['limit'])} or less`
    case 'minLength':
      return p['limit'] === 1 ? 'must not be blank' : `is too short: ${String(p['limit'])} letters at least`
    case 'maxLength':
      return `is too long: ${String(p['limit'])} letters at most`
    case 'minItems':
      return 'is empty: at least one is needed'
    case 'maxItems':
      return `has too many: ${String(p['limit'])} at most`
    case 'minProperties':
      return 'is empty: at least one is needed'
    case 'pattern':
      return `is not written as it should be: ${patternWords[String(p['pattern'])] ?? 'look at how the others are written'}`
    case 'oneOf':
      return 'mixes two ways of asking. Take one of them'
    case 'anyOf':
      return 'is none of the things that it may be'
    case 'const':
      return `must be ${String(p['allowedValue'])}`
    case 'uniqueItems':
      return 'has the same thing twice'
    case 'propertyNames':
      return `has ${String(p['propertyName'])}, which is no name here`
    case 'maxProperties':
      return `has too many: ${String(p['limit'])} at most`
    case 'format':
      return `is not written as a ${String(p['format'])} is`
    default:
      return message ?? 'is not as it should be'
  }
}

export const timePattern = '^([01]\\d|2[0-3]):[0-5]\\d$|^24:00$'
export const datePattern = '^\\d{4}-\\d{2}-\\d{2}$'
export const macPattern = '^([0-9A-Fa-f]{2}[:-]){5}[0-9A-Fa-f]{2}$'
export const wordPattern = '\\S'
/** How a text of a pattern is written, by the pattern. */
export const patternWords: Readonly<Record<string, string>> = {
  '^[0-9]+$': 'digits alone',
  [timePattern]: 'a time is 07:30, at the end of a day 24:00',
  [datePattern]: 'a date is 2027-01-04',
  [macPattern]: 'a MAC address is six pairs, 02:6A:10:00:41:01',
  [wordPattern]: 'it must not be blank',
  '^[a-z0-9-]{1,40}$': 'an id has small letters, digits and -',
  '^[A-Za-z0-9_.:-]+$': 'an id has letters, digits and _ . : -',
  '^[A-Za-z0-9-]{1,8}$': 'it has up to 8 letters, digits and -',
  '^[A-Z0-9]{1,4}$': 'a code has up to 4 capital letters and digits',
  '^[A-Za-z0-9]{1,12}$': 'it has up to 12 letters and digits',
  '^E[0-9]{1,2}$': 'expanders are E1, E2 …',
  '^[A-Z][0-9]{1,2}$': 'parts are R1, K1, C1 …',
  '^[A-Z][0-9]+$': 'parts are R1, K1, C1 …',
  '^([0-9]{4}-[0-9]{2}-[0-9]{2})?$': 'a date is 2027-01-04, or nothing',
  '^[0-9a-f]{64}$': 'it has 64 hexadecimal digits',
  '^[0-9a-f]{128}$': 'it has 128 hexadecimal digits',
  '^[MLCQ0-9 .,-]+$': 'it is a stroke of a pen',
  '^(controller|unit|part)/[A-Za-z0-9_.:/-]{1,120}$': 'it names a controller, a unit or a part',
  '^[^/]{1,60}/[^/]{1,60}$': 'it names a door and its lock, or `unit` and its hub',
  '^[A-Za-z0-9_.:-]{1,60}/[A-Za-z0-9]{1,8}$': 'it names a door and its part',
  '^[\\p{L}0-9][\\p{L}0-9 ._/-]{0,19}$':
    'it has up to 20 letters, digits, blanks and . _ / -, and begins with a letter or digit',
}
