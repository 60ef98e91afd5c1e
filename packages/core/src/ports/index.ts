export * from './judges'
export * from './shared'
export * from './sweep'
