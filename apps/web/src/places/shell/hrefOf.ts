import type { FindEntry } from '@rauta/core/lists'
import type { Href } from 'expo-router'

/** Where a thing of the job is shown. */
export function hrefOf(of: FindEntry['at'] | { kind: 'supply'; id: string }): Href {
  switch (of.kind) {
    case 'controller':
      return `/controllers/${of.id}`
    case 'supply':
      return `/supplies/${of.id}`
    case 'unit':
      return `/supplies/units/${of.id}`
    case 'door':
      return `/doors/${of.id}`
    case 'person':
      return `/people/${of.id}`
    case 'cabinet':
      return `/cabinets/${encodeURIComponent(of.id)}`
    case 'job':
      return '/job'
  }
}
