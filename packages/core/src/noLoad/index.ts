export * from './figures'
export * from './idle'
export * from './promises/idle'
export * from './oddities'
