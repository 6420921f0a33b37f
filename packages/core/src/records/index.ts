export { declarationOf, recordKinds } from './kinds'
export * from './apply'
export * from './snapshot'
