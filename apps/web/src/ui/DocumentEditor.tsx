import type { Problem } from '@even-watt/contract'
import { useRef, useState, type ReactNode } from 'react'
import type { FieldValues, UseFormReturn } from 'react-hook-form'
import { useNavigate, useParams } from 'react-router'
import { v7 } from 'uuid'
import { parse, type ZodMiniType } from 'zod/mini'
import { problemOf, type Edit } from '../api/api'
import { answer } from './answers'
import { AskDelete } from './AskDelete'
import { DocumentFrame } from './DocumentFrame'
import { Loaded, type QueryState } from './Loaded'
import { Notice } from './Notice'
import type { Report } from './resolver'
import { useDocumentForm } from './useDocumentForm'

interface Stored {
  readonly id: string
  readonly version: number
  readonly name: string
}

type Send<Argument> = (argument: Argument) => { unwrap: () => Promise<unknown> }

/** A list that can be asked for anew. */
interface Asked<Document> extends QueryState<Document[]> {
  readonly refetch: () => PromiseLike<{ readonly data?: Document[] | undefined }>
}

/** What one kind of document needs to be edited; each kind is one such description and its fields. */
export interface DocumentKind<Form extends FieldValues, Content, Document extends Stored & Content> {
  readonly what: 'unit' | 'meter' | 'rig' | 'load' | 'checklist'
  readonly listPath: string
  readonly schema: ZodMiniType<Content>
  /** A new one, each time it is asked for. */
  readonly blank: () => Form
  readonly toForm: (document: Content) => Form
  readonly fromForm: (form: Form, report: Report) => unknown
  readonly useList: () => Asked<Document>
  readonly useSave: () => readonly [Send<Edit<Content>>, unknown]
  readonly useDelete: () => readonly [Send<{ id: string; editedFrom: number }>, unknown]
  readonly Fields: (props: FieldsProps<Form>) => ReactNode
}

export interface FieldsProps<Form extends FieldValues> {
  readonly form: UseFormReturn<Form>
  readonly errorAt: (path: string) => string | undefined
}

/** The page that edits one document, or a new one, or a copy of another. */
export function DocumentEditor<Form extends FieldValues, Content, Document extends Stored & Content>({
  kind,
}: {
  kind: DocumentKind<Form, Content, Document>
}) {
  const { id = 'new' } = useParams()
  const list = kind.useList()
  const copied = new URLSearchParams(location.search).get('from')
  return (
    <Loaded query={list} what={kind.what}>
      {(documents) => {
        const document = documents.find((candidate) => candidate.id === id)
        const source = documents.find((candidate) => candidate.id === copied)
        if (id !== 'new' && !document) {
          return (
            <div className="p-5">
              <Notice kind="problem">This {kind.what} is not here any more.</Notice>
            </div>
          )
        }
        const askVersion = async () => (await list.refetch()).data?.find((one) => one.id === id)?.version
        return (
          <Editor
            key={`${id}${copied}`}
            kind={kind}
            document={document}
            source={source}
            askVersion={askVersion}
          />
        )
      }}
    </Loaded>
  )
}

interface EditorProps<Form extends FieldValues, Content, Document extends Stored & Content> {
  readonly kind: DocumentKind<Form, Content, Document>
  readonly document: Document | undefined
  readonly source: Document | undefined
  /** Which version stands now; what the page shows may be older. */
  readonly askVersion: () => Promise<number | undefined>
}

function Editor<Form extends FieldValues, Content, Document extends Stored & Content>({
  kind,
  document,
  source,
  askVersion,
}: EditorProps<Form, Content, Document>) {
  const navigate = useNavigate()
  const [id] = useState(() => document?.id ?? v7())
  // The version the tester began from: another tab's save must not silently become it.
  const editedFrom = useRef(document?.version ?? 0)
  const [send] = kind.useSave()
  const [remove] = kind.useDelete()
  const initial = document ?? source
  const save = async (content: Content, from: number) => {
    await send({ id, editedFrom: from, content }).unwrap()
    await navigate(kind.listPath)
    answer(`The ${kind.what} is saved.`)
  }
  const editor = useDocumentForm<Form, Content>({
    draftKey: `${kind.what} ${document?.id ?? `new ${source?.id ?? ''}`}`,
    start: initial
      ? kind.toForm(source ? { ...initial, name: `${initial.name}, copy` } : initial)
      : kind.blank(),
    schema: kind.schema,
    fromForm: kind.fromForm,
    save: (content) => save(content, editedFrom.current),
  })
  const saveOver = async (theirs: Document) => {
    editedFrom.current = (await askVersion()) ?? theirs.version
    await editor.submit()
  }
  const cancel = async () => {
    const { pathname, search } = location
    const putBack = editor.cancel()
    await navigate(kind.listPath)
    if (putBack)
      answer('Your changes are dropped.', () => {
        putBack()
        void navigate(pathname + search)
      })
  }
  const [asking, setAsking] = useState(false)
  const [failed, setFailed] = useState<Problem>()
  const deleteIt = async (gone: Document) => {
    setAsking(false)
    try {
      await remove({ id: gone.id, editedFrom: gone.version }).unwrap()
    } catch (error) {
      setFailed(problemOf(error))
      return
    }
    await navigate(kind.listPath)
    answer(`${gone.name} is deleted.`, () => {
      void send({ id: gone.id, editedFrom: 0, content: parse(kind.schema, gone) })
        .unwrap()
        .then(() => answer(`${gone.name} is back.`))
        .catch((error: unknown) => answer(problemOf(error).title))
    })
  }
  return (
    <DocumentFrame
      title={document ? document.name : `New ${kind.what}`}
      problem={failed ?? editor.problem}
      restored={editor.restored}
      onDiscardDraft={() => {
        editor.discardDraft()
        void navigate(kind.listPath)
      }}
      onSubmit={() => void editor.submit()}
      onCancel={() => void cancel()}
      beginning={!document}
      onSaveAnyway={document ? () => void saveOver(document) : undefined}
      onDuplicate={document ? () => void navigate(`${kind.listPath}/new?from=${document.id}`) : undefined}
      onDelete={document ? () => setAsking(true) : undefined}
    >
      {asking && document && (
        <AskDelete
          what={kind.what}
          id={document.id}
          name={document.name}
          onDelete={() => void deleteIt(document)}
          onClose={() => setAsking(false)}
        />
      )}
      <kind.Fields form={editor.form} errorAt={editor.errorAt} />
    </DocumentFrame>
  )
}
