export * from './lines'
export * from './worked'
