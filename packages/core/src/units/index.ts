export * from './claims'
export * from './nominal'
export * from './oddities'
