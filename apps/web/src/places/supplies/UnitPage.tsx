import { all, demandsOf, networkPower, portOrigin, sheetOf, type PortAnswer } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { Suspense, useState } from 'react'
import { Action } from '../../parts/Action'
import { Figure } from '../../parts/Figure'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { Plug } from '../lazyForms'
import { Missing } from '../shell/Missing'

/** A switch or midspan: what each port gives, what is drawn, what is lost on the way, and what is left. */
export function UnitPage({ id }: { id: string }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const [wrong, setWrong] = useState('')
  const unit = facts.unit[id]
  const sheet = unit && sheetOf(sheetsFor(facts), unit.sheet)
  if (!unit || !sheet?.networkSource) return <Missing what="network switch" which={id} />
  const answer = networkPower(sheet.networkSource, demandsOf(facts, unit, sheetsFor(facts)))
  const left = answer.budgetW - answer.reservedW
  const feeds = new Map(
    all(facts, 'unitFeed')
      .filter((f) => f.unit === id)
      .map((f) => [f.port, f]),
  )
  const w = (value: number) => `${value.toFixed(1)} W`
  return (
    <Screen
      columns
      mono={unit.ref}
      title={sheet.name}
      under={`${unit.cabinet} · ${sheet.networkSource.volts} V · ${answer.freePorts.length} of ${sheet.networkSource.ports.length} ports free`}
    >
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {answer.faults.map((f) => (
        <Notice key={f} tone="madder">
          {f}
        </Notice>
      ))}
      <Sheet title="Watts">
        <Figure
          label="Set aside by the ports"
          value={`${w(answer.reservedW)} of ${answer.budgetW} W`}
          tone={left < 0 ? 'madder' : 'ink'}
          origin={{
            formula: 'Sum of the limits at the source of the classes granted.',
            inputs: answer.ports.map((p): [string, string] => [
              `Port ${p.port}`,
              `class ${p.grantedClass}, ${p.reservedW} W`,
            ]),
            source: 'IEEE 802.3 af, at, bt (from memory)',
          }}
        />
        <Figure
          label="Drawn at rest, losses counted"
          value={w(answer.drawnW)}
          origin={{
            formula: 'Watts of each device at rest plus what is lost in its run.',
            inputs: answer.ports.map((p): [string, string] => [
              p.consumer,
              p.drawnW === null ? 'collapses' : w(p.drawnW),
            ]),
            source: 'device sheets',
          }}
        />
        <Figure
          label={left < 0 ? 'Too much by' : 'Left'}
          value={w(Math.abs(left))}
          tone={left < 0 ? 'madder' : 'ink'}
          origin={{
            formula: 'Budget less what is set aside.',
            inputs: [['Budget', `${answer.budgetW} W`]],
            source: 'device sheet',
          }}
        />
      </Sheet>
      {answer.ports.map((p) => (
        <Port
          key={p.port}
          port={p}
          lengthM={feeds.get(p.port)?.lengthM ?? 0}
          onOff={
            canFit(me)
              ? () =>
                  send('unitFeed.remove', { id: feeds.get(p.port)?.id ?? '' }).catch((e: unknown) =>
                    setWrong(saysOf(e)),
                  )
              : null
          }
        />
      ))}
      <Suspense fallback={null}>{canFit(me) ? <Plug unit={unit} free={answer.freePorts} /> : null}</Suspense>
      {canFit(me) ? (
        <Sheet>
          <Action
            kind="danger"
            label={`Remove ${unit.ref}`}
            onPress={() =>
              send('unit.remove', { id })
                .then(() => router.replace('/supplies'))
                .catch((e: unknown) => setWrong(saysOf(e)))
            }
          />
        </Sheet>
      ) : null}
    </Screen>
  )
}

function Port({ port: p, lengthM, onOff }: { port: PortAnswer; lengthM: number; onOff: (() => unknown) | null }) {
  return (
    <Sheet title={`Port ${p.port}: ${p.consumer}`}>
      {p.faults.map((f) => (
        <T key={f} tone="madder">
          {f}
        </T>
      ))}
      <Figure
        label={`Class ${p.askedClass} asked for, ${p.grantedClass} granted; peak at the port`}
        value={p.peakSourceW === null ? 'collapses' : `${p.peakSourceW.toFixed(1)} W`}
        tone={p.faults.length ? 'madder' : 'ink'}
        origin={portOrigin(p, lengthM)}
      />
      <T tone="quiet">{`${lengthM} m${p.deviceV === null ? '' : `, ${p.deviceV.toFixed(1)} V at the device while it peaks`}`}</T>
      {onOff ? <Action kind="plain" label="Take it off this port" onPress={onOff} /> : null}
    </Sheet>
  )
}
