export * from './charge'
export * from './input'
export * from './promises'
export * from './panels'
