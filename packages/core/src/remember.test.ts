import { lazily } from './lazily'
import { remembering } from './remember'

describe('what is remembered', () => {
  it('is given again while every part is the very same, and worked anew when one is not', () => {
    const squares = remembering<object, number[]>()
    const [key, part] = [{}, {}]
    let worked = 0
    const ask = (...parts: unknown[]) =>
      squares(key, parts, () => {
        worked += 1
        return [worked]
      })
    const first = ask(part, 1)
    expect(ask(part, 1)).toBe(first)
    expect(ask(part, 2)).not.toBe(first)
    expect(ask({}, 2)).not.toBe(first)
    expect(ask(part)).not.toBe(first)
    expect(ask()).toEqual([5])
    expect(ask()).toEqual([5])
  })

  it('belongs to its key', () => {
    const names = remembering<object, string>()
    const [one, two] = [{}, {}]
    expect(names(one, [], () => 'one')).toBe('one')
    expect(names(two, [], () => 'two')).toBe('two')
    expect(names(one, [], () => 'again')).toBe('one')
  })
})

describe('an object worked lazily', () => {
  const counted = () => {
    const asked: string[] = []
    const whole: { a: number; b: number } = lazily<{ a: number; b: number }>({
      a: () => (asked.push('a'), 1),
      b: () => (asked.push('b'), whole.a + 1),
    })
    return { asked, whole }
  }

  it('works out a part when it is first read, once, and parts may lean on each other', () => {
    const { asked, whole } = counted()
    expect(asked).toEqual([])
    expect([whole.b, whole.b, whole.a]).toEqual([2, 2, 1])
    expect(asked).toEqual(['b', 'a'])
  })

  it('is copied and printed like any other', () => {
    expect({ ...counted().whole }).toEqual({ a: 1, b: 2 })
    expect(JSON.stringify(counted().whole)).toBe('{"a":1,"b":2}')
  })
})
