import type { Claim, ClaimStepName } from '@rauta/core'
import { View } from 'react-native'
import { Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useGround } from '../../theme'

export type StepWords = Readonly<Partial<Record<ClaimStepName, string>>>

const stateWord = { todo: 'to do', running: 'at work', done: 'done', waits: 'waits for you', failed: 'failed' } as const
const tone = { todo: 'quiet', running: 'slate', done: 'verdigris', waits: 'ochre', failed: 'madder' } as const

/** The steps by which a device is taken into service, each as it was stored. @param under said beneath a step, besides what came of it */
export function StepList({
  claim,
  words,
  under = () => '',
}: {
  claim: Claim
  words: StepWords
  under?: (step: ClaimStepName) => string
}) {
  const ground = useGround()
  return (
    <Sheet flush title="Steps">
      <View role="list">
        {claim.steps.map((s) => (
          <View
            key={s.name}
            role="listitem"
            aria-label={`${words[s.name] ?? s.name}: ${stateWord[s.state]}`}
            style={{
              flexDirection: 'row',
              gap: 12,
              paddingHorizontal: 16,
              paddingVertical: 10,
              borderTopWidth: 1,
              borderColor: ground.line,
            }}
          >
            <View
              style={{
                width: 6,
                alignSelf: 'stretch',
                backgroundColor: s.state === 'todo' ? 'transparent' : ground[tone[s.state]],
                borderWidth: s.state === 'todo' ? 1 : 0,
                borderColor: ground.quiet,
              }}
            />
            <View style={{ flex: 1 }}>
              <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
                <T face="strong">{words[s.name] ?? s.name}</T>
                <T size={13} tone={tone[s.state]}>
                  {stateWord[s.state]}
                </T>
              </View>
              {s.says && s.state !== 'todo' ? <T tone="quiet">{s.says}</T> : null}
              {under(s.name) ? (
                <T size={13} tone="quiet">
                  {under(s.name)}
                </T>
              ) : null}
            </View>
          </View>
        ))}
      </View>
    </Sheet>
  )
}
