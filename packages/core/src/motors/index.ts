export * from './oddities'
