export * from './decode'
export * from './read'
export * from './write'
export { tableCsv, tableXlsx, type TableOut } from './tables'
