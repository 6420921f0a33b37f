import { atHandList, type AtHandItem } from '@rauta/core/lists'
import { sheetsFor } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { Action, Chips, Tick } from '../../parts/Action'
import { FileLinks } from '../../parts/FileLinks'
import { Button } from '../../parts/controls'
import { Field } from '../../parts/Field'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { faces, useGround } from '../../theme'

const groupWords: Record<AtHandItem['group'], string> = {
  cable: 'Cables',
  device: 'Devices',
  'small part': 'Small parts',
  battery: 'Batteries and cells',
  card: 'Cards and tags',
  'tool and key': 'Tools, keys and leads',
  licence: 'Licences',
}
const order: readonly AtHandItem['group'][] = [
  'tool and key',
  'licence',
  'card',
  'cable',
  'device',
  'small part',
  'battery',
]

/** What must be ordered or brought for the whole job, worked out from the plan and the device sheets. */
export function AtHandPage() {
  const facts = useFacts()
  const [show, setShow] = useState<'open' | 'all'>('open')
  const list = atHandList(facts, sheetsFor(facts))
  const open = list.filter((i) => !facts.procured[i.id]?.got)
  const shown = show === 'open' ? open : list
  return (
    <Screen
      columns
      title="At hand"
      under={
        open.length
          ? `${open.length} of ${list.length} things are still to get`
          : list.length
            ? `All ${list.length} things are here`
            : 'Nothing is planned yet'
      }
      head={
        <View style={{ marginTop: 8 }}>
          <Chips
            label="Show"
            value={show}
            onChange={setShow}
            options={[
              { value: 'open', label: 'Still to get' },
              { value: 'all', label: 'Everything' },
            ]}
          />
        </View>
      }
    >
      {order
        .filter((g) => shown.some((i) => i.group === g))
        .map((g) => (
          <Sheet key={g} title={groupWords[g]}>
            {shown
              .filter((i) => i.group === g)
              .map((i) => (
                <Item key={i.id} item={i} />
              ))}
          </Sheet>
        ))}
      <Sheet title="As a file">
        <FileLinks path="/lists/at-hand" name="What must be at hand" />
      </Sheet>
    </Screen>
  )
}

function Item({ item }: { item: AtHandItem }) {
  const facts = useFacts()
  const ground = useGround()
  const send = useJob((s) => s.send)
  const kept = facts.procured[item.id]
  const [open, setOpen] = useState(false)
  const [from, setFrom] = useState(kept?.from ?? '')
  const [due, setDue] = useState(kept?.due ?? '')
  const [wrong, setWrong] = useState('')
  const put = (change: object) =>
    send('procured.set', { id: item.id, ...change })
      .then(() => {
        setWrong('')
        return true
      })
      .catch((e: unknown) => {
        setWrong(saysOf(e))
        return false
      })
  const many = item.count === null ? '' : `${item.count}${item.unit ? ` ${item.unit}` : ' ×'} `
  const where = [kept?.from && `from ${kept.from}`, kept?.due && `by ${kept.due}`, kept?.got && `got by ${kept.got.by}`]
    .filter(Boolean)
    .join(', ')
  return (
    <View style={{ borderBottomWidth: 1, borderColor: ground.line, paddingBottom: 0, gap: 0 }}>
      <Tick label={`${many}${item.what}`} on={!!kept?.got} onPress={() => put({ got: !kept?.got })} />
      <View style={{ marginLeft: 42, gap: 4 }}>
        <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
          <T size={13} tone="quiet" style={{ flex: 1 }}>
            {item.for}
          </T>
          {open ? null : (
            <Button
              type="clear"
              accessibilityLabel={`From whom and by when: ${item.what}`}
              onPress={() => setOpen(true)}
              buttonStyle={{ minHeight: 48, paddingHorizontal: 0 }}
              titleStyle={{ fontFamily: faces.mid, fontSize: 15, color: ground.oxide }}
              title={kept?.from || kept?.due ? 'Alter' : 'From whom'}
            />
          )}
        </View>
        {where ? <T size={13}>{where}</T> : null}
        {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
        {open ? (
          <>
            <View style={{ flexDirection: 'row', gap: 12 }}>
              <View style={{ flex: 1 }}>
                <Field label="From whom" value={from} onChange={setFrom} />
              </View>
              <View style={{ flex: 1 }}>
                <Field label="By when" value={due} onChange={setDue} mono hint="2026-12-01" />
              </View>
            </View>
            <Action
              kind="plain"
              label="Save"
              onPress={() =>
                put({ from: from.trim(), due: due.trim() }).then((ok) => {
                  if (ok) setOpen(false)
                })
              }
            />
          </>
        ) : null}
      </View>
    </View>
  )
}
