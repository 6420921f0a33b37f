import { written } from './written'

/** A device with an address of its own does not answer any more. */
export const deviceSilent = written({
  causes: {
    devicePowerOff: 4,
    deviceCable: 4,
    segmentDown: 3,
    deviceDead: 1,
    deviceMoved: 2,
    deviceDouble: 1,
    portBlocked: 1,
  },
  known: {
    neighbours: {
      silent: { others: 0.05, segmentDown: 0.9, portBlocked: 0.3 },
      answer: { others: 1, segmentDown: 0.05 },
    },
    greeting: { elsewhere: { deviceMoved: 0.9 }, none: { others: 1, deviceMoved: 0.1 } },
  },
  looks: {
    power: { minutes: 1, answers: { lit: 'others', dark: ['devicePowerOff'] } },
    link: { minutes: 1, answers: { lit: 'others', dark: ['devicePowerOff', 'deviceCable'] } },
    others: { minutes: 0.5, answers: { yes: 'others', no: ['segmentDown'] } },
    searched: { minutes: 1, answers: { elsewhere: ['deviceMoved'], nowhere: 'others' } },
    direct: { minutes: 6, answers: { answers: 'others', silent: ['devicePowerOff', 'deviceDead', 'deviceMoved'] } },
    beside: { minutes: 5, answers: { answers: ['segmentDown', 'portBlocked', 'deviceDouble'], silent: 'others' } },
    unplugged: { minutes: 3, answers: { somebody: ['deviceDouble'], nobody: 'others' } },
  },
})

/** Of a device on a bus that says nothing, or nothing that makes sense. */
export const busSilent = written({
  causes: {
    busPowerOff: 3,
    busAddress: 3,
    busSwapped: 2,
    busSpeed: 2,
    busCut: 2,
    busTwo: 2,
    busTerminator: 2,
    busNoise: 1,
    busDead: 1,
  },
  known: {
    busState: {
      silent: { others: 1, busTwo: 0.2, busTerminator: 0.3, busNoise: 0.2 },
      garbled: { busTwo: 0.8, busTerminator: 0.7, busNoise: 0.8 },
    },
    busOthers: {
      allSilent: { others: 0.1, busCut: 1, busPowerOff: 0.3, busTerminator: 0.5, busNoise: 0.5 },
      someAnswer: { others: 1, busCut: 0, busTerminator: 0.5, busNoise: 0.5 },
    },
  },
  looks: {
    lamp: { minutes: 0.2, answers: { lit: 'others', dark: ['busPowerOff', 'busDead'] } },
    readerVolts: { minutes: 3, answers: { there: 'others', none: ['busPowerOff'] } },
    switches: { minutes: 1, answers: { its: 'others', another: ['busAddress'] } },
    speed: { minutes: 2, answers: { its: 'others', another: ['busSpeed'] } },
    busColours: { minutes: 2, answers: { right: 'others', crossed: ['busSwapped'] } },
    terminators: { minutes: 3, answers: { right: 'others', wrong: ['busTerminator'] } },
    through: { minutes: 4, answers: { closed: 'others', open: ['busCut'] } },
    alone: { minutes: 2, answers: { somebody: ['busTwo'], nobody: 'others' } },
  },
})
