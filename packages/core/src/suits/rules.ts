import type { SuitRule } from '@even-watt/contract'

/** Uses as a bench begins with them; each tester changes them (docs/method/suits.md). */
export const usualRules: readonly SuitRule[] = [
  {
    name: 'sensitive equipment',
    needs: [
      { figure: 'THD', is: 'at most', value: 5 },
      { figure: 'volts', is: 'at most', value: 5 },
    ],
  },
  {
    name: 'computers and clocks',
    needs: [
      { figure: 'dropout', is: 'at most', value: 20 },
      { figure: 'volts', is: 'at most', value: 10 },
    ],
  },
  {
    name: 'motors beside other equipment',
    needs: [
      { figure: 'surge', is: 'at least', value: 1.5 },
      { figure: 'start', is: 'at least', value: 80 },
    ],
  },
  {
    name: 'standby overnight',
    needs: [{ figure: 'night', is: 'at most', value: 5 }],
  },
  {
    name: 'a small battery',
    needs: [
      { figure: 'efficiency over the hours', is: 'at least', value: 85 },
      { figure: 'idle draw', is: 'at most', value: 10 },
    ],
  },
  {
    name: 'a living room',
    needs: [
      { figure: 'noise', is: 'at most', value: 40 },
      { figure: 'case', is: 'at most', value: 60 },
    ],
  },
  {
    name: 'a workshop',
    needs: [
      { figure: 'surge', is: 'at least', value: 1.8 },
      { figure: 'volts', is: 'at most', value: 10 },
    ],
  },
]
