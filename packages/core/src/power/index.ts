export * from './conductor'
export * from './run'
