import {
  boardOf,
  causeFacts,
  causesAt,
  isOfInput,
  jobOf,
  momentIn,
  objectionWords,
  outcomes,
  panelWay,
  reactionFindings,
  reactionsAt,
  tellingParts,
  thenWords,
  twiceWithinS,
  whenWords,
  type Door,
  type Happening,
  type ReactionCause,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Action, Chips, Tick } from '../../parts/Action'
import { Group } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { When } from '../../parts/When'
import { peopleInOrder } from '../../state/inOrder'
import { useFacts } from '../../state/job'
import { Missing } from '../shell/Missing'

/** What follows by itself at a door, who does it, and what would come of something. */
export function ReactionsPage({ id }: { id: string }) {
  const facts = useFacts()
  const sheets = sheetsFor(facts)
  const door = facts.door[id]
  if (!door) return <Missing what="door" which={id} />
  const reactions = reactionsAt(facts, id)
  const controller = facts.controller[door.placement?.controller ?? '']
  const keeps = controller ? (boardOf(sheets, controller).controller?.reactions ?? 0) : 0
  return (
    <Screen
      mono={door.ref}
      title="Reactions"
      under={door.name}
      columns
      bar={<Action label="Add a reaction" onPress={() => router.push(`/doors/${id}/reaction`)} />}
    >
      {reactionFindings(facts, door, sheets).map((f) => (
        <Notice key={`${f.rule} ${f.says}`} tone="madder">
          {f.says}
        </Notice>
      ))}
      <Sheet flush title="When this, then that">
        {reactions.map((r) => (
          <Line key={r.id}>
            <T face="strong">{`When ${whenWords(facts, r)}`}</T>
            <T size={17}>{thenWords(facts, r)}</T>
            {r.blind === undefined ? null : <T size={13} tone="ochre">{`Blindly, by the lead’s word: ${r.blind}`}</T>}
            <View style={{ marginTop: 6 }}>
              <Action
                kind="plain"
                label="Edit"
                name={`Edit: when ${whenWords(facts, r)}, ${thenWords(facts, r)}`}
                onPress={() => router.push({ pathname: '/doors/[id]/reaction', params: { id, reaction: r.id } })}
              />
            </View>
          </Line>
        ))}
        {reactions.length === 0 ? <T style={{ padding: 16 }}>Nothing follows by itself at this door.</T> : null}
        {controller && keeps > 0 ? (
          <T tone="quiet" style={{ padding: 16 }}>
            {`${controller.ref} does all of this by itself: it goes on when this laptop is away or the network is cut.`}
          </T>
        ) : null}
      </Sheet>
      {reactions.length > 0 ? <Dry door={door} /> : null}
    </Screen>
  )
}

/** Something that is only thought of, with what would follow and what would not. */
function Dry({ door }: { door: Door }) {
  const facts = useFacts()
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const people = peopleInOrder(facts)
  const causes = causesAt(door, sheetsFor(facts))
  const [what, setWhat] = useState<ReactionCause>(reactionsAt(facts, door.id)[0]?.when ?? 'granted')
  const [part, setPart] = useState(tellingParts(door)[0]?.id ?? '')
  const [person, setPerson] = useState(people[0]?.id ?? '')
  const [again, setAgain] = useState(false)
  const [panel, setPanel] = useState<'set' | 'unset'>('set')
  const [when, setWhen] = useState('')
  const at = when.trim() ? (momentIn(zone, when) ?? NaN) : Date.now()
  const happening: Happening = {
    door: door.id,
    what,
    ...(isOfInput(what) ? { part } : {}),
    ...(what === 'granted' ? { person } : {}),
    ...(again ? { againAfterS: twiceWithinS } : {}),
    panelSet: panel === 'set',
    at,
  }
  const come = Number.isNaN(at) ? [] : outcomes(facts, happening)
  return (
    <Sheet title="What would happen">
      <Pick
        label="Think that"
        value={what}
        options={causes.map((cause) => ({ value: cause, label: causeFacts[cause].says }))}
        onChange={setWhat}
      />
      {isOfInput(what) ? (
        <Pick
          label="By which input"
          value={part}
          options={tellingParts(door).map((p) => ({ value: p.id, label: p.id }))}
          onChange={setPart}
        />
      ) : null}
      {what === 'granted' ? (
        <Pick
          label="By whom"
          value={person}
          options={people.map((p) => ({ value: p.id, label: p.name }))}
          onChange={setPerson}
        />
      ) : null}
      {what === 'granted' ? (
        <Tick label={`For the second time within ${twiceWithinS} s`} on={again} onPress={() => setAgain(!again)} />
      ) : null}
      {panelWay(door, 'setPanel') || panelWay(door, 'unsetPanel') ? (
        <Group label="The alarm panel is">
          <Chips
            label="The alarm panel is"
            value={panel}
            onChange={setPanel}
            options={[
              { value: 'set', label: 'Set' },
              { value: 'unset', label: 'Unset' },
            ]}
          />
        </Group>
      ) : null}
      <When
        kind="datetime-local"
        label="At which moment, empty for now"
        value={when}
        onChange={setWhen}
        error={Number.isNaN(at) ? 'This moment is left out here: clocks are put forward over it.' : undefined}
      />
      <View style={{ gap: 8 }}>
        {come.map(({ reaction, not }) => (
          <Notice key={reaction.id} tone={not === null ? 'verdigris' : 'slate'}>
            {not === null
              ? `Follows: ${thenWords(facts, reaction)}.`
              : `Does not follow: ${thenWords(facts, reaction)}. ${objectionWords[not]}; it waits until ${whenWords(facts, reaction)}.`}
          </Notice>
        ))}
        {come.length === 0 ? <Notice tone="slate">Nothing follows: no reaction waits for that.</Notice> : null}
      </View>
    </Sheet>
  )
}
