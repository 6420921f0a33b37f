export * from './fitted'
export * from './layout'
