export * from './net'
export * from './report'
export * from './release'
