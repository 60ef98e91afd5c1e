import { fetched } from './fetched'

describe('a component that is fetched', () => {
  it('is fetched once, however often it is asked for', async () => {
    let times = 0
    const { fetch } = fetched(() => {
      times += 1
      return Promise.resolve(() => null)
    })
    await Promise.all([fetch(), fetch()])
    await fetch()
    expect(times).toBe(1)
  })
  it('that failed is not asked for again by each try to show it', async () => {
    let times = 0
    const { fetch } = fetched(() => {
      times += 1
      return Promise.reject(new Error('away'))
    })
    await expect(fetch()).rejects.toThrow('away')
    await expect(fetch()).rejects.toThrow('away')
    expect(times).toBe(1)
  })
})
