export * from './layout'
export * from './measure'
export { crossingsOf } from './order'
export type { Point } from './turns'
