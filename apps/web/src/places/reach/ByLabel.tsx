import { readLabels, type LabelLine } from '@rauta/core'
import { useDeferredValue, useMemo, useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { counted } from '../../parts/count'
import { Field } from '../../parts/Field'
import { Notice, Sheet } from '../../parts/Screen'
import { T, type Tone } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useDraft } from '../../state/draft'
import { useFacts, useJob } from '../../state/job'

const gradeTone: Record<LabelLine['grade'], Tone> = { new: 'verdigris', changed: 'ochre', same: 'quiet', bad: 'madder' }

const mostShown = 40

/** What could not be entered stays, to be mended, under the titles that stood above it. */
const withoutLines = (text: string, lines: readonly LabelLine[]): string => {
  const entered = new Set(lines.filter((l) => l.grade !== 'bad').map((l) => l.line))
  return text
    .split(/\r\n|\r|\n/)
    .filter((_, i) => !entered.has(i + 1))
    .join('\n')
}

/** Labels of many devices, typed, scanned or pasted from a list, looked through before they are entered. */
export function ByLabel() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [text, setText, forget] = useDraft('labels', '')
  const [said, setSaid] = useState('')
  const [wrong, setWrong] = useState('')
  const typed = useDeferredValue(text)
  const lines = useMemo(() => readLabels(typed, facts), [typed, facts])
  const labels = lines.flatMap((l) => (l.label && l.grade !== 'same' ? [l.label] : []))
  const bad = lines.filter((l) => l.grade === 'bad').length
  // What is bad comes first: that is what somebody has to look at.
  const shown = [...lines].sort((a, b) => Number(b.grade === 'bad') - Number(a.grade === 'bad')).slice(0, mostShown)
  const enter = async () => {
    setWrong('')
    try {
      await send('controllers.label', { labels })
      setSaid(`Entered ${counted(labels.length, 'label')}.${bad ? ` ${counted(bad, 'line')} left out.` : ''}`)
      setText(bad ? withoutLines(text, lines) : '')
      if (!bad) forget()
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <Sheet title="By label">
      <T tone="quiet">
        One device a line: its reference, its serial, its MAC. From a delivery note, a spreadsheet or a scanner.
      </T>
      <Field
        label="Labels"
        value={text}
        onChange={(next) => {
          setSaid('')
          setText(next)
        }}
        hint="A1  0A61C001  02:00:5E:10:00:01"
        lines={4}
        mono
      />
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {said ? <Notice tone="verdigris">{said}</Notice> : null}
      {lines.length ? (
        <View role="list" aria-label="What comes of each line" style={{ gap: 8 }}>
          {shown.map((l) => (
            <View key={l.line} role="listitem" style={{ flexDirection: 'row', gap: 12 }}>
              <T face="strong" tone={gradeTone[l.grade]} style={{ width: 64 }}>
                {l.grade}
              </T>
              <View style={{ flex: 1, minWidth: 0 }}>
                {l.grade === 'bad' ? (
                  <T face="mono" size={13}>
                    {l.text}
                  </T>
                ) : null}
                <T size={15}>{l.says}</T>
              </View>
            </View>
          ))}
          {lines.length > shown.length ? <T tone="quiet">{`And ${lines.length - shown.length} more.`}</T> : null}
        </View>
      ) : null}
      {labels.length ? (
        <Action
          kind="plain"
          label={`Enter ${counted(labels.length, 'label')}`}
          {...(bad ? { aside: `${bad} left out` } : {})}
          onPress={enter}
        />
      ) : null}
    </Sheet>
  )
}
