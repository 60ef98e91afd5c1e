import { Load, type StoredLoad } from '@even-watt/contract'
import { v7 } from 'uuid'
import { api } from '../api/api'
import { DocumentEditor, type DocumentKind } from '../ui/DocumentEditor'
import { blankLoad, formToLoad, loadToForm, type LoadForm } from './form'
import { LoadFields } from './LoadFields'

const loadKind: DocumentKind<LoadForm, Load, StoredLoad> = {
  what: 'load',
  listPath: '/loads',
  schema: Load,
  blank: () => blankLoad(v7()),
  toForm: loadToForm,
  fromForm: formToLoad,
  useList: api.useLoadsQuery,
  useSave: api.useSaveLoadMutation,
  useDelete: api.useDeleteLoadMutation,
  Fields: LoadFields,
}

export const LoadPage = () => <DocumentEditor kind={loadKind} />
