import { cableName, type Cable, type Door } from '@rauta/core'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { cableKinds, codeOf, typeOf } from '../../parts/cableKinds'
import { Field, numberIn } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useJob } from '../../state/job'

/** What was built in place of what was planned: opened where it is asked for. */
export function AsBuilt({ door, cable }: { door: Door; cable: Cable }) {
  const send = useJob((s) => s.send)
  const [open, setOpen] = useState(false)
  const [length, setLength] = useState(cable.lengthM ? String(cable.lengthM) : '')
  const [code, setCode] = useState(codeOf(cable.type))
  const [wrong, setWrong] = useState('')
  if (!open) return <Action kind="plain" label={`${cable.id} was built otherwise`} onPress={() => setOpen(true)} />
  const keep = async () => {
    const lengthM = numberIn(length)
    if (lengthM === null || lengthM <= 0) {
      setWrong('Write the metres between the marks at both ends, for example 41.')
      return
    }
    try {
      await send('cable.built', {
        door: door.id,
        cable: cable.id,
        lengthM,
        ...(code === codeOf(cable.type) ? {} : { type: typeOf(code, cable.type) }),
      })
      setOpen(false)
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <View style={{ gap: 8 }}>
      <T face="mid">{`As built; planned: ${cableName(cable.planned?.type ?? cable.type)}, ${cable.planned?.lengthM ?? cable.lengthM} m`}</T>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Field
            label={`Built length of ${cable.id}, m`}
            value={length}
            onChange={setLength}
            keyboard="decimal"
            mono
            error={wrong || undefined}
          />
        </View>
        <View style={{ flex: 1 }}>
          <Pick label={`Built kind of ${cable.id}`} value={code} options={cableKinds} onChange={setCode} />
        </View>
      </View>
      <Action kind="plain" label="Save as built" onPress={keep} />
    </View>
  )
}
