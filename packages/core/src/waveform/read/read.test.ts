import { readFileSync } from 'node:fs'
import { analyseCapture, powerTerms } from '..'
import { applyRecipe, guessRecipe, readFile, Unreadable, type Columns } from '.'

const kept = (name: string) =>
  new Uint8Array(readFileSync(new URL(`../../../test/captures/${name}`, import.meta.url)))
const text = (words: string) => new TextEncoder().encode(words)

const figuresOf = (columns: Columns, recipe = guessRecipe(columns)) => {
  const { sampled, notes } = applyRecipe(columns, recipe)
  return { recipe, notes, ...analyseCapture(sampled) }
}

const fault = (bytes: Uint8Array) => {
  try {
    figuresOf(readFile(bytes))
  } catch (error) {
    if (error instanceof Unreadable) return error.message
    throw error
  }
  return 'taken'
}

describe('captures as rough as real ones', () => {
  it('decimal commas, a saved-at line, an empty channel: a stepped wave with droop, 8 bits', () => {
    const { figures, recipe } = figuresOf(readFile(kept('scope-a.csv')))
    const [channel] = figures.channels
    expect(recipe).toEqual({
      time: { column: 0, factor: 1e-3 },
      channels: [{ column: 1, quantity: 'V_C', factor: 1 }],
    })
    expect(figures.frequency?.value).toBeCloseTo(49.3, 2)
    expect(channel?.wave?.class).toBe('stepped')
    expect(channel?.wave?.plateau?.share).toBeCloseTo(0.6402, 2)
    // 6 % over the whole plateau is 4.8 % between its tenths, of what stands at the first of them.
    expect(channel?.wave?.plateau?.droop).toBeCloseTo(0.0483, 2)
  })
  it('a unit row, a clamp in mV per A, a probe that was not set: power as it was, volts a hundredth', () => {
    const { figures, recipe } = figuresOf(readFile(kept('scope-b.csv')))
    expect(recipe.channels).toEqual([
      { column: 1, quantity: 'V_C', factor: 1 },
      { column: 2, quantity: 'I_C', factor: expect.closeTo(0.1, 9) },
    ])
    expect(figures.frequency?.value).toBeCloseTo(60.0352, 3)
    const [v, i] = figures.channels
    if (!v || !i || figures.P === undefined) throw new Error('Not both channels.')
    expect(v.wave?.fundamental).toBeCloseTo(1.192, 2)
    expect((v.wave?.harmonics[4] as number) / 1.192).toBeCloseTo(0.011, 3)
    expect(i.rms).toBeCloseTo(7.4, 1)
    expect((100 * figures.P) / 805.8).toBeCloseTo(1, 2)
    const lag = ((powerTerms(v, i, figures.P)?.lag ?? 0) * 180) / Math.PI
    expect(lag).toBeCloseTo(24, 0)
  })
  it('one column with its step in the text above: a clipped sine', () => {
    const { figures } = figuresOf(readFile(kept('scope-c.txt')))
    const [channel] = figures.channels
    expect(channel?.wave?.thd).toBeCloseTo(0.042, 3)
    expect(channel?.wave?.shape).toBe('flat-topped')
    expect((channel?.max ?? 0) / (channel?.rms ?? 1)).toBeCloseTo(1.321, 1)
  })
  it('a sound card: shares of full scale', () => {
    const columns = readFile(kept('sound-card.wav'))
    const { figures } = figuresOf(columns, {
      rate: 48_000,
      channels: [{ column: 0, quantity: 'V_C', factor: 652 }],
    })
    expect(columns.rate).toBe(48_000)
    expect(figures.frequency?.value).toBeCloseTo(50.02, 2)
    expect(figures.channels[0]?.wave?.shape).toBe('flat-topped')
  })
})

describe('what is wrong with a file is said, and what can be taken is', () => {
  const rows = (from: number, to: number, row: (i: number) => string) =>
    Array.from({ length: to - from }, (_, i) => row(i + from)).join('\n')
  const wave = (i: number) => (325 * Math.sin((2 * Math.PI * i) / 200)).toFixed(1)
  it('text in the middle, and a place without a number', () => {
    const broken = text(
      `t/s,V_C/V\n${rows(0, 900, (i) => `${(i / 1e4).toFixed(4)},${i === 7 ? 'OL' : wave(i)}`)}\nTrigger lost\n${rows(900, 2000, (i) => `${(i / 1e4).toFixed(4)},${wave(i)}`)}`,
    )
    const columns = readFile(broken)
    expect(columns.notes).toEqual([
      '1 line of text between the numbers is left out.',
      '1 place without a number holds the one before.',
    ])
    expect(figuresOf(columns).figures.cycles).toBe(9)
  })
  it('uneven and doubled times: RMS by time, no harmonics', () => {
    const { figures, notes } = figuresOf(
      readFile(
        text(
          `time (s);V\n${rows(0, 2000, (i) => `${(i / 1e4 + (i % 3 ? 0 : 3e-5)).toFixed(6)};${wave(i)}`)}`,
        ),
      ),
    )
    expect(figures.uneven).toBe(true)
    expect(figures.cycles).toBe(0)
    expect(figures.channels[0]?.rms).toBeCloseTo(229.8, 0)
    expect(notes.at(-1)).toContain('unevenly')
  })
  it('a gap', () => {
    const { notes } = figuresOf(
      readFile(text(`time;V\n${rows(0, 1000, (i) => `${i < 500 ? i : i + 300};${wave(i)}`)}`)),
    )
    expect(notes[0]).toContain('gap of 301 s')
  })
  it.each([
    ['nothing', '', 'no rows of numbers'],
    ['words', 'hello\nworld', 'no rows of numbers'],
    ['half a document', '[1,2', 'no whole JSON'],
    ['a document without samples', '{"a":"b"}', 'no samples'],
    ['one column without a rate', '1\n2\n3\n4', 'samples a second'],
    [
      'too many places without a number',
      `a,b\n${rows(0, 100, (i) => `${i},${i % 4 ? 1 : 'OL'}`)}`,
      'lack a number',
    ],
  ])('%s', (_, content, said) => {
    expect(fault(text(content))).toContain(said)
  })
  it('bytes that are neither, a WAV cut short, and one without samples', () => {
    expect(fault(new Uint8Array(100))).toContain('neither text nor WAV')
    const whole = kept('sound-card.wav')
    expect(readFile(whole.slice(0, 40_000)).notes[0]).toContain('cut short: it holds 19978 of')
    expect(fault(whole.slice(0, 30))).toContain('ends before')
  })
  it('raw numbers as they are said to be', () => {
    const raw = new Uint8Array(new Int16Array([0, 100, -100, 32767]).buffer)
    expect([...(readFile(raw, 'int16').columns[0]?.values ?? [])]).toEqual([0, 100, -100, 32767])
  })
  it('JSON with names and units', () => {
    const columns = readFile(
      text(
        '{"rate":5000,"channels":[{"name":"outlet","unit":"V","samples":[1,-2,3]},{"unit":"A","samples":[1,-2,3]}]}',
      ),
    )
    expect(columns.rate).toBe(5000)
    expect(guessRecipe(columns).channels.map(({ quantity }) => quantity)).toEqual(['V_C', 'I_C'])
  })
})
