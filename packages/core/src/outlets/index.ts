export * from './told'
