export * from './finding'
export * from './fullLoad'
export * from './judgeFigure'
export * from './outcome'
