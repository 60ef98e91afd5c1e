export * from './told'
export { gaugeOf } from './cord'
