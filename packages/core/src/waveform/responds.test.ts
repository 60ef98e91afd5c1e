import { seenIn, sine, stepped, clipped } from '../../test/waves'
import { averageRespondingError } from '../meters'
import { responseTo } from './responds'

const errorOf = (
  shape: Parameters<typeof seenIn>[0],
  response: 'average' | 'peak' | 'true RMS',
  bandwidth?: number,
) => {
  const { channel } = seenIn(shape, { rate: 1_000_000, start: 0.13, seconds: 0.06 })
  return responseTo(channel, 50, { response, ...(bandwidth ? { bandwidth } : {}) })
}

describe('what a meter would say', () => {
  it.each([
    [0.5, -0.215],
    [2 / 3, -0.093],
    [0.72, -0.058],
    [0.81, 0],
    [1, 0.111],
  ])('average-responding on a stepped wave of δ %f', (delta, error) => {
    const { error: found, fit } = errorOf(stepped(325, delta), 'average')
    expect(found).toBeCloseTo(error, 2)
    expect(found).toBeCloseTo(averageRespondingError(delta), 3)
    // At δ 0.81 it hits the wave by chance.
    expect(fit).toBe(false)
  })
  it('a sine is read alike by all', () => {
    for (const response of ['average', 'peak', 'true RMS'] as const)
      expect(errorOf(sine(230), response)).toMatchObject({ reading: expect.closeTo(230, 2), fit: true })
  })
  it('AC coupling loses the mean of a half wave: −22.9 %', () => {
    const half = (turn: number) => Math.max(0, sine(325)(turn))
    const { channel } = seenIn(half)
    expect(responseTo(channel, 50, { response: 'true RMS' }).error).toBeCloseTo(-0.229, 3)
    expect(responseTo(channel, 50, { response: 'true RMS', dc: true })).toMatchObject({
      error: expect.closeTo(0, 9),
      fit: true,
    })
  })
  it('peak-responding reads a clipped sine low by the clip', () => {
    const { channel } = seenIn(clipped(230, 0.9))
    expect(responseTo(channel, 50, { response: 'peak' }).reading).toBeCloseTo(0.9 * 230, 3)
  })
  it('true RMS loses what lies above its bandwidth', () => {
    const wide = errorOf(stepped(325, 0.72), 'true RMS', 20_000)
    const narrow = errorOf(stepped(325, 0.72), 'true RMS', 100)
    // Of the fundamental alone: √(8/(π²δ))·sin(πδ/2).
    expect(1 + narrow.error).toBeCloseTo(Math.sqrt(8 / (Math.PI ** 2 * 0.72)) * Math.sin(Math.PI * 0.36), 3)
    expect(Math.abs(wide.error)).toBeLessThan(0.005)
    expect(narrow).toMatchObject({ fit: false, why: expect.stringContaining('above its 100 Hz') })
  })
})
