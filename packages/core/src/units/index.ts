export * from './claims'
export * from './mains'
export * from './nominal'
export * from './oddities'
