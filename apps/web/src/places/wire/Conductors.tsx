import {
  boardOf,
  coresOf,
  coreWords,
  inCurrentOrder,
  netOf,
  type Conductor,
  type Controller,
  type Door,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { View } from 'react-native'
import { Tick } from '../../parts/Action'
import { Line, Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { wireColours } from '../../signs/wireColours'
import { useFacts } from '../../state/job'
import { useGround } from '../../theme'
import { useCoreTick } from './coreTick'

/** Every conductor: the lock's circuit in the order in which the current runs, then the rest by terminal; each is ticked as it goes under its screw. */
export function Conductors({ door, controller, chosen }: { door: Door; controller: Controller; chosen: string }) {
  const facts = useFacts()
  const net = netOf(door, boardOf(sheetsFor(facts), controller), sheetsFor(facts))
  const cores = new Map(door.cables.map((cable) => [cable.id, coresOf(cable, net.conductors)]))
  const { ended, toggle, wrong } = useCoreTick(door, net.conductors)
  return (
    <Sheet flush title="Conductors, as the current runs">
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <View role="table" aria-label="Conductors">
        {inCurrentOrder(net.conductors).map((c) => (
          <ConductorRow
            key={c.id}
            conductor={c}
            cores={coreWords(cores.get(c.cable)?.of[c.id])}
            on={ended.has(c.id)}
            chosen={c.cable === chosen}
            onTick={() => toggle(c)}
          />
        ))}
        {net.links.map((l) => (
          <Line key={l.says}>
            <T>{l.says}</T>
          </Line>
        ))}
      </View>
    </Sheet>
  )
}

function ConductorRow({
  conductor: c,
  cores,
  on,
  chosen,
  onTick,
}: {
  conductor: Conductor
  cores: string
  on: boolean
  chosen: boolean
  onTick: () => unknown
}) {
  const ground = useGround()
  return (
    <View
      role="row"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        minHeight: 48,
        paddingHorizontal: 16,
        gap: 8,
        borderTopWidth: 1,
        borderColor: ground.line,
        backgroundColor: chosen ? ground.paper : ground.sheet,
      }}
    >
      <View role="cell" style={{ width: 18 }}>
        <View
          style={{
            height: 8,
            backgroundColor: wireColours[c.colour] ?? ground.ink,
            borderWidth: 1,
            borderColor: ground.quiet,
          }}
        />
      </View>
      <T role="cell" face="mono" size={13} style={{ width: 26 }}>
        {c.part}
      </T>
      <View role="cell" style={{ flex: 1 }}>
        <T>{c.colour ? `${c.leadName}, ${c.colour}` : c.leadName}</T>
        <T size={13} tone="quiet">{`${c.cable} ${cores}`}</T>
      </View>
      <T role="cell" face="mono" size={17} style={{ width: 32, textAlign: 'right' }}>
        {c.terminal.id}
      </T>
      <T role="cell" face="mid" size={13} tone="quiet" style={{ width: 32 }}>
        {c.terminal.label}
      </T>
      <View role="cell" style={{ width: 48 }}>
        <Tick under label="" name={`${c.part} ${c.leadName} on ${c.terminal.id} terminated`} on={on} onPress={onTick} />
      </View>
    </View>
  )
}
