export * from './claims'
export * from './mains'
export * from './oddities'
