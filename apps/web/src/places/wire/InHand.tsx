import type { Conductor, Door } from '@rauta/core'
import { View } from 'react-native'
import { Action, Tick } from '../../parts/Action'
import { Notice } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { wireColours } from '../../signs/wireColours'
import { useGround } from '../../theme'
import { useCoreTick } from './coreTick'

/** The conductor that was tapped on the drawing, large: its colour, its two ends, its tick. */
export function InHand({ door, conductor: c, onPutDown }: { door: Door; conductor: Conductor; onPutDown: () => void }) {
  const ground = useGround()
  const { ended, toggle, wrong } = useCoreTick(door, [c])
  return (
    <View role="group" aria-label="Conductor in hand" style={{ padding: 12, gap: 8, borderTopWidth: 1, borderColor: ground.line }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
        <View style={{ width: 28, height: 28, backgroundColor: wireColours[c.colour] ?? ground.sheet, borderWidth: 1.5, borderColor: ground.quiet }} />
        <View style={{ flex: 1 }}><T face="strong" size={17}>{`${c.part} ${c.leadName}${c.colour ? `, ${c.colour}` : ', no colour: meter it first'}`}</T><T tone="quiet">{`${c.cable} to terminal`}</T></View>
        <T face="mono" size={28}>{c.terminal.id}</T>
        <T face="mid" tone="quiet">{c.terminal.label}</T>
        <Tick under label="ended" name={`${c.part} ${c.leadName} ended`} on={ended.has(c.id)} onPress={() => toggle(c)} />
      </View>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Action kind="plain" label="Put it down" onPress={onPutDown} />
    </View>
  )
}
