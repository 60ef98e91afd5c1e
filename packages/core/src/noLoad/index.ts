export * from './figures'
export * from './idle'
export * from './judges/idle'
export * from './oddities'
