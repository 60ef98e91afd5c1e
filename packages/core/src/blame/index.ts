export * from './moment'
export * from './whoEnded'
export { flowing, sayThreshold } from './words'
