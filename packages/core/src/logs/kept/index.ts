export * from './series'
