import { all } from '@rauta/core'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { FileLinks } from '../../parts/FileLinks'
import { Field, numberIn } from '../../parts/Field'
import { Progress } from '../../parts/Progress'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { get, post, saysOf } from '../../state/api'
import { useFacts } from '../../state/job'

interface Print {
  id: string
  total: number
  done: number
  state: 'running' | 'stopped' | 'ready' | 'failed'
  says: string
}

/** Sheets and lists on paper. */
export function PapersPage() {
  const facts = useFacts()
  const [drum, setDrum] = useState('100')
  const [ends, setEnds] = useState('2')
  const asked = [numberIn(drum), numberIn(ends)]
  const query = asked.some((n) => n === null || n < 0) ? null : `?drum=${asked[0]}&ends=${asked[1]}`
  const cabinets = [...new Set(all(facts, 'controller').map((c) => c.cabinet))].sort()
  return (
    <Screen columns title="On paper" under="A4, readable in black and white; each code opens its page here">
      <WireSheets doors={all(facts, 'door').length} />
      <Sheet title="Conductors">
        <T>What the wire sheets tell, as one list: every conductor with its two ends, colour, cable and core.</T>
        <FileLinks path="/lists/conductors" name="Conductors" />
      </Sheet>
      <Sheet title="Cable list">
        <T>Every cable with both its ends, its kind, its length, and how far it has come.</T>
        <FileLinks path="/lists/cables" name="Cable list" />
      </Sheet>
      <Sheet title="Cut list">
        <T>
          Which pieces to cut from which drum, the longest first, so that little is left over. Only what is still to
          pull.
        </T>
        <View style={{ flexDirection: 'row', gap: 12 }}>
          <View style={{ flex: 1 }}>
            <Field label="Metres on a drum" value={drum} onChange={setDrum} keyboard="decimal" mono />
          </View>
          <View style={{ flex: 1 }}>
            <Field label="For both ends, m" value={ends} onChange={setEnds} keyboard="decimal" mono />
          </View>
        </View>
        {query === null ? (
          <Notice tone="madder">Write metres, for example 100 and 2.</Notice>
        ) : (
          <FileLinks path="/lists/cuts" name="Cut list" query={query} />
        )}
      </Sheet>
      <Sheet title="What IT must let through">
        <T>Which device talks with which, over which port: to be handed over before the first day on site.</T>
        <FileLinks path="/lists/flows" name="What IT must let through" />
      </Sheet>
      <Sheet title="Labels">
        <T>For both ends of each cable, for each door and each controller.</T>
        <FileLinks path="/lists/labels" name="Labels" />
      </Sheet>
      <Sheet title="Cabinets">
        {cabinets.length === 0 ? <T tone="quiet">No controller is planned yet.</T> : null}
        <FileLinks path="/lists/checks" name="Check-off of the cabinets" />
        {cabinets.map((c) => (
          <FileLinks key={c} path={`/cabinets/${encodeURIComponent(c)}/sheet`} name={c} kinds={['pdf']} />
        ))}
      </Sheet>
    </Screen>
  )
}

/** All wire sheets in one file: how far they are, and a stop. */
function WireSheets({ doors }: { doors: number }) {
  const [print, setPrint] = useState<Print | null>(null)
  const [wrong, setWrong] = useState('')
  const running = print?.state === 'running'
  const id = print?.id
  useEffect(() => {
    if (!running || !id) return
    const timer = setInterval(() => {
      get<Print>(`/wire-sheets/${id}`)
        .then(setPrint)
        .catch((e: unknown) => {
          setWrong(saysOf(e))
          setPrint(null)
        })
    }, 500)
    return () => clearInterval(timer)
  }, [running, id])
  const ask = (path: string) =>
    post<Print>(path)
      .then((p) => {
        setWrong('')
        setPrint(p)
      })
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <Sheet title="Wire sheets">
      <T>One for each door: drawing, conductors with both their ends, what to mind, readings with their windows.</T>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {print ? (
        <View role="status" style={{ gap: 6 }}>
          <Progress label="Sheets made" share={print.total ? print.done / print.total : 0} />
          <T>{print.says}</T>
        </View>
      ) : null}
      {running ? (
        <Action
          kind="plain"
          label="Stop"
          aside={`${print.done} of ${print.total}`}
          onPress={() => ask(`/wire-sheets/${print.id}/stop`)}
        />
      ) : (
        <Action
          kind={print ? 'plain' : 'main'}
          label={print ? 'Make them again' : 'Make the wire sheets'}
          aside={`${doors} doors`}
          onPress={() => ask('/wire-sheets')}
        />
      )}
      {print && (print.state === 'ready' || (print.state === 'stopped' && print.done > 0)) ? (
        <FileLinks path={`/wire-sheets/${print.id}/file`} name="Wire sheets" kinds={['pdf']} />
      ) : null}
    </Sheet>
  )
}
