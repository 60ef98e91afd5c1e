import type { Stage } from '../stage'
import { compositionOf, metersPart, methodPart, rigsPart, withdrawnPart, withForm } from './useReport'

const stage = (words: string, place?: 'answer' | 'unit' | 'rig' | 'end'): Stage => ({
  words,
  pages: [{ path: words, load: () => Promise.resolve({ default: () => null }) }],
  state: () => ({ said: '', done: 'none' }),
  ...(place ? { report: [{ words, place, Part: () => null, fetch: () => Promise.resolve() }] } : {}),
})
const stages = [
  stage('The unit', 'unit'),
  stage('Ladder', 'rig'),
  stage('Waves', 'rig'),
  stage('Findings', 'answer'),
  stage('Make safe', 'end'),
  stage('Photographs', 'end'),
  stage('Silent'),
]
const keys = (blocks: readonly { key: string }[]) => blocks.map(({ key }) => key)

describe('the parts of a report', () => {
  const usual = compositionOf(stages, undefined)
  it('are those that the stages bring, the answer first, rig by rig in the middle', () => {
    expect(keys(usual.blocks)).toEqual([
      'Findings',
      'The unit',
      methodPart,
      metersPart,
      rigsPart,
      withdrawnPart,
      'Make safe',
      'Photographs',
    ])
    expect(keys(usual.inRigs)).toEqual(['Ladder', 'Waves'])
  })

  it('of another unit’s stages are left out, and own words stay', () => {
    const report = {
      blocks: [
        { key: 'Ports', shown: true },
        { key: 'mine', shown: true, words: 'Read this.' },
      ],
      inRigs: [{ key: 'Waves', shown: false }],
    }
    const { blocks, inRigs } = compositionOf(stages, report)
    expect(keys(blocks)).not.toContain('Ports')
    expect(keys(blocks)).toContain('mine')
    expect(inRigs).toEqual([
      { key: 'Ladder', shown: true },
      { key: 'Waves', shown: false },
    ])
  })

  it('in short are the answer, the unit, its meters and photographs; in long all of them', () => {
    const short = withForm(usual, 'short')
    expect(keys(short.blocks.filter(({ shown }) => shown))).toEqual([
      'Findings',
      'The unit',
      metersPart,
      'Photographs',
    ])
    expect(withForm(short, 'long')).toEqual(usual)
    const picked = { key: 'one', shown: false, picked: { part: 'Ladder', rig: 1 } }
    expect(withForm({ ...usual, blocks: [picked] }, 'short').blocks[0]).toEqual({ ...picked, shown: true })
    const own = { ...usual, blocks: [{ key: 'mine', shown: true, words: 'x' }, ...usual.blocks] }
    expect(withForm(own, 'short').blocks[0]).toEqual({ key: 'mine', shown: true, words: 'x' })
  })
})
