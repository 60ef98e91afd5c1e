import { firstFault as first, type Schema } from '../test/firstFault'
import {
  Checked,
  Checklist,
  Diary,
  DiaryLine,
  Mark,
  Opened,
  Photograph,
  Remark,
  ReportPlan,
  SearchQuery,
  Unit,
} from '.'

const id = '0192e4a0-0000-7000-8000-000000000001'
const corner = { x: 0.1, y: 0.9 }
const mark = { shape: 'ring', from: corner, to: { x: 1, y: 0 }, about: id }
const photograph = {
  sha256: 'a'.repeat(64),
  size: 1000,
  name: 'label.jpg',
  type: 'image/jpeg',
  width: 2000,
  height: 1500,
  marks: [mark],
}
const checked = { list: id, line: id, words: 'stud', found: 'done', torque: 8, applied: 7.9 }
const day = { id, on: '2026-03-12', what: 'cycles', value: 12, words: 'read' }
const unit = {
  name: 'Ottrel',
  kind: 'inverter',
  inputVoltage: 24,
  outputVoltage: 230,
  outputFrequency: 50,
  phase: 'single',
  wave: 'sine',
  claims: [],
}

describe('what a look-over, a list, a diary and a composed report take', () => {
  it.each<[string, Schema, unknown]>([
    ['a mark from corner to corner', Mark, mark],
    ['a photograph of nothing in particular', Photograph, { ...photograph, marks: [] }],
    ['a line done', Checked, checked],
    ['a line that does not apply', Checked, { ...checked, found: 'does not apply', applied: undefined }],
    ['a day of a diary', DiaryLine, day],
    ['a link below nought', Opened, { link: -1.2, waited: 1200 }],
    ['an open question', Remark, { kind: 'open question', words: 'Why twice?' }],
    [
      'leads and a box',
      Unit,
      {
        ...unit,
        leads: { gauge: { unit: 'AWG', number: 6 }, length: 0.6 },
        box: [{ what: 'remote', needs: 'CR2032' }],
        outlets: [{ what: 'socket', count: 2 }],
        bonding: 'floating',
      },
    ],
    ['a report with own words', ReportPlan, { blocks: [{ key: 'own', shown: true, words: '' }], inRigs: [] }],
  ])('%s', (_words, schema, taken) => expect(first(schema, taken)).toBeUndefined())
})

describe('what is refused there, and how', () => {
  it.each<[string, Schema, unknown, string]>([
    [
      'a mark beside the picture',
      Mark,
      { ...mark, to: { x: 1.2, y: 0 } },
      'Across: a share of the width, from 0 to 1.',
    ],
    ['a mark of its own', Mark, { ...mark, shape: 'star' }, 'Mark: one of ring, arrow, words.'],
    [
      'a drawing',
      Photograph,
      { ...photograph, type: 'image/svg+xml' },
      'Type of the photograph: one of image/jpeg, image/png, image/webp.',
    ],
    [
      'a picture that is flat',
      Photograph,
      { ...photograph, height: 0 },
      'Height: a whole number from 1 to 20000.',
    ],
    ['too many marks', Photograph, { ...photograph, marks: Array(41).fill(mark) }, 'Marks: 40 at most.'],
    [
      'a list of nothing',
      Checklist,
      { name: 'x', lines: [], beforeTest: true },
      'Lines: a list has at least one.',
    ],
    [
      'lines of one id',
      Checklist,
      {
        name: 'x',
        lines: [
          { id, words: 'a' },
          { id, words: 'b' },
        ],
        beforeTest: true,
      },
      'Lines: each has an id of its own.',
    ],
    [
      'a torque of nothing',
      Checked,
      { ...checked, applied: 0 },
      'Torque applied, N·m: must be above 0; up to 1000 is accepted.',
    ],
    [
      'a finding of its own',
      Checked,
      { ...checked, found: 'maybe' },
      'Found: one of done, wrong, does not apply.',
    ],
    ['a day that is none', DiaryLine, { ...day, on: '2026-02-30' }, 'Day: like 2026-03-12.'],
    ['cycles below nought', DiaryLine, { ...day, value: -1 }, 'Figure: a number from 0 to 1000000000.'],
    [
      'a diary of a lifetime',
      Diary,
      { name: 'x', lines: Array(1001).fill(day) },
      'Diary: 1000 lines at most.',
    ],
    ['a link of lightning', Opened, { link: 5000 }, 'Volts across the link: a number from -1000 to 1000.'],
    ['a remark without words', Remark, { kind: 'wish', words: ' ' }, 'Enter the remark.'],
    [
      'leads of no length',
      Unit,
      { ...unit, leads: { gauge: { unit: 'mm²', area: 10 }, length: 0 } },
      'Lead length: must be above 0; up to 100 is accepted.',
    ],
    [
      'a box without a bottom',
      Unit,
      { ...unit, box: Array(61).fill({ what: 'screw' }) },
      'Box: 60 lines at most.',
    ],
    [
      'a bond of its own',
      Unit,
      { ...unit, bonding: 'loose' },
      'Neutral and earth: one of floating, neutral bonded inside, bonds by itself, not known.',
    ],
    [
      'a report without end',
      ReportPlan,
      { blocks: Array(101).fill({ key: 'a', shown: true }), inRigs: [] },
      'Parts of the report: 100 at most.',
    ],
    ['a search for nothing', SearchQuery, { q: '' }, 'Enter the words to look for.'],
  ])('%s', (_words, schema, refused, sentence) => expect(first(schema, refused)).toBe(sentence))
})
