import { useOnRig } from '../catalogue/useOnRig'
import type { ReportProps } from '../stage'
import { WhoMinds } from './WhoMinds'

export function MindsPart({ state: { view }, analysis }: ReportProps) {
  return <WhoMinds on={useOnRig(view.analyses, analysis)} />
}
