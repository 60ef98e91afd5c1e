import { Unit, type Settings, type StoredUnit } from '@even-watt/contract'
import { outputOn } from '@even-watt/core'
import { useMemo } from 'react'
import { api } from '../api/api'
import { DocumentEditor, type DocumentKind } from '../ui/DocumentEditor'
import { blankUnit, formToUnit, unitToForm, type UnitForm } from './form'
import { UnitFields } from './UnitFields'

/** A new unit is made for the mains of the place, as they were given once. */
function blankOn(settings: Settings | null | undefined): UnitForm {
  if (!settings) return blankUnit
  const { outputVoltage, outputFrequency, phase } = outputOn(settings.mains)
  return {
    ...blankUnit,
    outputVoltage: String(outputVoltage),
    outputFrequency: String(outputFrequency),
    phase,
    price: { ...blankUnit.price, currency: settings.currency },
  }
}

const unitKind: DocumentKind<UnitForm, Unit, StoredUnit> = {
  what: 'unit',
  listPath: '/units',
  schema: Unit,
  blank: () => blankUnit,
  toForm: unitToForm,
  fromForm: formToUnit,
  useList: api.useUnitsQuery,
  useSave: api.useSaveUnitMutation,
  useDelete: api.useDeleteUnitMutation,
  Fields: UnitFields,
}

export function UnitPage() {
  const { data, isLoading } = api.useSettingsQuery()
  const kind = useMemo(() => ({ ...unitKind, blank: () => blankOn(data) }), [data])
  return isLoading ? null : <DocumentEditor kind={kind} />
}
