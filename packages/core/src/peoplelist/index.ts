export * from '../columns'
export * from './meanings'
export { readPeople, type ListedPerson, type ListedPersonRow } from './read'
export * from './preview'
