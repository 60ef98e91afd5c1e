export * from './law'
export * from './motorShare'
export * from './quickAdd'
export * from './taken'
