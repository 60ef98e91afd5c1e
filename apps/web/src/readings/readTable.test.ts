import { refuseLongLines, whyNot } from './readTable'

describe('a CSV from a stranger', () => {
  it('has no line that would be read over and over', async () => {
    const file = (text: string) => new File([text], 'a.csv')
    await expect(refuseLongLines(file(`a,b\n${'1,2\r\n'.repeat(50_000)}`))).resolves.toBeUndefined()
    await expect(refuseLongLines(file('x'.repeat(2 ** 17)))).rejects.toThrow(
      'A line has more than 64 kB; is this a CSV?',
    )
  })
  it('has rows, columns and cells within bounds, else the row is named', () => {
    expect(whyNot([['load'], ['rod', '25,6']], 1)).toBeUndefined()
    expect(whyNot([['1'], Array<string>(101).fill('1')], 7)).toBe(
      'Row 8 has more than 100 columns; is this a CSV?',
    )
    expect(whyNot([['1', 'x'.repeat(4001)]], 3)).toBe(
      'Row 3 has a cell of more than 4000 characters: is a quotation mark not closed?',
    )
    const some = Array.from({ length: 10 }, () => ['1'])
    expect(whyNot(some, 199_992)).toBeUndefined()
    expect(whyNot(some, 199_993)).toBe('The file has more than 200000 rows.')
  })
})
