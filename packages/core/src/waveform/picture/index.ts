export { liftTrace, type Lifted, type Picture } from './lift'
export { faultOfCorners, straighten, type Corners, type Point } from './straighten'
