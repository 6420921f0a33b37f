import { v7 as make } from 'uuid'

/** A time-ordered id, as every command carries one. */
export const v7 = (): string => make()
