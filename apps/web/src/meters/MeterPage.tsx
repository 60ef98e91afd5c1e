import { Meter, type StoredMeter } from '@even-watt/contract'
import { api } from '../api/api'
import { DocumentEditor, type DocumentKind } from '../ui/DocumentEditor'
import { blankMeter, formToMeter, meterToForm, type MeterForm } from './form'
import { MeterFields } from './MeterFields'

const meterKind: DocumentKind<MeterForm, Meter, StoredMeter> = {
  what: 'meter',
  listPath: '/meters',
  schema: Meter,
  blank: () => blankMeter,
  toForm: meterToForm,
  fromForm: formToMeter,
  useList: api.useMetersQuery,
  useSave: api.useSaveMeterMutation,
  useDelete: api.useDeleteMeterMutation,
  Fields: MeterFields,
}

export const MeterPage = () => <DocumentEditor kind={meterKind} />
