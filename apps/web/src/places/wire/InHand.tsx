import { readingFacts, type Cable, type Conductor, type Door, type ReadingKind } from '@rauta/core'
import { View } from 'react-native'
import { Action, Chips, Tick } from '../../parts/Action'
import { Notice } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { wireColours } from '../../signs/wireColours'
import { useGround } from '../../theme'
import { useCoreTick } from './coreTick'
import { ReadingLine } from './ReadingLine'

interface Props {
  door: Door
  cable: Cable | undefined
  conductor: Conductor
  /** Readings that can be taken on it, and the one that is being taken. */
  kinds: readonly ReadingKind[]
  measured: ReadingKind | null
  onMeasure: (kind: ReadingKind) => void
  onPutDown: () => void
}

/** The conductor that was tapped on the drawing, large: its colour, its two ends, its tick, and a reading taken on it. */
export function InHand({ door, cable, conductor: c, kinds, measured, onMeasure, onPutDown }: Props) {
  const ground = useGround()
  const { ended, toggle, wrong } = useCoreTick(door, [c])
  return (
    <View
      role="group"
      aria-label="Conductor in hand"
      style={{ padding: 12, gap: 8, borderTopWidth: 1, borderColor: ground.line }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
        <View
          style={{
            width: 28,
            height: 28,
            backgroundColor: wireColours[c.colour] ?? ground.sheet,
            borderWidth: 1.5,
            borderColor: ground.quiet,
          }}
        />
        <View style={{ flex: 1 }}>
          <T
            face="strong"
            size={17}
          >{`${c.part} ${c.leadName}${c.colour ? `, ${c.colour}` : ', no colour: meter it first'}`}</T>
          <T tone="quiet">{`${c.cable} to terminal`}</T>
        </View>
        <T face="mono" size={28}>
          {c.terminal.id}
        </T>
        <T face="mid" tone="quiet">
          {c.terminal.label}
        </T>
        <Tick
          under
          label="terminated"
          name={`${c.part} ${c.leadName} terminated`}
          on={ended.has(c.id)}
          onPress={() => toggle(c)}
        />
      </View>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {cable && kinds.length ? (
        <Chips
          label={`Reading on ${c.cable}`}
          value={measured ?? ('' as ReadingKind)}
          onChange={onMeasure}
          options={kinds.map((k) => ({ value: k, label: readingFacts[k].name }))}
        />
      ) : null}
      {cable && measured ? (
        <ReadingLine key={`${cable.id} ${measured}`} door={door} cable={cable} kind={measured} />
      ) : null}
      <Action kind="plain" label="Put it down" onPress={onPutDown} />
    </View>
  )
}
