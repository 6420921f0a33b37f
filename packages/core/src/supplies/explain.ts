import { cableName, conductorOhmPerKm } from '../power/conductor'
import { channelOhmPer100m, type PortAnswer } from '../power/ethernet'
import type { Door } from '../doors/door'
import type { LockAnswer, SupplyReport } from './report'
import type { PowerPlan } from '../power/records'

/** Where a number comes from: how it is worked out, of what, and who says so. */
export interface Origin {
  formula: string
  inputs: [string, string][]
  source: string
}

const n = (value: number, digits = 2) => value.toFixed(digits)

export function lockOrigin(answer: LockAnswer, door: Door | undefined, celsius: number): Origin {
  const cables = (door?.cables ?? []).filter((c) => c.part === answer.part || c.part === 'B1')
  return {
    formula:
      'Kirchhoff over the whole tree of this supply: volts of the supply, less amps times ohms on the way. The coil counts as its nominal volts over its amps.',
    inputs: [
      ...cables.map((c): [string, string] => [
        `${c.id} to ${c.part}`,
        `${cableName(c.type)}, ${c.lengthM} m, 2 × ${n(conductorOhmPerKm(c.type, celsius), 1)} Ω/km at ${celsius} °C`,
      ]),
      ['It needs', `${answer.leastV} V (device sheet)`],
    ],
    source: 'IEC 60228 and ASTM B258, values from memory; volts and amps of the lock from its device sheet',
  }
}

export function ampsOrigin(report: SupplyReport, which: 'rest' | 'worst'): Origin {
  const nominal = report.moments.filter((m) => m.state === 'nominal' && m.amps !== null)
  const worst = nominal.reduce((a, b) => ((b.amps ?? 0) > (a?.amps ?? -1) ? b : a), nominal[0])
  return which === 'rest'
    ? {
        formula: 'Sum of what draws while nobody passes: board, readers, and locks that are fed while they are shut.',
        inputs: [['Moment', 'At rest, supply as set']],
        source: 'Amps at rest from the device sheets, over the cables of the plan',
      }
    : {
        formula: 'The largest of all moments, plus what the charger takes.',
        inputs: [
          ['Worst moment', worst?.says ?? ''],
          ['Charger', `${n(report.chargerA)} A`],
        ],
        source: 'Device sheets, over the cables of the plan',
      }
}

export function batteryOrigin(report: SupplyReport, plan: PowerPlan): Origin {
  const need = report.battery?.need
  return {
    formula:
      'Amps at rest × hours, plus what the locks take when they move; × 1.25 for ageing, ÷ what is left in the cold, × the rate effect (Peukert).',
    inputs: [
      ['Amps at rest', report.restA === null ? 'not known' : `${n(report.restA)} A`],
      ['Hours', `${plan.hours} h`],
      ['Arithmetic', need ? `${n(need.arithmeticAh)} Ah` : ''],
      ['Ageing', `× ${need?.factors.ageing ?? 1.25}`],
      ['Cold', `÷ ${n(need?.factors.cold ?? 1)} at ${plan.celsius} °C`],
      ['Rate', need?.factors.rate === null || need === undefined ? 'not counted' : `× ${n(need.factors.rate)}`],
    ],
    source: 'Ageing factor of life-safety standby calculations; cold: common practice, no source',
  }
}

export function portOrigin(port: PortAnswer, lengthM: number): Origin {
  return {
    formula:
      'Watts at the source are watts at the device plus amps² × ohms of the run; what the port sets aside is the limit of its class.',
    inputs: [
      ['Asked for', `class ${port.askedClass}`],
      ['Granted', `class ${port.grantedClass}`],
      ['Run', `${lengthM} m, ${channelOhmPer100m} Ω per 100 m over two pairs`],
      ['Lost in the run at the peak', port.lossW === null ? 'collapses' : `${n(port.lossW)} W`],
    ],
    source: 'IEEE 802.3 af, at, bt (from memory)',
  }
}
