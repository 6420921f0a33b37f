import {
  boardOf,
  boardsOn,
  circuitIn,
  driveAnswer,
  fullDrive,
  netOf,
  sheetOf,
  sourceOf,
  type Controller,
  type LockAnswer,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { LineChart } from 'react-native-gifted-charts'
import { Action } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Notice } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { faces, useGround } from '../../theme'

/** Volts at a lock over the first second, against its window: pulled with all there is, then held with a share of it. */
export default function DriveLevel({ controller: supplied, answer }: { controller: Controller; answer: LockAnswer }) {
  const facts = useFacts()
  const controller = facts.controller[facts.door[answer.door]?.placement?.controller ?? ''] ?? supplied
  const ground = useGround()
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const door = facts.door[answer.door]
  const drive = door?.drive ?? fullDrive
  const [pull, setPull] = useState(String(drive.pullMs))
  const [hold, setHold] = useState(String(Math.round(drive.holdShare * 100)))
  const [wrong, setWrong] = useState('')
  const [width, setWidth] = useState(0)
  const sheets = sheetsFor(facts)
  const part = door?.parts.find((p) => p.id === answer.part)
  const lock = part && sheetOf(sheets, part.sheet).lock
  if (!door || !lock) return null
  const board = boardOf(sheets, controller)
  const circuit = circuitIn(netOf(door, board, sheets), door, sheets, answer.part)
  const source = sourceOf(board, sheets[supplied.supply], 'nominal')
  const run = boardsOn(supplied, facts.controller)
    .filter((b) => b.controller.id === controller.id)
    .reduce((sum, b) => sum + b.ohm, 0)
  if (circuit.ohm === null) return <T tone="quiet">Give its cables a length first.</T>
  const pullMs = numberIn(pull) ?? drive.pullMs
  const holdShare = Math.min(1, Math.max(0.05, (numberIn(hold) ?? 100) / 100))
  const d = driveAnswer(
    lock,
    source.volts,
    circuit.ohm + source.ohm + run,
    { pullMs, holdShare },
    door.behaviour.releaseS,
  )
  const most = Math.ceil((Math.max(d.pullV, d.leastV, lock.nominalV) + 0.5) / 4) * 4
  const keep = () =>
    send('door.edit', { id: door.id, fields: { drive: { pullMs, holdShare } } })
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  const shown = Math.max(0, width - 44)
  return (
    <View onLayout={(e) => setWidth(e.nativeEvent.layout.width)} style={{ gap: 8 }}>
      <View
        role="img"
        aria-label={`Volts at ${door.ref} ${answer.part} over the first second: ${d.pullV.toFixed(1)} V for ${pullMs} ms, then ${d.holdV.toFixed(1)} V`}
        style={{ height: 150 }}
      >
        {shown > 100 ? (
          <LineChart
            data={d.points.map((p) => ({ value: p.volts }))}
            width={shown}
            height={130}
            adjustToWidth
            stepChart
            hideDataPoints
            disableScroll
            maxValue={most}
            noOfSections={4}
            color={ground.oxide}
            thickness={2.5}
            initialSpacing={0}
            endSpacing={0}
            yAxisLabelWidth={36}
            yAxisLabelSuffix=" V"
            rulesColor={ground.line}
            xAxisColor={ground.ink}
            yAxisColor={ground.ink}
            yAxisTextStyle={{ fontFamily: faces.mono, fontSize: 13, color: ground.ink }}
            xAxisLabelsHeight={0}
            showReferenceLine1
            referenceLine1Position={d.leastV}
            referenceLine1Config={{ color: ground.madder, dashWidth: 6, dashGap: 4, thickness: 1.5 }}
            {...(d.dropOutV === null
              ? {}
              : {
                  showReferenceLine2: true,
                  referenceLine2Position: d.dropOutV,
                  referenceLine2Config: { color: ground.slate, dashWidth: 2, dashGap: 4, thickness: 1.5 },
                })}
          />
        ) : null}
      </View>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', paddingLeft: 36 }}>
        {['0', '250', '500', '750', '1000 ms'].map((l) => (
          <T key={l} face="mono" size={13}>
            {l}
          </T>
        ))}
      </View>
      <T
        size={13}
        tone="quiet"
      >{`Time after it is switched on. Long dashes: ${d.leastV} V to pull in.${d.dropOutV === null ? '' : ` Dots: it lets go under ${d.dropOutV} V.`}${d.heatsAboveV === null ? '' : ` It bears ${d.heatsAboveV.toFixed(1)} V for ever.`}`}</T>
      {d.letGoMs === null ? (
        <T size={13} tone="quiet">
          How much suppression slows its letting go, its device sheet does not tell.
        </T>
      ) : (
        <T size={13}>{`Suppression at the lock: it lets go ${d.letGoMs} ms later.`}</T>
      )}
      {d.faults.map((f) => (
        <Notice key={f} tone="madder">
          {f}
        </Notice>
      ))}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {canFit(me) ? (
        <>
          <View style={{ flexDirection: 'row', gap: 12 }}>
            <View style={{ flex: 1 }}>
              <Field label="Pulled for, ms" value={pull} onChange={setPull} keyboard="numeric" mono />
            </View>
            <View style={{ flex: 1 }}>
              <Field label="Then held with, %" value={hold} onChange={setHold} keyboard="numeric" mono />
            </View>
          </View>
          <Action kind="plain" label="Save the drive level" onPress={keep} />
        </>
      ) : null}
    </View>
  )
}
