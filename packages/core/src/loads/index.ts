export * from './law'
export * from './quickAdd'
export * from './taken'
