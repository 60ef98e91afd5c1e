export * from './charge'
export * from './input'
export * from './judges'
export * from './panels'
