import type { Json } from '@rauta/core'

export type Dict = { [key: string]: Json }
export const dict = (value: Json): Dict =>
  value !== null && typeof value === 'object' && !Array.isArray(value) ? value : {}
export const text = (value: Json | undefined): string => (typeof value === 'string' ? value : '')
