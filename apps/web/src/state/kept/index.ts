export type { KeptPhoto, LogEntry, SnapshotRecords, Waiting } from './db'
export * from './facts'
export * from './file'
export * from './waiting'
