import type { Found } from '@rauta/core'

export const serial = '0A61C001'
export const mac = '02:00:5E:10:00:01'

/** A factory-new controller that was found and that nobody matched. */
export const found = (over: Partial<Found> = {}): Found => ({
  id: 'f1',
  address: '10.1.1.21',
  port: 80,
  name: '',
  model: 'controller-2',
  serial,
  mac,
  routable: true,
  ownership: 'factory',
  holds: null,
  seenAt: 1,
  controller: null,
  ...over,
})
