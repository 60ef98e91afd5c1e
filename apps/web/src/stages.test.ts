import { blockKinds } from '@even-watt/contract'
import { pathOf } from './stage'
import { groups, stages } from './stages'

describe('the work order', () => {
  it('has addresses and words of its own for every stage and page', () => {
    const paths = stages.flatMap(({ pages }) => pages.map(({ path }) => path))
    expect(new Set(paths).size).toBe(paths.length)
    expect(new Set(stages.map(({ words }) => words)).size).toBe(stages.length)
    for (const path of paths) expect(path).toMatch(/^[a-z-]+(\/[a-z-]+)?$/)
  })

  it('has tabs where a stage has several pages side by side', () => {
    const tabs = Object.fromEntries(
      stages.map((stage) => [pathOf(stage), stage.pages.flatMap(({ tab }) => tab ?? [])]),
    )
    expect(tabs).toMatchObject({
      rig: ['Drawing', 'Supply', 'Load test', 'Drop survey', 'What if'],
      plan: ['Loads', 'Schedule', 'Run it', 'Run sheet', 'From paper'],
      ladder: [],
    })
  })

  it('brings parts to the report, each of another name', () => {
    const parts = stages.flatMap(({ report = [] }) => report.map(({ words }) => words))
    expect(parts).toEqual(
      expect.arrayContaining(['Findings', 'Ladder', 'Efficiency and losses', 'Harmonics']),
    )
    expect(new Set(parts).size).toBe(parts.length)
  })

  it('works no block of a schedule in two places, and only blocks that there are', () => {
    const worked = stages.flatMap(({ works }) => works ?? [])
    expect(new Set(worked).size).toBe(worked.length)
    expect(blockKinds).toEqual(expect.arrayContaining(worked))
  })

  it('begins with the answers, has seven parts besides, and ends with the report', () => {
    expect(stages[0]?.pages[0].path).toBe('answers')
    expect(groups.map(({ words }) => words)).toEqual([
      'Answers',
      'Unit',
      'Rig',
      'Measure',
      'Limits and starts',
      'Endurance',
      'Station',
      'Result',
    ])
    expect(stages.at(-1)?.words).toBe('Report')
    for (const { stages: own, opens } of groups) expect(opens ? own : [undefined]).toContain(opens)
  })
})
