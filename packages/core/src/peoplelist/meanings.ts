import { columnsUnder, headerOf, type Column, type Header, type Titled, type Vocabulary } from '../columns/header'
import { plain, type Table } from '../columns/table'

/** What a column of a list of people may tell. */
export const personMeanings = [
  'number',
  'name',
  'firstName',
  'lastName',
  'groups',
  'cards',
  'facility',
  'format',
  'company',
  'contact',
  'remark',
  'validFrom',
  'validUntil',
  'longer',
] as const
export type PersonMeaning = (typeof personMeanings)[number]
export type PersonColumn = Column<PersonMeaning>
export type PersonHeader = Header<PersonMeaning>

const called: Readonly<Record<PersonMeaning | 'ignore', string>> = {
  number: 'Number',
  name: 'Name',
  firstName: 'First name',
  lastName: 'Last name',
  groups: 'Groups',
  cards: 'Cards',
  facility: 'Facility',
  format: 'Card format',
  company: 'Company',
  contact: 'Contact',
  remark: 'Remark',
  validFrom: 'Valid from',
  validUntil: 'Valid until',
  longer: 'Needs longer',
  ignore: 'Not used',
}
/** How each meaning is called on screen and at the head of a file that Rauta writes. */
export const personMeaningWords = (meaning: PersonMeaning | 'ignore'): string => called[meaning]

/** Titles as offices write them: English, Finnish, Swedish, German, French, Spanish. Common practice, no source. */
const words: Readonly<Record<PersonMeaning, string>> = {
  number:
    'number|no|nr|nro|id|person no|person number|staff no|staff number|employee no|employee number|employee id|personnel number|payroll number|numero|henkilonumero|tyontekijanumero|tunnus|anstnr|anstallningsnummer|personalnummer|personalnr|mitarbeiternummer|matricule|numero de personne|legajo|numero de empleado',
  name: 'name|full name|person|holder|card holder|cardholder|employee|nimi|henkilo|koko nimi|namn|hela namnet|kortinnehavare|vollstandiger name|mitarbeiter|inhaber|nom complet|personne|titulaire|nombre completo|nombre y apellidos|persona|titular',
  firstName: 'first name|given name|forename|etunimi|fornamn|vorname|prenom|nombre|nombre de pila',
  lastName:
    'last name|surname|family name|sukunimi|efternamn|nachname|familienname|nom|nom de famille|apellido|apellidos',
  groups:
    'groups|group|access group|access groups|department|team|role|ryhma|ryhmat|kulkuryhma|osasto|grupp|grupper|avdelning|behorighetsgrupp|gruppe|gruppen|abteilung|zutrittsgruppe|groupe|groupes|service|departement|grupo|grupos|departamento',
  cards:
    'cards|card|card no|card number|card id|tag|tag number|badge|badge number|badge no|credential|uid|csn|serial|serial number|kortti|kortin numero|korttinumero|tunniste|kort|kortnummer|kortnr|bricka|karte|karten|kartennummer|kartennr|ausweis|ausweisnummer|carte|numero de carte|badge numero|numero de badge|tarjeta|numero de tarjeta',
  facility:
    'facility|facility code|site code|system code|fc|laitoskoodi|jarjestelmakoodi|anlaggningskod|systemkod|anlagencode|systemcode|code site|code de site|codigo de instalacion|codigo de sitio',
  format:
    'format|card format|card type|kortin muoto|korttimuoto|kortformat|korttyp|kartenformat|kartentyp|format de carte|formato|formato de tarjeta',
  company:
    'company|employer|firm|organisation|organization|yritys|tyonantaja|foretag|bolag|firma|unternehmen|arbeitgeber|societe|entreprise|employeur|empresa|compania',
  contact:
    'contact|phone|telephone|mobile|e mail|email|mail|yhteystieto|yhteystiedot|puhelin|sahkoposti|kontakt|telefon|mobil|e post|kontaktdaten|handy|telephone portable|courriel|contacto|telefono|correo|correo electronico',
  remark:
    'remark|remarks|note|notes|comment|comments|huomautus|huomio|lisatieto|anmarkning|kommentar|notering|bemerkung|bemerkungen|anmerkung|notiz|remarque|commentaire|observation|nota|notas|observaciones|comentario',
  validFrom:
    'valid from|from|start|start date|starts|begins|from date|voimassa alkaen|alkaa|alkupaiva|giltig fran|fran|startdatum|gultig ab|gultig von|ab|von|beginn|valable du|a partir du|debut|date de debut|valido desde|desde|inicio|fecha de inicio',
  validUntil:
    'valid until|valid to|until|to|end|end date|ends|expires|expiry|expiry date|expiration|voimassa asti|paattyy|loppupaiva|giltig till|till|slutdatum|gultig bis|bis|ablauf|ende|valable jusqu au|jusqu au|fin|date de fin|expiration date|valido hasta|hasta|fecha de fin|caducidad',
  longer:
    'needs longer|longer|longer times|longer release|extended|extended time|extended access|pidempi aika|pitempi aukiolo|langre tid|forlangd tid|langere zeit|verlangerte zeit|temps prolonge|duree prolongee|tiempo prolongado|mas tiempo',
}

const byWord = new Map<string, PersonMeaning>(
  personMeanings.flatMap((m) => [[plain(called[m]), m] as const, ...words[m].split('|').map((w) => [w, m] as const)]),
)

function meaningOf(title: string, group: string, remembered: Readonly<Record<string, string>>): Titled<PersonMeaning> {
  const kept = remembered[plain(`${group} ${title}`)]
  const known = kept === 'ignore' || personMeanings.some((m) => m === kept)
  if (kept !== undefined && known) return { title, meaning: kept as PersonMeaning | 'ignore', unit: null }
  const bare = plain(title)
  const spanned = plain(group)
  const together = spanned ? (byWord.get(`${spanned} ${bare}`) ?? byWord.get(`${bare} ${spanned}`)) : undefined
  return { title, meaning: together ?? byWord.get(bare) ?? 'ignore', unit: null }
}

const vocabulary: Vocabulary<PersonMeaning> = {
  meaningOf,
  lastResort: {},
  telling: ['number', 'name', 'lastName', 'firstName', 'cards'],
}

/** Finds the row of titles of a list of people. */
export const findPersonHeader = (table: Table, remembered: Readonly<Record<string, string>> = {}): PersonHeader =>
  headerOf(table, vocabulary, remembered)

/** The columns of a list of people when this row holds the titles. */
export const personColumnsAt = (
  table: Table,
  row: number,
  remembered: Readonly<Record<string, string>> = {},
  chosen: Readonly<Record<string, string>> = {},
): PersonColumn[] => columnsUnder(table, row, vocabulary, remembered, chosen)
