import { sayFigure } from '../figures'
import type { Notice, Oddity } from '../oddities'
import { readingsOf } from '../trials'
import { outletLoads } from './figures'

/** 4: a load present in an idle reading. 11: a current too coarse to read there. */
export const noticeIdleLoad: Notice = ({ analysis }) => {
  const revision = analysis.record.revision.number
  const entry = readingsOf(analysis.record, 'no load').at(-1)?.id
  const at = { revision, ...(entry ? { entry } : {}) }
  const found: Oddity[] = []
  for (const figure of outletLoads(analysis.noLoad.on.read)) {
    found.push({
      number: 4,
      odd: `${sayFigure(figure)} flows at the outlet in an idle reading.`,
      why: 'Idle draw is input with every load unplugged; a power strip with a lamp is a load.',
      todo: 'Unplug everything, strip included, and read again.',
      at: { ...at, quantity: figure.symbol === 'P_C' ? 'P_C' : 'I_C' },
    })
  }
  if (analysis.noLoad.on.weak) {
    found.push({
      number: 11,
      odd: analysis.noLoad.on.weak,
      why: 'One count more or less changes the idle figure by several per cent.',
      todo: 'Use a lower range, a series ammeter or a shunt.',
      at: { ...at, quantity: 'I' },
    })
  }
  return found
}
