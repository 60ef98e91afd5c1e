export * from './claims'
export * from './oddities'
