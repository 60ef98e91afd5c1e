import { EditedFrom, whole } from '@even-watt/contract'
import { Router } from 'express'
import type { Pool } from 'pg'
import * as z from 'zod/mini'
import { notFound, ProblemError } from '../http/problem'
import { body, idOf, parse } from '../http/validate'
import { usesOf } from './uses'
import { deleteDocument, findDocument, listDocuments, saveDocument, type DocumentTable } from './documents'

/** List, read, save and delete one kind of document; `check` refuses what the contract cannot see. */
export function documentRoutes<Content extends object>(
  pool: Pool,
  table: DocumentTable,
  content: z.ZodMiniType<Content>,
  check: (content: Content) => Promise<void> = () => Promise.resolve(),
): Router {
  const router = Router()
  const Edit = z.extend(EditedFrom, { content })
  const Query = z.object({
    editedFrom: z.pipe(z.pipe(z.string(), z.transform(Number)), whole('Edited from version', 1, 1e9)),
  })

  router.get('/', async (_request, response) => {
    response.json(await listDocuments(pool, table))
  })
  router.get('/:id', async (request, response) => {
    const document = await findDocument(pool, table, idOf(request, `This ${table}`))
    if (!document) throw notFound(`This ${table}`)
    response.json(document)
  })
  router.get('/:id/uses', async (request, response) => {
    response.json(await usesOf(pool, table, idOf(request, `This ${table}`)))
  })
  router.put('/:id', async (request, response) => {
    const edit = body(request, Edit)
    await check(edit.content)
    response.json(
      await saveDocument(pool, table, idOf(request, `This ${table}`), edit.editedFrom, edit.content),
    )
  })
  router.delete('/:id', async (request, response) => {
    const { editedFrom } = parse(request.query, Query)
    const id = idOf(request, `This ${table}`)
    const uses = await usesOf(pool, table, id)
    if (uses.held)
      throw new ProblemError(
        409,
        `This ${table} is in use, by ${uses.by.join(', ')}.`,
        'Take it out there first; nothing was deleted.',
      )
    await deleteDocument(pool, table, id, editedFrom)
    response.status(204).end()
  })
  return router
}
