import { capital, chosenOnRig, isFigure, sayChosen, type Analysis } from '@even-watt/core'
import { useEffect } from 'react'
import { useSearchParams } from 'react-router'
import { answer } from '../ui/answers'
import { useShowWorking } from '../ui/working'

interface Props {
  /** Of a figure of the catalogue. */
  readonly id: string
  readonly analysis: Analysis
}

/** Shows the figure that somebody looked for, on its page: worked, or why there is none yet. */
export function FoundFigure({ id, analysis }: Props) {
  const show = useShowWorking()
  const [, setParameters] = useSearchParams()
  useEffect(() => {
    const chosen = { figure: id }
    const figure = chosenOnRig(chosen, { analysis })
    if (isFigure(figure)) show(figure)
    else answer(`${capital(sayChosen(chosen))}: not known here. ${figure.missing}`)
    setParameters(
      (now) => {
        now.delete('figure')
        return now
      },
      { replace: true },
    )
  }, [id, analysis, show, setParameters])
  return null
}
