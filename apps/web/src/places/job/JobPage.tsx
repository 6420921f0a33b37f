import {
  all,
  areaTree,
  isSerial,
  jobOf,
  numberedCard,
  serialCard,
  usualFormat,
  type StoredCard,
  type TestCard,
  type TestCards,
  type TestCodes,
} from '@rauta/core'
import { router } from 'expo-router'
import { Suspense, useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Chips } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { FormatPick } from '../../parts/FormatPick'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { AreaMap } from '../../signs/AreaMap'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { SiteForm } from '../lazyForms'
import { useSettings } from '../../state/settings'

/** The job: client, site, zone, network, areas, limits, test cards; and the ground this device shows. */
export function JobPage() {
  const facts = useFacts()
  const job = jobOf(facts)
  const { ground, setGround } = useSettings()
  if (!job) return null
  return (
    <Screen columns title={job.name} under={`${job.client} · ${job.site} · ${job.zone}`}>
      <Sheet title="Display of this device">
        <Chips
          label="Display"
          value={ground}
          onChange={setGround}
          options={[
            { value: 'device', label: 'As the device' },
            { value: 'daylight', label: 'Light' },
            { value: 'plant', label: 'Dark' },
          ]}
        />
      </Sheet>
      <Areas />
      <Suspense fallback={null}>
        <SiteForm />
      </Suspense>
      <Kit />
    </Screen>
  )
}

function Areas() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [form, setForm] = useState({ code: '', name: '', parent: '' })
  const [wrong, setWrong] = useState('')
  const [chosen, setChosen] = useState('')
  const areas = all(facts, 'area')
  const choose = (id: string) => {
    const area = facts.area[id]
    setChosen(area ? id : '')
    setForm({ code: area?.code ?? '', name: area?.name ?? '', parent: area?.parent ?? '' })
    setWrong('')
  }
  const add = () =>
    send('area.put', {
      id: chosen || v7(),
      code: form.code.trim().toUpperCase(),
      name: form.name.trim(),
      ...(form.parent ? { parent: form.parent } : {}),
    })
      .then(() => {
        setForm({ code: '', name: '', parent: form.parent })
        setChosen('')
        setWrong('')
      })
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <Sheet title="Areas, and what leads where">
      <AreaMap areas={areas} doors={all(facts, 'door')} />
      {areas.length ? (
        <Pick
          label="Add one, or change"
          value={chosen}
          options={[
            { value: '', label: 'a new area' },
            ...areaTree(areas).map(({ area, depth }) => ({
              value: area.id,
              label: `${'  '.repeat(depth)}${area.code} ${area.name}`,
            })),
          ]}
          onChange={choose}
        />
      ) : null}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Field label="Code" value={form.code} onChange={(code) => setForm({ ...form, code })} mono />
        </View>
        <View style={{ flex: 2 }}>
          <Field label="Name of the area" value={form.name} onChange={(name) => setForm({ ...form, name })} />
        </View>
      </View>
      <Pick
        label="It is part of"
        value={form.parent}
        options={[
          { value: '', label: 'nothing larger' },
          ...areaTree(areas)
            .filter(({ area }) => area.id !== chosen)
            .map(({ area, depth }) => ({ value: area.id, label: `${'  '.repeat(depth)}${area.name}` })),
        ]}
        onChange={(parent) => setForm({ ...form, parent })}
      />
      <Action kind="plain" label={chosen ? 'Save the area' : 'Add the area'} onPress={add} />
      {chosen ? (
        <TakeAway inSheet kind="area" id={chosen} name={facts.area[chosen]?.name ?? ''} onGone={() => choose('')} />
      ) : null}
    </Sheet>
  )
}

const kitLabels: { key: TestCard; label: string; mayLack?: true }[] = [
  { key: 'good', label: 'Good card' },
  { key: 'lost', label: 'Lost card' },
  { key: 'outOfHours', label: 'Card out of hours' },
  { key: 'unknown', label: 'Card nobody is told of' },
  { key: 'expired', label: 'Card whose time has ended, if you carry one', mayLack: true },
  { key: 'ended', label: 'Card whose right has ended, if you carry one', mayLack: true },
  { key: 'longer', label: 'Card that is released for longer, if you carry one', mayLack: true },
  { key: 'second', label: 'Second good card, for doors that two people pass together', mayLack: true },
]

/** All three or none: for doors that ask for a code. */
const codeLabels: { key: keyof TestCodes; label: string }[] = [
  { key: 'good', label: 'Code of the test cards, for doors that ask for one' },
  { key: 'duress', label: 'Their code under duress' },
  { key: 'unknown', label: 'Code nobody is told of' },
]

const asTyped = (card: StoredCard | undefined): string =>
  card ? (card.serial ?? `${card.facility} ${card.number}`) : ''

function Kit() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const kit = facts.testCards['kit']
  const [form, setForm] = useState(
    () => Object.fromEntries(kitLabels.map(({ key }) => [key, asTyped(kit?.[key])])) as Record<TestCard, string>,
  )
  const [codes, setCodes] = useState<TestCodes>(() => kit?.codes ?? { good: '', duress: '', unknown: '' })
  const [wrong, setWrong] = useState('')
  const [format, setFormat] = useState(kit?.good.format ?? usualFormat)
  const cardIn = (text: string): StoredCard | null => {
    if (isSerial(format)) return serialCard(format, text)
    const [facility, number] = text
      .trim()
      .split(/\s+/)
      .map((t) => numberIn(t))
    return facility == null || number == null ? null : numberedCard(format, facility, number)
  }
  const keep = async () => {
    const cards = kitLabels
      .filter(({ key, mayLack }) => !mayLack || form[key].trim())
      .map(({ key }) => [key, cardIn(form[key])] as const)
    if (cards.some(([, c]) => !c)) {
      setWrong('Write each card as facility and number, for example 88 10001.')
      return
    }
    const typed = Object.values(codes).some((c) => c.trim())
    const kept = Object.fromEntries(codeLabels.map(({ key }) => [key, codes[key].trim()]))
    await send('testCards.put', {
      id: 'kit',
      ...Object.fromEntries(cards),
      ...(typed ? { codes: kept } : {}),
    } as TestCards)
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  }
  return (
    <Sheet title="Test cards">
      <T tone="quiet">Cards you carry to prove doors. They open only doors that are not signed yet.</T>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <FormatPick label="Format of the test cards" value={format} onChange={setFormat} />
      {kitLabels.map(({ key, label }) => (
        <Field
          key={key}
          label={label}
          value={form[key]}
          onChange={(v) => setForm({ ...form, [key]: v })}
          hint={isSerial(format) ? '04 A1 B2 C3' : '88 10001'}
          mono
        />
      ))}
      {codeLabels.map(({ key, label }) => (
        <Field
          key={key}
          label={label}
          value={codes[key]}
          onChange={(v) => setCodes({ ...codes, [key]: v })}
          keyboard="numeric"
          mono
        />
      ))}
      <Action kind="plain" label="Save the test cards" onPress={keep} />
      <Action
        kind="plain"
        label="Card formats"
        aside={`${all(facts, 'cardFormat').length} of this job`}
        onPress={() => router.push('/formats')}
      />
    </Sheet>
  )
}
