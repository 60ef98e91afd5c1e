import { Unit, type StoredUnit } from '@even-watt/contract'
import { api } from '../api/api'
import { DocumentEditor, type DocumentKind } from '../ui/DocumentEditor'
import { blankUnit, formToUnit, unitToForm, type UnitForm } from './form'
import { UnitFields } from './UnitFields'

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

export const UnitPage = () => <DocumentEditor kind={unitKind} />
