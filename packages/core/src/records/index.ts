export { declarationOf, recordKinds } from './kinds'
export { replacedEvidence } from './once'
export * from './apply'
export * from './snapshot'
