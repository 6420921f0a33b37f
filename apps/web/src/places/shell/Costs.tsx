import { ScrollView, View } from 'react-native'
import { Action } from '../../parts/Action'
import { Cover } from '../../parts/Cover'
import { T } from '../../parts/Text'
import { markWord } from '../../signs/Rungs'
import { useCosts } from '../../state/costs'
import { useFacts } from '../../state/job'
import { useGround } from '../../theme'

const listed = 40

/** What a change would cost doors that were signed; it goes on, or is left as it is. */
export function Costs() {
  const ground = useGround()
  const asking = useCosts((s) => s.asking)
  const facts = useFacts()
  if (!asking) return null
  const { losses, answer } = asking
  const more = losses.length - listed
  const doors = losses.length === 1 ? 'A signed door loses' : `${losses.length} signed doors lose`
  return (
    <Cover name="What this change costs" onLeave={() => answer(false)}>
      <ScrollView
        style={{ flexGrow: 0, flexShrink: 1 }}
        contentContainerStyle={{ padding: 16, gap: 12, maxWidth: 720 }}
      >
        <T level={1} face="strong" size={22}>{`${doors} marks by this change`}</T>
        <T size={17}>What was proved there has to be proved and signed again. Nothing is changed yet.</T>
        <View role="list" style={{ borderTopWidth: 1, borderColor: ground.line }}>
          {losses.slice(0, listed).map((l) => (
            <View
              key={l.door}
              role="listitem"
              style={{
                flexDirection: 'row',
                gap: 16,
                paddingVertical: 10,
                borderBottomWidth: 1,
                borderColor: ground.line,
              }}
            >
              <T face="mono" size={17} style={{ minWidth: 72 }}>
                {l.ref}
              </T>
              <T size={17} style={{ flex: 1 }}>
                {facts.door[l.door]?.name ?? ''}
              </T>
              <T size={17} face="strong" style={{ flex: 1 }}>
                {l.marks.length ? l.marks.map((m) => markWord[m]).join(', ') : 'is taken away'}
              </T>
            </View>
          ))}
        </View>
        {more > 0 ? <T size={17}>{`And ${more} more.`}</T> : null}
      </ScrollView>
      <View style={{ padding: 16, gap: 8, borderTopWidth: 1, borderColor: ground.line, maxWidth: 720 }}>
        <Action kind="danger" label="Change it all the same" onPress={() => answer(true)} />
        <Action kind="plain" label="Leave it as it is" onPress={() => answer(false)} />
      </View>
    </Cover>
  )
}
