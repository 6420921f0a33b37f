export * from './hanging'
