import {
  all,
  boardOf,
  cableName,
  carriesFaults,
  checkOff,
  hangsWords,
  stillBefore,
  type Controller,
  type Facts,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { View } from 'react-native'
import { Action, Tick } from '../../parts/Action'
import { FileLinks } from '../../parts/FileLinks'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { UndoBar } from '../../parts/UndoBar'
import { Strip } from '../../signs/Strip'
import { useFacts, useJob } from '../../state/job'
import { Missing } from '../shell/Missing'

/** What is joined to this board besides its doors: expanders in their order, the board that feeds it, those it feeds. */
function boardLinks(facts: Facts, controller: Controller): string[] {
  const run = (feed: NonNullable<Controller['fedFrom']>) => `${feed.lengthM} m of ${cableName(feed.type)}`
  return [
    ...(controller.expanders ?? []).map(
      (e, i) =>
        `${i === 0 ? controller.ref : controller.expanders?.[i - 1]?.id} to ${e.id} ${sheetsFor(facts)[e.sheet]?.name ?? ''}`,
    ),
    ...(controller.fedFrom
      ? [`Fed on from ${facts.controller[controller.fedFrom.controller]?.ref ?? ''}, ${run(controller.fedFrom)}`]
      : []),
    ...all(facts, 'controller').flatMap((c) =>
      c.fedFrom?.controller === controller.id ? [`Feeds ${c.ref} in ${c.cabinet}, ${run(c.fedFrom)}`] : [],
    ),
  ]
}

/** A controller: its strip with everything on it, and the check-off of its cabinet. */
export function ControllerPage({ id }: { id: string }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const controller = facts.controller[id]
  if (!controller) return <Missing what="controller" which={id} />
  const sheet = boardOf(sheetsFor(facts), controller)
  const done = facts.cabinet[id]?.done ?? {}
  const items = checkOff(controller, facts, sheetsFor(facts))
  return (
    <Screen
      columns
      mono={controller.ref}
      title={sheet.name}
      under={`${controller.cabinet} · ${controller.address}`}
      bar={<Action label="Reach it" aside={controller.address} onPress={() => router.push(`/reach/${id}`)} />}
    >
      {carriesFaults(controller, all(facts, 'door'), all(facts, 'unit'), sheetsFor(facts)).map((f) => (
        <Notice key={f} tone="ochre">
          {f}
        </Notice>
      ))}
      <Sheet
        title={`${hangsWords(controller, sheet)}, ${items.filter((i) => done[i.id]).length} of ${items.length} checked`}
      >
        {items.map((item) => (
          <View key={item.id}>
            <Tick
              label={item.says}
              on={!!done[item.id]}
              onPress={() => send('cabinet.check', { controller: id, item: item.id, done: !done[item.id] })}
            />
            {stillBefore(item, items, done).length ? (
              <T
                size={13}
                tone={done[item.id] ? 'madder' : 'ochre'}
                style={{ marginLeft: 42 }}
              >{`First: ${stillBefore(item, items, done)[0]?.says ?? ''}`}</T>
            ) : null}
          </View>
        ))}
      </Sheet>
      <Sheet title="Lamps and sounds">
        {sheet.controller?.lamps.map((l) => (
          <T key={l.lamp}>{`${l.lamp}: ${l.means}`}</T>
        ))}
      </Sheet>
      <Sheet flush title={`Strip, terminal 1 at the ${sheet.controller?.terminalOneAt ?? 'left'}`}>
        <Strip controller={controller} />
      </Sheet>
      {boardLinks(facts, controller).length ? (
        <Sheet title="Links to other boards">
          {boardLinks(facts, controller).map((l) => (
            <T key={l}>{l}</T>
          ))}
        </Sheet>
      ) : null}
      <Sheet>
        <Action
          kind="plain"
          label={`Inside of ${controller.cabinet}`}
          onPress={() => router.push(`/cabinets/${encodeURIComponent(controller.cabinet)}`)}
        />
        <Action kind="plain" label="Edit the controller" onPress={() => router.push(`/controllers/${id}/edit`)} />
        <Action kind="plain" label="Its supply, volts and battery" onPress={() => router.push(`/supplies/${id}`)} />
        <FileLinks path={`/controllers/${id}/sheet`} name="Sheet of this controller" kinds={['pdf']} />
        <UndoBar />
      </Sheet>
    </Screen>
  )
}
