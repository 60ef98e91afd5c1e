import { stepped } from '../../../test/waves'
import { analyseCapture } from '..'
import { faultOfCorners, liftTrace, type Corners } from '.'

const corners: Corners = [
  { x: 60, y: 40 },
  { x: 560, y: 80 },
  { x: 540, y: 400 },
  { x: 80, y: 360 },
]
const trace = [180, 60, 30] as const

/** A slanted grid with a trace of two cycles over ±400 V, thick as a pen. */
function drawn(shape: (turn: number) => number, cycles = 2.6) {
  const [width, height] = [640, 480]
  const data = new Uint8ClampedArray(4 * width * height).fill(230)
  const mix = (a: number, b: number, s: number) => a + (b - a) * s
  for (let i = 0; i < 6000; i++) {
    const u = i / 6000
    // Twice the slope of the grid's edges is left out: corners of a parallelogram nearly, so a plain mix is near enough.
    for (let t = -2; t <= 2; t++) {
      const v = 0.5 - shape(u * cycles) / 800
      const left = { x: mix(corners[0].x, corners[3].x, v), y: mix(corners[0].y, corners[3].y, v) }
      const right = { x: mix(corners[1].x, corners[2].x, v), y: mix(corners[1].y, corners[2].y, v) }
      const at = 4 * (Math.round(mix(left.y, right.y, u) + t) * width + Math.round(mix(left.x, right.x, u)))
      data.set(trace, at)
    }
  }
  return { data, width, height }
}

const marks = { corners, colour: trace, seconds: 0.052, volts: 800, middle: 0 }

describe('a trace lifted from a picture', () => {
  it('shows the class of a stepped wave, and its volts to some per cent', () => {
    const lifted = liftTrace(drawn(stepped(300, 0.7)), marks)
    if ('fault' in lifted) throw new Error(lifted.fault)
    const { figures } = analyseCapture(lifted.sampled)
    expect(figures.channels[0]?.wave?.class).toBe('stepped')
    expect(figures.frequency?.value).toBeCloseTo(50, 0)
    expect((figures.channels[0]?.rms ?? 0) / (300 * Math.sqrt(0.7))).toBeCloseTo(1, 1)
    expect(lifted.half).toBeGreaterThan(1)
    expect(lifted.half).toBeLessThan(15)
  })
  it('needs the trace’s own colour', () => {
    expect(liftTrace(drawn(stepped(300, 0.7)), { ...marks, colour: [0, 0, 250] })).toEqual({
      fault: expect.stringContaining('in 0 % of the grid’s width'),
    })
  })
  it('is told from what fills the grid', () => {
    expect(liftTrace(drawn(stepped(300, 0.7)), { ...marks, colour: [230, 230, 230] })).toEqual({
      fault: expect.stringContaining('fills the grid'),
    })
  })
  it('refuses corners in a bow-tie, and corners that lie together', () => {
    const [a, b, c, d] = corners
    expect(faultOfCorners([a, c, b, d])).toContain('cross over')
    expect(faultOfCorners([a, a, c, d])).toContain('lie together')
    expect(faultOfCorners(corners)).toBeUndefined()
  })
})
