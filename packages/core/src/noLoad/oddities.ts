import { isFigure, sayFigure } from '../figures'
import { expanded } from '../meters'
import type { Notice, Oddity } from '../oddities'
import { readingsOf } from '../trials'

/** 4: a load present in an idle reading. 11: a current too coarse to read there. */
export const noticeIdleLoad: Notice = ({ analysis }) => {
  const revision = analysis.record.revision.number
  const entry = readingsOf(analysis.record, 'no load').at(-1)?.id
  const at = { revision, ...(entry ? { entry } : {}) }
  const found: Oddity[] = []
  for (const quantity of ['I_C', 'P_C'] as const) {
    const figure = analysis.noLoad.on.read[quantity]
    if (isFigure(figure) && figure.x.value > expanded(figure.x) && figure.x.value > 0) {
      found.push({
        number: 4,
        odd: `${sayFigure(figure)} flows at the outlet in an idle reading.`,
        why: 'Idle draw is input with every load unplugged; a power strip with a lamp is a load.',
        todo: 'Unplug everything, strip included, and read again.',
        at: { ...at, quantity },
      })
    }
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
