import { Checklist, type StoredChecklist } from '@even-watt/contract'
import { api } from '../api/api'
import { DocumentEditor, type DocumentKind, type FieldsProps } from '../ui/DocumentEditor'
import { fieldOf, LinesField, TextField } from '../ui/form'
import { blankChecklist, checklistToForm, formToChecklist, type ChecklistForm } from './form'

const checklistKind: DocumentKind<ChecklistForm, Checklist, StoredChecklist> = {
  what: 'checklist',
  listPath: '/checklists',
  schema: Checklist,
  blank: () => blankChecklist,
  toForm: checklistToForm,
  fromForm: formToChecklist,
  useList: api.useChecklistsQuery,
  useSave: api.useSaveChecklistMutation,
  useDelete: api.useDeleteChecklistMutation,
  Fields: ChecklistFields,
}

export const ChecklistPage = () => <DocumentEditor kind={checklistKind} />

function ChecklistFields({ form, errorAt }: FieldsProps<ChecklistForm>) {
  const field = fieldOf(form, errorAt)
  return (
    <div className="grid max-w-2xl gap-3">
      <TextField label="Name" {...field('name')} placeholder="terminals, before power-on" />
      <LinesField
        label="Lines, in the order in which they are worked"
        {...field('lines')}
        rows={14}
        hint="One under the other. A torque at the end of a line asks for what was applied: 8 N·m, 70 lb·in."
        placeholder={
          'negative terminal 8 N·m\npositive terminal 8 N·m\nferrules on every strand\nbreaker off'
        }
      />
      <label className="flex items-center gap-2">
        <input type="checkbox" {...form.register('beforeTest')} /> Lines that are open show on every page of
        the trial
      </label>
    </div>
  )
}
