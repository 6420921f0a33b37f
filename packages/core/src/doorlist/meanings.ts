import { partRoles, roleFacts, type PartRole } from '../doors/door'
import {
  columnsUnder,
  headerOf,
  type Column as AnyColumn,
  type Header as AnyHeader,
  type Titled as AnyTitled,
  type Vocabulary,
} from '../columns/header'
import { plain, type Table } from '../columns/table'

/** What a column of a door schedule may tell. `distance:NAME` is metres to that cabinet. */
export type Meaning =
  | 'ref'
  | 'name'
  | 'from'
  | 'to'
  | 'opening'
  | 'escapeRoute'
  | 'handle'
  | 'outdoor'
  | 'passages'
  | 'walk'
  | 'releaseS'
  | 'heldOpenS'
  | 'lengthM'
  | 'x'
  | 'y'
  | 'ignore'
  | PartRole
  | `distance:${string}`

export const plainMeanings = [
  'ref',
  'name',
  'from',
  'to',
  'opening',
  'escapeRoute',
  'handle',
  'outdoor',
  'passages',
  'walk',
  'releaseS',
  'heldOpenS',
  'lengthM',
  'x',
  'y',
  ...partRoles,
] as const

/** How each meaning is called on screen and at the head of a file that Rauta writes. */
export function meaningWords(meaning: Meaning): string {
  if (meaning.startsWith('distance:')) return `To ${meaning.slice(9)}, m`
  const fixed: Partial<Record<Meaning, string>> = {
    ref: 'Reference',
    name: 'Name',
    from: 'From area',
    to: 'To area',
    opening: 'Opening',
    escapeRoute: 'Escape route',
    handle: 'Handle',
    outdoor: 'Out of doors',
    passages: 'Passages per day',
    walk: 'Walking order',
    releaseS: 'Release time, s',
    heldOpenS: 'Open time, s',
    lengthM: 'Cable length, m',
    x: 'East, m',
    y: 'North, m',
    ignore: 'Not used',
  }
  return fixed[meaning] ?? roleFacts[meaning as PartRole].says
}

/** Titles as offices write them: English, Finnish, Swedish, German, French, Spanish. Common practice, no source. */
const words: Readonly<Record<(typeof plainMeanings)[number], string>> = {
  ref: 'ref|reference|door|door ref|door reference|door no|door number|door id|no|nr|nro|id|number|mark|tunnus|ovi|ovi nro|ovinumero|ovitunnus|tur nr|turnummer|tur|dorrnr|dorr nr|dorrnummer|littera|numero|repere|no de porte|numero de porte|puerta|referencia|ref puerta',
  name: 'name|door name|description|designation|location|room|nimi|oven nimi|kuvaus|sijainti|bezeichnung|name der tur|raum|benamning|namn|beskrivning|nom|nom de la porte|local|nombre|descripcion|ubicacion',
  from: 'from|from area|leads from|unsecured side|outside area|area from|mista|alueelta|von|von bereich|aus bereich|fran|fran omrade|de|zone de depart|depuis|desde|de zona',
  to: 'to|to area|leads to|secured side|inside area|area to|area|mihin|alueelle|alue|nach|nach bereich|bereich|till|till omrade|omrade|vers|zone|zone d arrivee|hacia|a zona|zona',
  opening:
    'opening|kind|type|door type|kind of opening|tyyppi|ovityyppi|aukko|art|turart|turtyp|typ|dorrtyp|type de porte|genre|tipo|tipo de puerta',
  escapeRoute:
    'escape|escape route|on escape route|emergency exit|fire exit|egress|poistumistie|hatapoistuminen|fluchtweg|notausgang|utrymning|utrymningsvag|nodutgang|issue de secours|evacuation|salida de emergencia|evacuacion|ruta de escape',
  handle:
    'handle|lever|mechanical exit|mechanical handle|painike|kahva|klinke|drucker|turdrucker|handtag|trycke|poignee|bequille|manilla|manija',
  outdoor:
    'outdoor|outdoors|out of doors|external|exterior|weather|ulko ovi|ulkona|aussen|im freien|aussentur|utomhus|ytterdorr|exterieur|a l exterieur|intemperie',
  passages:
    'passages|passages per day|passages day|uses per day|events per day|traffic|use per day|daily use|kulkuja|kulkuja paivassa|kulkua pv|durchgange|durchgange pro tag|durchgange tag|begehungen|begehungen pro tag|begehungen tag|passagen|passagen pro tag|passagen tag|passager|passager per dag|passages par jour|pasos|pasos al dia|pasos por dia',
  walk: 'walk|walking order|order|walk order|jarjestys|kiertojarjestys|reihenfolge|rundgang|ordning|gangordning|ordre|orden',
  releaseS:
    'release|release time|unlock time|lock release|avausaika|lukituksen avausaika|offnungszeit|freigabezeit|oppningstid|upplasningstid|temps d ouverture|temporisation|tiempo de apertura',
  heldOpenS:
    'open time|held open|held open time|door held|held open alarm|aukioloaika|offen zeit|offenzeit|offenhaltezeit|oppettid|duree d ouverture|tiempo abierta',
  lengthM:
    'length|cable length|cable run|run|run length|distance|kaapelin pituus|pituus|kaapeli|kabellange|leitungslange|lange|kabellangd|langd|longueur|longueur de cable|longitud|longitud de cable',
  x: 'x|east|easting|x m|ita|ost|est|este',
  y: 'y|north|northing|y m|pohjoinen|nord|norr|norte',
  entryReader:
    'reader|entry reader|outer reader|outside reader|reader outside|leser aussen|aussenleser|lecteur exterieur|lector exterior|reader in|in reader|reader unsecured side|card reader|r1|lukija|lukija sisaan|leser|leser ein|lasare|lasare in|lecteur|lecteur entree|lector|lector entrada',
  exitReader:
    'exit reader|inner reader|inside reader|reader inside|leser innen|innenleser|lecteur interieur|lector interior|reader out|out reader|reader secured side|r2|lukija ulos|leser aus|lasare ut|lecteur sortie|lector salida',
  lock: 'lock|lock type|locking|k1|lukko|sahkolukko|schloss|turoffner|verriegelung|las|elslutbleck|serrure|gache|verrouillage|cerradura|cerradero',
  lock2:
    'second lock|lock 2|lock of the second leaf|k2|toinen lukko|zweites schloss|andra laset|deuxieme serrure|segunda cerradura',
  contact:
    'contact|door contact|c1|ovikosketin|magneettikosketin|turkontakt|kontakt|dorrkontakt|magnetkontakt|contact de porte|contacto|contacto de puerta',
  contact2:
    'second contact|contact 2|contact of the second leaf|c2|toinen kosketin|zweiter kontakt|andra kontakten|deuxieme contact|segundo contacto',
  boltContact:
    'bolt contact|lock contact|bolt|l1|telkikosketin|riegelkontakt|regelkontakt|contact de pene|contacto de cerrojo',
  exit: 'exit|exit device|egress device|exit button|request to exit|rex|button|x1|avauspainike|poistumispainike|taster|offnungstaster|offnarknapp|knapp|bouton|bouton de sortie|pulsador|pulsador de salida',
  exitSensor:
    'exit sensor|sensor|motion sensor|x2|liiketunnistin|bewegungsmelder|sensor ut|rorelsedetektor|detecteur de sortie|sensor de salida',
  deskButton:
    'desk button|desk release|reception button|d1|vastaanoton painike|empfangstaster|receptionsknapp|bouton d accueil|pulsador de recepcion',
  breakGlass:
    'break glass|emergency release|green box|emergency door release|b1|hataavaus|hatapainike|nottaster|fluchttaster|nododppnare|nodoppnare|bris de glace|declencheur|pulsador de emergencia|rotura de cristal',
  opener:
    'opener|door operator|operator|o1|oviautomatiikka|avauskoneisto|turantrieb|drehflugelantrieb|dorroppnare|dorrautomatik|ouvre porte|operateur|operador|abrepuertas',
  tamper:
    'tamper|tamper switch|tamper contact|t1|kansikosketin|sabotagekontakt|sabotasjekontakt|contact d autoprotection|autoprotection|contacto antisabotaje|antisabotaje',
  sounder: 'sounder|siren|beacon|sounder or lamp|h1|summeri|sireeni|signalgeber|sirene|siren|sirena|avisador',
  signal:
    'signal line|line that signals elsewhere|h2|halytyslinja|meldelinie|larmlinje|ligne de signalisation|linea de aviso',
  panelSet:
    'panel set|set line|arm line|alarm panel set|p1|kytkenta paalle|scharfschaltung|scharf|tillkoppling|mise en service|armado',
  panelUnset:
    'panel unset|unset line|disarm line|alarm panel unset|p2|kytkenta pois|unscharfschaltung|unscharf|frankoppling|mise hors service|desarmado',
  panelToggle:
    'panel toggle|toggle line|alarm panel turn|p3|vuorokytkenta|wechselschaltung|vaxling|basculement|alternancia',
  panelState:
    'panel state|panel status|alarm panel state|p4|halytyskeskuksen tila|zustand der alarmanlage|larmstatus|etat de la centrale|estado de la central',
  spare: 'spare|spare input|s1|varatulo|reserve|reserveeingang|reservingang|entree de reserve|entrada de reserva',
}

/** Titles that are taken for something only where nothing else tells it: a list with Door and Use means reference and name. */
export const lastResort: Readonly<Partial<Record<Meaning, readonly string[]>>> = { name: ['use'] }

const byWord = new Map<string, Meaning>(
  plainMeanings.flatMap((m) => [
    [plain(meaningWords(m)), m] as const,
    ...words[m].split('|').map((w) => [w, m] as const),
  ]),
)

/** What a word says that a column tells: the meaning itself, or any title that is known; null where nobody knows it. */
export function meaningOfWord(word: string): Meaning | null {
  if (word === 'ignore' || /^distance:\S/.test(word)) return word as Meaning
  return plainMeanings.find((m) => m === word) ?? byWord.get(plain(word)) ?? null
}

/** Units that stand behind or inside a title: `Length (ft)`, `Release time, s`. */
const unitInTitle = /(?:[([,]|\bin\b)?\s*\b(mm|cm|m|ft|feet|s|sec|ms|min)\b\s*[)\]]?\s*$/i

type DoorTitle = AnyTitled<Meaning>
export type DoorColumn = AnyColumn<Meaning>
export type DoorHeader = AnyHeader<Meaning>

/** What a title most likely stands for; `ignore` where nobody can tell. @param group the title that spans several columns above it */
export function meaningOf(title: string, group = '', remembered: Readonly<Record<string, string>> = {}): DoorTitle {
  const unit = unitInTitle.exec(title)?.[1]?.toLowerCase() ?? unitInTitle.exec(group)?.[1]?.toLowerCase() ?? null
  const bare = plain(title.replace(unitInTitle, ''))
  const kept = remembered[plain(`${group} ${title}`)] as Meaning | undefined
  if (kept) return { title, meaning: kept, unit }
  const toCabinet =
    /^(?:cable length to|length to|distance to|to|matka|pituus|lange bis|langd till|longueur a)\s+(.+)$/i.exec(
      title.replace(unitInTitle, '').trim(),
    )
  const exact = byWord.get(bare) ?? byWord.get(plain(title))
  const spanned = plain(group.replace(unitInTitle, ''))
  if (
    /^(cable length to|length to|distance to|lengths|distances|cable lengths?|cabinets?|lange bis|langd till)$/.test(
      spanned,
    ) &&
    bare
  )
    return { title, meaning: `distance:${title.replace(unitInTitle, '').trim()}`, unit }
  const together = spanned ? (byWord.get(`${spanned} ${bare}`) ?? byWord.get(`${bare} ${spanned}`)) : undefined
  if (together ?? exact) return { title, meaning: together ?? exact ?? 'ignore', unit }
  if (toCabinet?.[1] && !byWord.has(plain(toCabinet[1])))
    return { title, meaning: `distance:${toCabinet[1].trim()}`, unit }
  return { title, meaning: 'ignore', unit }
}

const doorVocabulary: Vocabulary<Meaning> = { meaningOf, lastResort, telling: ['ref', 'name'] }

/** Finds the row of titles of a door schedule. */
export const findHeader = (table: Table, remembered: Readonly<Record<string, string>> = {}): DoorHeader =>
  headerOf(table, doorVocabulary, remembered)

/** The columns of a door schedule when this row holds the titles. */
export const columnsAt = (
  table: Table,
  row: number,
  remembered: Readonly<Record<string, string>> = {},
  chosen: Readonly<Record<string, string>> = {},
): DoorColumn[] => columnsUnder(table, row, doorVocabulary, remembered, chosen)
