import { Matrix, solve } from 'ml-matrix'

export interface Point {
  readonly x: number
  readonly y: number
}

/** Corners of a grid in a picture, in its pixels: top left, top right, bottom right, bottom left. */
export type Corners = readonly [Point, Point, Point, Point]

/** From the square (0,0) to (1,1), x to the right and y down, into the picture. */
export type Straightened = (u: number, v: number) => Point

const cross = (a: Point, b: Point, c: Point) => (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x)

/** What is wrong with corners, in a sentence; undefined where they make a grid. */
export function faultOfCorners(corners: Corners): string | undefined {
  const turns = corners.map((corner, i) =>
    cross(corner, corners[(i + 1) % 4] as Point, corners[(i + 2) % 4] as Point),
  )
  if (turns.some((turn) => Math.abs(turn) < 400))
    return 'Two corners lie together, or three in a line: put one on each corner of the grid.'
  // Going round clockwise on a screen, whose y runs down, every turn is to the right.
  if (!turns.every((turn) => turn > 0))
    return 'The corners cross over: go round the grid, from its top left corner to top right, bottom right, bottom left.'
  return undefined
}

/** The homography that puts the corners of a square onto those of a grid seen at a slant. Corners must be without fault. */
export function straighten(corners: Corners): Straightened {
  const square = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ] as const
  const rows = square.flatMap(([u, v], i) => {
    const { x, y } = corners[i] as Point
    return [
      [u, v, 1, 0, 0, 0, -u * x, -v * x],
      [0, 0, 0, u, v, 1, -u * y, -v * y],
    ]
  })
  const right = Matrix.columnVector(corners.flatMap(({ x, y }) => [x, y]))
  const [a, b, c, d, e, f, g, h] = solve(new Matrix(rows), right).to1DArray() as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  return (u, v) => {
    const depth = g * u + h * v + 1
    return { x: (a * u + b * v + c) / depth, y: (d * u + e * v + f) / depth }
  }
}
