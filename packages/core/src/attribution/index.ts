export * from './attribute'
