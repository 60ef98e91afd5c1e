import '@tanstack/react-table'

declare module '@tanstack/react-table' {
  // eslint-disable-next-line @typescript-eslint/no-unused-vars -- the parameters are the library's
  interface ColumnMeta<TFeatures, TData, TValue> {
    right?: boolean
  }
}
