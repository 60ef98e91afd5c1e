export const glyphSize = { width: 5, height: 7 }

/** Letters of five by seven dots: a row is a number whose bits are its dots, the first on the left. */
const glyphs: Readonly<Record<string, string>> = {
  A: '0e11111f111111',
  B: '1e11111e11111e',
  C: '0e11101010110e',
  D: '1e11111111111e',
  E: '1f10101e10101f',
  F: '1f10101e101010',
  G: '0e11101713110f',
  H: '1111111f111111',
  I: '0e04040404040e',
  J: '0702020202120c',
  K: '11121418141211',
  L: '1010101010101f',
  M: '111b1515111111',
  N: '11191513111111',
  O: '0e11111111110e',
  P: '1e11111e101010',
  Q: '0e11111115120d',
  R: '1e11111e141211',
  S: '0f10100e01011e',
  T: '1f040404040404',
  U: '1111111111110e',
  V: '11111111110a04',
  W: '1111111515150a',
  X: '11110a040a1111',
  Y: '1111110a040404',
  Z: '1f01020408101f',
  '0': '0e11131519110e',
  '1': '040c040404040e',
  '2': '0e11010204081f',
  '3': '1f02040201110e',
  '4': '02060a121f0202',
  '5': '1f101e0101110e',
  '6': '0608101e11110e',
  '7': '1f010204080808',
  '8': '0e11110e11110e',
  '9': '0e11110f01020c',
  '-': '0000001f000000',
  '.': '00000000000c0c',
  ',': '0000000c0c0408',
  '%': '18190204081303',
  '/': '00010204081000',
  ':': '000c0c000c0c00',
  '=': '00001f001f0000',
  '~': '00000d12000000',
  '<': '02040810080402',
  '+': '0004041f040400',
  ' ': '00000000000000',
}

/** The seven rows of a letter; one that is not drawn is a gap. */
export function glyphRows(letter: string): readonly number[] {
  const rows = glyphs[letter.toUpperCase()] ?? '00000000000000'
  return Array.from({ length: glyphSize.height }, (_, i) => parseInt(rows.slice(2 * i, 2 * i + 2), 16))
}
