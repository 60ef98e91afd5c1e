import { displayCells } from '../evidence'
import { temperatureCells } from '../rigs'
import type { Subject } from '../subject'
import { ladderFigures } from './catalogued'
import { analyseLadder } from './analysis'
import { efficiency } from './promises/efficiency'
import { distortion, frequency, outputVoltage, regulation } from './promises/output'
import { noticeFarFromBank } from './oddities/bankVolts'
import { noticeDigitSlip } from './oddities/digits'
import { noticeInfrared } from './oddities/infrared'
import { noticeOffsetCurrent } from './oddities/offset'
import { noticeOutlier } from './oddities/outlier'
import {
  noticeImpossibleEfficiency,
  noticeTerminalsAbovePosts,
  noticeWattsOverVoltAmperes,
} from './oddities/power'
import { noticeDrift } from './oddities/settling'

/** Resistive steps from idle to overload. */
export const ladder = {
  kinds: {
    ladder: (
      { step, load, kind, fan, alarm, end, held, lowered, temperatures, display, observed, note },
      { rig },
    ) => ({
      step,
      load,
      kind,
      fan,
      alarm,
      end,
      'held [s]': held,
      'input lowered': lowered ? 'yes' : undefined,
      ...temperatureCells(temperatures, rig),
      ...displayCells(display),
      'seen and heard': observed,
      note,
    }),
  },
  parts: { ladder: analyseLadder },
  promises: {
    efficiency,
    regulation,
    'output voltage': outputVoltage,
    frequency,
    THD: distortion,
  },
  figures: ladderFigures,
  oddities: [
    noticeImpossibleEfficiency,
    noticeWattsOverVoltAmperes,
    noticeTerminalsAbovePosts,
    noticeDrift,
    noticeFarFromBank,
    noticeDigitSlip,
    noticeOutlier,
    noticeOffsetCurrent,
    noticeInfrared,
  ],
} satisfies Subject
