export { applyRecipe, recipeFits } from './apply'
export { Unreadable, type Columns } from './columns'
export { readFile } from './file'
export { guessRecipe } from './guess'
