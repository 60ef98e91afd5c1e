import { predictedInrush } from '@even-watt/core'
import { useMemo } from 'react'
import { api } from '../api/api'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { HowLong } from './HowLong'
import { SurgePart } from './SurgePart'

/** What a peak is worth, and for how long. */
export function SurgePage() {
  const { trial, analysis, view } = useTrial()
  const { data: shelf } = api.useLoadsQuery()
  const { outputVoltage } = analysis.record.revision.unit
  const machines = useMemo(
    () =>
      (shelf ?? []).flatMap((load) => {
        const inrush = predictedInrush(load)
        const fits = Math.abs(load.volts / outputVoltage - 1) < 0.15
        return inrush && fits && Number.isFinite(inrush.to)
          ? [{ name: load.name, VA: inrush.to, by: inrush.by }]
          : []
      }),
    [shelf, outputVoltage],
  )
  return (
    <>
      <StageHead title="Surge and time" />
      <SurgePart title={trial.title} analysis={analysis} findings={view.findings} machines={machines} />
      <HowLong />
    </>
  )
}
