import { openingKinds, type OpeningKind } from '../doors/door'
import { openingWords } from '../doors/openings'
import { plain } from '../columns/table'
import { refuse, take, type Taken } from '../columns/value'

const inMetres: Readonly<Record<string, number>> = {
  mm: 0.001,
  cm: 0.01,
  m: 1,
  meter: 1,
  metre: 1,
  meters: 1,
  metres: 1,
  ft: 0.3048,
  feet: 0.3048,
  foot: 0.3048,
  "'": 0.3048,
}
const inSeconds: Readonly<Record<string, number>> = {
  ms: 0.001,
  s: 1,
  sec: 1,
  secs: 1,
  seconds: 1,
  sek: 1,
  second: 1,
  min: 60,
  mins: 60,
  minutes: 60,
}

function quantity(
  text: string,
  units: Readonly<Record<string, number>>,
  assumed: string,
  example: string,
  what: string,
): Taken<number> {
  const match = /^([+-]?\d+(?:[.,]\d+)?)\s*(\p{L}+|')?\.?$/u.exec(text)
  if (!match) return refuse(`“${text}” is not ${what}`, `Write ${example}.`)
  const factor = units[(match[2] ?? assumed).toLowerCase()]
  if (factor === undefined) return refuse(`“${match[2]}” is no unit for ${what}`, `Write ${example}.`)
  const value = Number((match[1] ?? '').replace(',', '.')) * factor
  return value < 0 ? refuse(`“${text}” is below nought`, `Write ${example}.`) : take(Number(value.toFixed(4)))
}

/** Metres: `35`, `35 m`, `0,5`, `115 ft`. @param unit that the column's title names */
export const metres = (text: string, unit: string | null): Taken<number> =>
  quantity(text, inMetres, unit && inMetres[unit] ? unit : 'm', 'a length like 35 or 35 m', 'a length')
/** Seconds: `5`, `5 s`, `0,5`, `1 min`. */
export const seconds = (text: string, unit: string | null): Taken<number> =>
  quantity(text, inSeconds, unit && inSeconds[unit] ? unit : 's', 'a time like 5 or 5 s', 'a time')

/** A place on the grid, metres, which may lie below nought. */
export function coordinate(text: string): Taken<number> {
  const match = /^([+-]?\d+(?:[.,]\d+)?)\s*m?$/i.exec(text)
  return match
    ? take(Number((match[1] ?? '').replace(',', '.')))
    : refuse(`“${text}” is not a place on the grid`, 'Write metres like 12.5.')
}

/** A whole number of 0 or more; blanks may group its digits. */
export function count(text: string): Taken<number> {
  const bare = text.replace(/[\s’']/g, '').replace(/\/(d|day|pv|tag|dag|jour|dia)$/i, '')
  return /^\d{1,6}$/.test(bare)
    ? take(Number(bare))
    : refuse(`“${text}” is not a whole number`, 'Write a number like 120.')
}

const openings: Readonly<Record<OpeningKind, string>> = {
  door: 'door|single door|ovi|tur|dorr|porte|puerta',
  doubleDoor: 'double door|pair|double|two leaves|pariovi|doppeltur|zweiflugelig|pardorr|porte double|puerta doble',
  gate: 'gate|barrier|portti|tor|schranke|grind|portail|barriere|verja|porton',
  shutter: 'shutter|roller shutter|rullaovi|rolltor|jalusi|rideau|persiana',
  turnstile: 'turnstile|speed gate|kaantoportti|drehkreuz|rotorgrind|tourniquet|torno',
  cabinet: 'cabinet|cupboard|kaappi|schrank|skap|armoire|armario',
  locker: 'locker|lockers|lokero|schliessfach|klakskap|casier|taquilla',
  padlock: 'padlock|riippulukko|vorhangeschloss|hanglas|cadenas|candado',
  liftCall: 'lift call|lift|elevator|hissi|aufzug|hiss|ascenseur|ascensor',
}
const openingByWord = new Map<string, OpeningKind>(
  openingKinds.flatMap((kind) => [
    [plain(kind), kind] as const,
    ...openings[kind].split('|').map((w) => [w, kind] as const),
  ]),
)

export function opening(text: string): Taken<OpeningKind> {
  const found = openingByWord.get(plain(text))
  return found
    ? take(found)
    : refuse(
        `“${text}” is no kind of opening`,
        `Write one of: ${openingKinds.map((k) => openingWords[k].toLowerCase()).join(', ')}.`,
      )
}

/** A reference that a spreadsheet has left alone. */
export function reference(text: string): Taken<string> {
  if (!/^[\p{L}0-9][\p{L}0-9 ._/-]{0,19}$/u.test(text))
    return refuse(`“${text}” is no reference`, 'A reference has up to 20 letters, digits, blanks and . _ / -.')
  return take(text)
}
