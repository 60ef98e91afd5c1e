export * from './kept'
export * from './oddity'
