import { flowRules, flowUseWords, type Flow, type FlowRule } from '@rauta/core/lists'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { counted } from '../../parts/count'
import { FileLinks } from '../../parts/FileLinks'
import { LazyTable } from '../../parts/LazyTable'
import { Progress } from '../../parts/Progress'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import type { TableColumn } from '../../parts/Table'
import { T, type Tone } from '../../parts/Text'
import { get, saysOf } from '../../state/api'
import { useFacts } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { useWide } from '../../theme'
import { outcomeWords, useFlowTests, type FlowTests, type Tried } from './flowTests'

const portOf = (f: Flow) => `${f.transport.toUpperCase()} ${f.port ?? '?'}`
const endOf = ({ name, address }: Flow['to']) => (address ? `${name}, ${address}` : name)

/** What the client’s IT must let through, as a list to hand over, each line tried from here. */
export function FlowsPage() {
  const { flows, wrong } = useFlows()
  const me = useSession((s) => s.me)
  const wide = useWide()
  const tests = useFlowTests()
  const tryable = (flows ?? []).filter((f) => f.test !== null)
  const missing = (flows ?? []).filter((f) => f.fault)
  const may = canFit(me)
  return (
    <Screen
      full
      title="What IT must let through"
      under="Worked out from the devices and their sheets; hand it over before the first day on site"
      bar={may && tryable.length ? <TestBar tests={tests} flows={tryable} /> : null}
    >
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {flows === null && !wrong ? <T style={{ padding: 16 }}>Works the list out …</T> : null}
      {flows?.length === 0 ? <T style={{ padding: 16 }}>No device with an address is planned yet.</T> : null}
      {missing.length ? (
        <Notice tone="ochre">{`${counted(missing.length, 'line')} still lack something: ${[...new Set(missing.map((f) => f.fault))].slice(0, 3).join(' ')}`}</Notice>
      ) : null}
      <Summary tests={tests} flows={tryable} />
      {flows?.length ? (
        <Sheet>
          <FileLinks path="/lists/flows" name="What IT must let through" />
        </Sheet>
      ) : null}
      {flows && wide ? <FlowTable flows={flows} tests={tests} may={may} /> : null}
      {flows && !wide ? flowRules(flows).map((r) => <Rule key={r.id} rule={r} tests={tests} may={may} />) : null}
    </Screen>
  )
}

/** The list as the server works it out: it knows where phones find it. */
function useFlows(): { flows: Flow[] | null; wrong: string } {
  const rev = useFacts().rev
  const [flows, setFlows] = useState<Flow[] | null>(null)
  const [wrong, setWrong] = useState('')
  useEffect(() => {
    let here = true
    get<{ flows: Flow[] }>('/flows')
      .then((answer) => {
        if (!here) return
        setFlows(answer.flows)
        setWrong('')
      })
      .catch((e: unknown) => {
        if (here) setWrong(saysOf(e))
      })
    return () => {
      here = false
    }
  }, [rev])
  return { flows, wrong }
}

function TestBar({ tests, flows }: { tests: FlowTests; flows: readonly Flow[] }) {
  const { running, start, stop } = tests
  if (!running)
    return <Action label="Test from here" aside={counted(flows.length, 'line')} onPress={() => start(flows)} />
  return (
    <>
      <Progress label="Lines tried" share={running.done / running.of} />
      <Action kind="plain" label="Stop" aside={`${running.done} of ${running.of}`} onPress={stop} />
    </>
  )
}

/** How many came out how, once something was tried. */
function Summary({ tests, flows }: { tests: FlowTests; flows: readonly Flow[] }) {
  const tried = flows.flatMap((f) => tests.of(f.id) ?? [])
  if (tried.length === 0) return null
  const bad = flows.filter((f) => !f.maybe && tests.of(f.id)?.open === false).length
  const counts = Object.entries(outcomeWords)
    .map(([outcome, word]) => [tried.filter((t) => t.outcome === outcome).length, word] as const)
    .filter(([n]) => n > 0)
    .map(([n, word]) => `${n} ${word}`)
  return <Notice tone={bad ? 'madder' : 'verdigris'}>{`Tried from this computer: ${counts.join(', ')}.`}</Notice>
}

const toneOf = (flow: Flow, tried: Tried): Tone => {
  if (tried.open) return 'verdigris'
  return flow.maybe ? 'quiet' : 'madder'
}

/** What is known of a line: what came of trying it, what it lacks, or that only the device could try it. */
function Standing({ flow, tests, short }: { flow: Flow; tests: FlowTests; short?: boolean }) {
  const tried = tests.of(flow.id)
  if (tests.trying(flow.id))
    return (
      <T size={15} tone="slate">
        tries …
      </T>
    )
  if (tried)
    return (
      <T size={15} tone={toneOf(flow, tried)} face={tried.open ? 'mid' : 'strong'}>
        {short ? outcomeWords[tried.outcome] : tried.says}
      </T>
    )
  if (flow.fault)
    return (
      <T size={15} tone="ochre">
        {short ? 'lacks something' : flow.fault}
      </T>
    )
  return (
    <T size={15} tone="quiet">
      {flow.test ? 'not tried yet' : 'can’t be tried from here'}
    </T>
  )
}

/** One rule of a firewall with everybody it is about. */
function Rule({ rule, tests, may }: { rule: FlowRule; tests: FlowTests; may: boolean }) {
  const first = rule.flows[0]
  if (!first) return null
  const byDevice = first.from.kind === 'device'
  return (
    <Sheet flush title={`${portOf(first)}${first.protocol ? ` · ${first.protocol}` : ''}`}>
      <T tone="quiet" style={{ paddingHorizontal: 16 }}>
        {byDevice
          ? `To ${endOf(first.to)}: ${flowUseWords[first.use]}`
          : `From ${endOf(first.from)}: ${flowUseWords[first.use]}`}
      </T>
      {rule.flows.map((flow) => {
        const end = byDevice ? flow.from : flow.to
        return (
          <Line
            key={flow.id}
            sign="none"
            {...(may && flow.test
              ? { label: `Try ${portOf(flow)}, ${endOf(end)}`, onPress: () => tests.start([flow]) }
              : {})}
          >
            <View style={{ gap: 2 }}>
              <View style={{ flexDirection: 'row', gap: 12, alignItems: 'baseline' }}>
                <T style={{ flex: 1 }}>{end.name}</T>
                <T face="mono">{end.address}</T>
              </View>
              <Standing flow={flow} tests={tests} />
            </View>
          </Line>
        )
      })}
    </Sheet>
  )
}

function FlowTable({ flows, tests, may }: { flows: readonly Flow[]; tests: FlowTests; may: boolean }) {
  const [chosen, setChosen] = useState<string>()
  const rows = flows.map((flow) => ({ id: flow.id, flow }))
  const shown = flows.find((f) => f.id === chosen)
  const columns: TableColumn<(typeof rows)[number]>[] = [
    { id: 'from', head: 'From', value: ({ flow }) => endOf(flow.from) },
    { id: 'to', head: 'To', value: ({ flow }) => endOf(flow.to) },
    { id: 'port', head: 'Port', value: ({ flow }) => portOf(flow), width: 96 },
    { id: 'protocol', head: 'Protocol', value: ({ flow }) => flow.protocol, width: 190 },
    {
      id: 'result',
      head: 'From here',
      value: ({ flow }) => tests.of(flow.id)?.outcome ?? '',
      cell: ({ flow }) => <Standing flow={flow} tests={tests} short />,
      width: 130,
    },
  ]
  return (
    <>
      {shown ? (
        <Sheet title={`${portOf(shown)}: ${endOf(shown.from)} to ${endOf(shown.to)}`}>
          <T>{`${shown.protocol ? `${shown.protocol}; ` : ''}${flowUseWords[shown.use]}.`}</T>
          <Standing flow={shown} tests={tests} />
          {may && shown.test ? (
            <Action kind="plain" label="Test this line" onPress={() => tests.start([shown])} />
          ) : null}
        </Sheet>
      ) : null}
      <LazyTable
        label="Lines"
        rows={rows}
        columns={columns}
        chosen={chosen}
        nameOf={({ flow }) => `${portOf(flow)}, ${endOf(flow.from)} to ${endOf(flow.to)}`}
        onOpen={({ id }) => setChosen(id)}
      />
    </>
  )
}
