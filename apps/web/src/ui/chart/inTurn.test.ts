import { inTurn } from './inTurn'

describe('what is done in turn', () => {
  beforeEach(() => jest.useFakeTimers())
  afterEach(() => jest.useRealTimers())

  it('waits until the page rests, then goes one by one in its order, without those that were let be', () => {
    const done: string[] = []
    inTurn(() => done.push('a'))
    const letBe = inTurn(() => done.push('b'))
    inTurn(() => done.push('c'))
    letBe()
    jest.advanceTimersByTime(900)
    expect(done).toEqual([])
    jest.advanceTimersByTime(110)
    expect(done).toEqual(['a'])
    jest.advanceTimersByTime(500)
    expect(done).toEqual(['a', 'c'])
  })
  it('begins again for what is asked for later', () => {
    const done: string[] = []
    inTurn(() => done.push('late'))
    jest.advanceTimersByTime(1010)
    expect(done).toEqual(['late'])
  })
})
