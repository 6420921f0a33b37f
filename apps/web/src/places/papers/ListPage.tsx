import type { Facts, Loss } from '@rauta/core'
import type { PaperView } from '@rauta/contracts'
import { router, type Href } from 'expo-router'
import { useEffect, useRef, useState } from 'react'
import { View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { counted } from '../../parts/count'
import { T, type Tone } from '../../parts/Text'
import { UndoBar } from '../../parts/UndoBar'
import { AwayError, post, postFile, saysOf } from '../../state/api'
import { askAbout } from '../../state/costs'
import { useFacts } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { useGround } from '../../theme'

type State = PaperView['rows'][number]['state']
const words: Record<State, string> = { new: 'new', changed: 'changed', same: 'the same', bad: 'bad' }
const tones: Record<State, Tone> = { new: 'slate', changed: 'ochre', same: 'quiet', bad: 'madder' }
type Doing =
  | { what: 'nothing' }
  | { what: 'reading'; file: string; stop: AbortController }
  | { what: 'looking'; paper: PaperView }
  | { what: 'taken'; says: string }

/** One kind of list as this page shows it. */
export interface ListKind {
  /** Of the server: `/door-schedule`. */
  path: string
  title: string
  under: string
  /** What the file picker is called. */
  picks: string
  one: string
  more: string
  /** Where its rows stand afterwards. */
  to: { label: string; href: Href }
  /** What can be brought, in sentences. */
  about: string
  /** What a row of titles must have. */
  telling: string
  /** Stands where a row has no reference. */
  noRef: string
  /** Choices for a column. @param own what it is taken for now */
  meanings(facts: Facts, own: string): { value: string; label: string }[]
}

/** A list in and out: a file is brought, looked through row by row, and only then taken over; and the list goes out again. */
export function ListPage({
  list,
  at = '',
}: {
  list: ListKind
  /** A list that lies on the server already. */ at?: string
}) {
  const me = useSession((s) => s.me)
  const input = useRef<HTMLInputElement>(null)
  const [doing, setDoing] = useState<Doing>({ what: 'nothing' })
  const [wrong, setWrong] = useState('')
  useEffect(() => {
    if (!at) return
    post<PaperView>(`${list.path}/${at}/columns`, {})
      .then((paper) => setDoing({ what: 'looking', paper }))
      .catch((e: unknown) => setWrong(saysOf(e)))
  }, [at, list.path])
  const bring = async (files: FileList | null) => {
    if (!files?.[0]) return
    if (files.length > 1) {
      setWrong(`You chose ${files.length} files. Bring one after the other, so that each can be looked through.`)
      return
    }
    const file = files[0]
    const stop = new AbortController()
    setWrong('')
    setDoing({ what: 'reading', file: file.name, stop })
    try {
      setDoing({
        what: 'looking',
        paper: await postFile<PaperView>(`${list.path}?file=${encodeURIComponent(file.name)}`, file, stop.signal),
      })
    } catch (error) {
      setDoing({ what: 'nothing' })
      setWrong(
        stop.signal.aborted
          ? 'Stopped. Nothing was changed.'
          : saysOf(
              error instanceof AwayError
                ? new Error('The server is out of reach. Bring the file again when it answers; nothing was changed.')
                : error,
            ),
      )
    }
  }
  const take = async (paper: PaperView) => {
    try {
      const path = `${list.path}/${paper.id}/take`
      const { says, losses } = await post<{ says: string; losses?: Loss[] }>(path)
      if (losses) await askAbout(losses)
      setDoing({ what: 'taken', says: losses ? (await post<{ says: string }>(path, { sure: true })).says : says })
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  const paper = doing.what === 'looking' ? doing.paper : null
  const good = paper ? paper.counts.new + paper.counts.changed : 0
  const choose = (
    <Action
      kind={paper ? 'plain' : 'main'}
      label={paper ? 'Bring another file' : 'Bring a file'}
      onPress={() => input.current?.click()}
    />
  )
  return (
    <Screen
      title={list.title}
      under={paper ? paper.file : list.under}
      bar={
        !canFit(me) ? null : doing.what === 'reading' ? (
          <Action kind="danger" label="Stop" onPress={() => doing.stop.abort()} />
        ) : paper && good > 0 ? (
          <Action
            label={`Take ${counted(good, list.one, list.more)} over`}
            {...(paper.counts.bad ? { aside: `${paper.counts.bad} left out` } : {})}
            onPress={() => take(paper)}
          />
        ) : doing.what === 'taken' ? (
          <Action label={list.to.label} onPress={() => router.push(list.to.href)} />
        ) : (
          choose
        )
      }
    >
      <input
        ref={input}
        type="file"
        aria-label={list.picks}
        accept=".xlsx,.csv,.txt,.tsv"
        multiple
        style={{ display: 'none' }}
        onChange={(e) => {
          void bring(e.target.files)
          e.target.value = ''
        }}
      />
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {doing.what === 'reading' ? <Notice tone="slate">{`Reads ${doing.file} …`}</Notice> : null}
      {doing.what === 'taken' ? <Notice tone="verdigris">{doing.says}</Notice> : null}
      {paper ? (
        <Paper
          list={list}
          paper={paper}
          onView={(view) => setDoing({ what: 'looking', paper: view })}
          onWrong={setWrong}
        />
      ) : null}
      {paper && good > 0 && canFit(me) ? <Sheet>{choose}</Sheet> : null}
      {paper ? null : <Out list={list} />}
      {canFit(me) && !paper ? (
        <Sheet title="Changes of the plan">
          <UndoBar />
        </Sheet>
      ) : null}
    </Screen>
  )
}

function Out({ list }: { list: ListKind }) {
  const get = (path: string) => () => {
    window.location.assign(`/api/v1${list.path}${path}`)
  }
  return (
    <>
      <Sheet title="What you can bring">
        <T>{list.about}</T>
        <T tone="quiet">
          First you see, row by row, what would be new, changed, the same or bad. Nothing is changed before you say so.
        </T>
      </Sheet>
      <Sheet title="Take it with you">
        <Action kind="plain" label="The list as a workbook" aside=".xlsx" onPress={get('.xlsx')} />
        <Action kind="plain" label="The list as text" aside=".csv" onPress={get('.csv')} />
        <Action kind="plain" label="An empty one to fill in" aside=".xlsx" onPress={get('.xlsx?empty=1')} />
      </Sheet>
    </>
  )
}

function Paper({
  list,
  paper,
  onView,
  onWrong,
}: {
  list: ListKind
  paper: PaperView
  onView: (view: PaperView) => void
  onWrong: (says: string) => void
}) {
  const [filter, setFilter] = useState<'all' | State>('all')
  const [columns, setColumns] = useState(false)
  const change = (wanted: object) =>
    post<PaperView>(`${list.path}/${paper.id}/columns`, wanted)
      .then(onView)
      .catch((e: unknown) => onWrong(saysOf(e)))
  const unused = paper.columns.filter((c) => c.meaning === 'ignore').length
  const rows = paper.rows.filter((r) => filter === 'all' || r.state === filter)
  return (
    <>
      <View style={{ paddingHorizontal: 16, paddingTop: 12, gap: 8 }}>
        <T tone="quiet">{`${paper.says}. Titles in row ${paper.headerRow || '?'}.`}</T>
        {paper.tables.length > 1 ? (
          <Pick
            label="Sheet of the workbook"
            value={String(paper.table)}
            options={paper.tables.map((t, i) => ({ value: String(i), label: `${t.name}, ${t.rows} rows` }))}
            onChange={(v) => {
              void change({ table: Number(v) })
            }}
          />
        ) : null}
        <Chips
          label="Rows"
          value={filter}
          onChange={setFilter}
          options={[
            { value: 'all' as const, label: `All ${Object.values(paper.counts).reduce((a, b) => a + b, 0)}` },
            ...(['bad', 'changed', 'new', 'same'] as const)
              .filter((s) => paper.counts[s])
              .map((s) => ({ value: s, label: `${paper.counts[s]} ${words[s]}` })),
          ]}
        />
      </View>
      {paper.headerRow === 0 ? (
        <Notice tone="madder">
          {`No row of titles was found: none has ${list.telling}. Say which column is what, or which row holds the titles.`}
        </Notice>
      ) : null}
      {paper.areas.length ? (
        <Notice tone="slate">{`${paper.areas.length === 1 ? 'One area is' : `${paper.areas.length} areas are`} new: ${paper.areas
          .slice(0, 6)
          .map((a) => `${a.code} ${a.path}`)
          .join(', ')}${paper.areas.length > 6 ? ' …' : ''}.`}</Notice>
      ) : null}
      {paper.groups.length ? (
        <Notice tone="slate">{`${paper.groups.length === 1 ? 'One group is' : `${paper.groups.length} groups are`} new: ${paper.groups
          .slice(0, 6)
          .join(', ')}${paper.groups.length > 6 ? ' …' : ''}. No rule lets a new group pass a door.`}</Notice>
      ) : null}
      <Sheet title={`Columns, ${paper.columns.length - unused} of ${paper.columns.length} used`}>
        <Action
          kind="plain"
          label={columns ? 'Hide the columns' : 'Look at the columns'}
          onPress={() => setColumns(!columns)}
        />
        {columns ? <Columns list={list} paper={paper} onChange={change} /> : null}
        {columns || paper.headerRow === 0 ? (
          <TitleRow
            key={paper.headerRow}
            row={paper.headerRow}
            onChange={(headerRow) => change({ headerRow })}
            onWrong={onWrong}
          />
        ) : null}
      </Sheet>
      <Sheet flush title="Row by row">
        <View role="list" aria-label="Rows">
          {rows.map((r) => (
            <Row key={r.row} row={r} noRef={list.noRef} />
          ))}
        </View>
        {rows.length === 0 ? <T style={{ padding: 16 }}>None.</T> : null}
        {paper.shown < Object.values(paper.counts).reduce((a, b) => a + b, 0) ? (
          <T tone="quiet" style={{ padding: 16 }}>{`The first ${paper.shown} are shown, bad ones first.`}</T>
        ) : null}
      </Sheet>
    </>
  )
}

/** Where the titles stand, for a list in which no row looks like them. */
function TitleRow({
  row,
  onChange,
  onWrong,
}: {
  row: number
  onChange: (row: number) => unknown
  onWrong: (says: string) => void
}) {
  const [text, setText] = useState(row ? String(row) : '')
  const keep = () => {
    const wanted = numberIn(text)
    if (wanted === null || !Number.isInteger(wanted) || wanted < 1) {
      onWrong('The row of the titles is a whole number, as the spreadsheet counts.')
      return undefined
    }
    return onChange(wanted)
  }
  return (
    <View style={{ gap: 8 }}>
      <Field label="Titles stand in row" value={text} onChange={setText} keyboard="numeric" mono />
      <Action kind="plain" label="Take that row for the titles" onPress={keep} />
    </View>
  )
}

function Columns({
  list,
  paper,
  onChange,
}: {
  list: ListKind
  paper: PaperView
  onChange: (wanted: object) => unknown
}) {
  const facts = useFacts()
  return (
    <View style={{ gap: 8 }}>
      {paper.columns.map((c) => (
        <View key={c.index} style={{ flexDirection: 'row', gap: 12, alignItems: 'flex-end' }}>
          <View style={{ width: 120, paddingBottom: 14 }}>
            <T face="mono" size={13} tone="quiet">
              {c.letters}
            </T>
            <T face="mid" numberOfLines={2}>
              {c.group ? `${c.group}: ${c.title}` : c.title}
            </T>
            <T size={13} tone="quiet" numberOfLines={1}>
              {c.sample}
            </T>
          </View>
          <View style={{ flex: 1 }}>
            <Pick
              label={`Column ${c.letters} tells`}
              value={c.meaning}
              options={list.meanings(facts, c.meaning)}
              onChange={(v) => {
                onChange({ columns: { [c.index]: v } })
              }}
            />
          </View>
        </View>
      ))}
    </View>
  )
}

function Row({ row, noRef }: { row: PaperView['rows'][number]; noRef: string }) {
  const ground = useGround()
  return (
    <View
      role="listitem"
      style={{
        paddingHorizontal: 16,
        paddingVertical: 10,
        borderBottomWidth: 1,
        borderColor: ground.line,
        borderLeftWidth: row.state === 'bad' ? 4 : 0,
        borderLeftColor: ground.madder,
        gap: 2,
      }}
    >
      <View style={{ flexDirection: 'row', gap: 10, alignItems: 'baseline' }}>
        <T face="mono" size={13} tone="quiet" style={{ width: 40 }}>
          {row.row}
        </T>
        <T face="mono">{row.ref || noRef}</T>
        <T face="strong" numberOfLines={1} style={{ flex: 1 }}>
          {row.name}
        </T>
        <T face="mid" tone={tones[row.state]}>
          {words[row.state]}
        </T>
      </View>
      {row.faults.map((f) => (
        <T key={f.cell + f.says} style={{ paddingLeft: 50 }}>
          <T face="mono" size={13}>{`${f.cell} `}</T>
          {`${f.column}: ${f.says}. `}
          <T tone="quiet">{f.mend}</T>
        </T>
      ))}
      {row.says.map((s) => (
        <T key={s} size={13} tone="quiet" style={{ paddingLeft: 50 }}>
          {s}
        </T>
      ))}
      {row.notes.map((s) => (
        <T key={s} size={13} tone="ochre" style={{ paddingLeft: 50 }}>
          {s}
        </T>
      ))}
    </View>
  )
}
