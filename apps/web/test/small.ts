import { applyChanges, emptyFacts, type Facts } from '@rauta/core'
import { commands, shippedSheets } from '@rauta/contracts'

/** A small job, changed by the real commands; what screens send is kept. */
export function smallJob(more: [string, unknown][] = []): Facts {
  const steps: [string, unknown][] = [
    [
      'job.create',
      {
        name: 'North pier',
        client: 'C',
        site: 'S',
        zone: 'UTC',
        network: { address: '10.1.1.0', prefix: 24, gateway: '10.1.1.1', timeServer: '10.1.1.1' },
        publicKey: '',
      },
    ],
    ['area.put', { id: 'out', code: 'O', name: 'Outside' }],
    ['area.put', { id: 'in', code: 'I', name: 'Inside' }],
    [
      'controller.put',
      {
        id: 'a1',
        ref: 'A1',
        sheet: 'controller-2',
        cabinet: 'Riser',
        supply: 'supply-5',
        address: '10.1.1.21',
        serial: '',
        mac: '',
      },
    ],
    [
      'door.add',
      {
        id: 'D-01',
        fields: {
          ref: 'D-01',
          name: 'Front',
          from: 'out',
          to: 'in',
          handle: true,
          hardware: { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame' },
        },
      },
    ],
    [
      'door.add',
      {
        id: 'D-02',
        fields: {
          ref: 'D-02',
          name: 'Back',
          from: 'out',
          to: 'in',
          handle: true,
          escapeRoute: true,
          hardware: { entryReader: 'reader-slim', lock: 'strike-secure' },
        },
      },
    ],
    ['door.placeProposed', { id: 'D-01', controller: 'a1' }],
    ...['W1', 'W2', 'W3'].map((cable): [string, unknown] => ['cable.set', { door: 'D-01', cable, lengthM: 20 }]),
    ...more,
  ]
  return steps.reduce(
    (facts, [name, payload], i) =>
      applyChanges(
        facts,
        commands[name]?.apply(facts, payload as never, {
          id: `c${i}`,
          by: 'v',
          role: 'lead',
          at: i,
          sheets: shippedSheets,
        }) ?? [],
        i + 1,
      ),
    emptyFacts(),
  )
}
