import { sayBytes } from './sayBytes'

describe('sizes of files', () => {
  it.each([
    [0, '0 bytes'],
    [870, '870 bytes'],
    [1024, '1.0 kB'],
    [1_468_006, '1.4 MB'],
    [64 * 2 ** 20, '64 MB'],
    [2 ** 40, '1024 GB'],
  ])('%d are %s', (bytes, said) => expect(sayBytes(bytes)).toBe(said))
})
