export * from './promise'
export * from './shared'
export * from './sweep'
export * from './told'
