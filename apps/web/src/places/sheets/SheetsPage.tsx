import { deviceKinds, kindWords } from '@rauta/core'
import { router } from 'expo-router'
import { useState } from 'react'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Line, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { sheetsByKind } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { canFit, useSession } from '../../state/session'

/** Every device type there is a sheet for, by kind. @param chosen the one that stands beside the list */
export function SheetsPage({ chosen }: { chosen?: string | undefined }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const [find, setFind] = useState('')
  const text = find.trim().toLowerCase()
  const sheets = sheetsByKind(facts).filter((s) => !text || `${s.name} ${s.says} ${s.id}`.toLowerCase().includes(text))
  return (
    <Screen
      title="Device sheets"
      under={`${sheets.length} types of device; nothing in Rauta knows one by its name`}
      head={<Field label="Find a device" value={find} onChange={setFind} />}
      bar={canFit(me) ? <Action label="Add a device sheet" onPress={() => router.push('/sheets/new')} /> : null}
    >
      {deviceKinds.map((kind) => {
        const mine = sheets.filter((s) => s.kind === kind)
        return mine.length === 0 ? null : (
          <Sheet key={kind} flush title={kindWords[kind][1]}>
            {mine.map((s) => (
              <Line key={s.id} label={s.name} chosen={s.id === chosen} onPress={() => router.push(`/sheets/${s.id}`)}>
                <T face="strong">
                  {s.name}
                  {facts.sheet[s.id] ? ' · yours' : ''}
                </T>
                <T tone="quiet" size={13}>
                  {s.says}
                </T>
              </Line>
            ))}
          </Sheet>
        )
      })}
      {sheets.length === 0 ? (
        <T style={{ padding: 16 }}>No device sheet matches. Add one from the maker’s data sheet.</T>
      ) : null}
    </Screen>
  )
}
