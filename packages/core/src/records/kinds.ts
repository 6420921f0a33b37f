import * as access from '../access/kinds'
import { lookedKind } from '../diagnosis/records'
import { headKind } from '../chain/head'
import { cardFormatKind } from '../cards/sending'
import { signatureKind } from '../chain/signature'
import { heldKind, heldPartsKind } from '../config/held'
import { loadKind } from '../config/loads'
import { sheetKind } from '../devices/kinds'
import * as devices from '../devices/records'
import { doorRecordKind } from '../doors/door'
import type { RecordKind } from '../job/facts'
import type { RecordDeclaration } from '../job/kind'
import * as job from '../job/records'
import { busRunKind } from '../network/records'
import * as power from '../power/records'
import { eventKind } from '../proving/events'
import { doorModeKind } from '../proving/orders'
import * as proving from '../proving/records'
import * as readings from '../readings/records'
import { photoKind } from '../wiring/photo'
import { reactionKind } from '../reactions/records'
import { radioPlanKind } from '../radio/records'
import { tickKind } from '../wiring/records'

/** Every kind of record by its name: one line for each, and nothing else in the code lists them. */
const registry: { readonly [K in RecordKind]: RecordDeclaration<K> } = {
  job: job.jobKind,
  area: job.areaKind,
  door: doorRecordKind,
  controller: devices.controllerKind,
  cabinet: devices.cabinetKind,
  tick: tickKind,
  reading: readings.readingKind,
  meter: readings.meterKind,
  found: devices.foundKind,
  claim: devices.claimKind,
  reach: devices.reachKind,
  person: access.personKind,
  group: access.groupKind,
  rule: access.ruleKind,
  doorSet: access.doorSetKind,
  schedule: access.scheduleKind,
  specialDay: access.specialDayKind,
  testCards: access.testCardsKind,
  cardFormat: cardFormatKind,
  held: heldKind,
  heldParts: heldPartsKind,
  load: loadKind,
  event: eventKind,
  trial: proving.trialKind,
  proof: proving.proofKind,
  snag: proving.snagKind,
  looked: lookedKind,
  signature: signatureKind,
  head: headKind,
  question: job.questionKind,
  sheet: sheetKind,
  cabinetPlace: devices.cabinetPlaceKind,
  powerPlan: power.powerPlanKind,
  unit: power.unitKind,
  unitFeed: power.unitFeedKind,
  undone: job.undoneKind,
  columns: job.columnsKind,
  busRun: busRunKind,
  procured: devices.procuredKind,
  photo: photoKind,
  doorMode: doorModeKind,
  reaction: reactionKind,
  radioPlan: radioPlanKind,
}

export const recordKinds = Object.keys(registry) as readonly RecordKind[]

/** How a kind was declared; undefined for a name that no kind has, whoever sent it. */
export const declarationOf = (name: string): RecordDeclaration<RecordKind> | undefined =>
  Object.hasOwn(registry, name) ? (registry[name as RecordKind] as RecordDeclaration<RecordKind>) : undefined
