import type { Element, Markup } from '../xml'
import { child, el, elements, MalformedError, needed, textOf } from '../xml'
import type { EntityCodec } from './entities'

interface Run {
  from: number
  length: number
}

/** Extension: a way in which readers send a card's number, by fields and parity. Bits are counted from 0, the first that is sent. */
export interface OnvifCardFormat {
  token: string
  name: string
  bits: number
  facility?: Run
  number: Run
  parity: { at: number; kind: 'even' | 'odd'; over: Run }[]
  /** Format type of the credentials that are compared with it. */
  keeps: string
}

const run = (name: string, { from, length }: Run): Markup =>
  el(`cx:${name}`, { From: String(from), Length: String(length) })

/** Digits alone: an empty text is no 0. */
function whole(e: Element, name: string): number {
  const text = e.getAttribute(name) ?? ''
  if (!/^\d{1,4}$/.test(text)) throw new MalformedError(`${name} is no count of bits: ${text}`)
  return Number(text)
}
const readRun = (e: Element): Run => ({ from: whole(e, 'From'), length: whole(e, 'Length') })

function neededRun(e: Element, name: string): Run {
  const found = child(e, name)
  if (!found) throw new MalformedError(`${name} is missing.`)
  return readRun(found)
}

export const cardFormatCodec: EntityCodec<OnvifCardFormat> = {
  service: 'cx',
  name: 'CardFormat',
  list: 'GetCardFormatList',
  write: (f) =>
    el(
      'cx:CardFormat',
      { token: f.token, Bits: String(f.bits) },
      el('cx:Name', f.name),
      el('cx:FormatType', f.keeps),
      f.facility ? run('Facility', f.facility) : null,
      run('Number', f.number),
      f.parity.map((p) =>
        el('cx:Parity', { At: String(p.at), Kind: p.kind, From: String(p.over.from), Length: String(p.over.length) }),
      ),
    ),
  read(e) {
    const facility = child(e, 'Facility')
    return {
      token: e.getAttribute('token') ?? '',
      name: textOf(e, 'Name'),
      bits: whole(e, 'Bits'),
      ...(facility ? { facility: readRun(facility) } : {}),
      number: neededRun(e, 'Number'),
      parity: elements(e, 'Parity').map((p) => {
        const kind = p.getAttribute('Kind')
        if (kind !== 'even' && kind !== 'odd') throw new MalformedError(`${kind} is no parity.`)
        return { at: whole(p, 'At'), kind, over: readRun(p) }
      }),
      keeps: needed(e, 'FormatType'),
    }
  },
}
