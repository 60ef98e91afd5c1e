import type { TrialDocument } from '@even-watt/contract'
import type { Express } from 'express'
import { randomUUID } from 'node:crypto'
import request from 'supertest'

/** Id of a new trial, set up as another one, in which nothing is captured yet. */
export async function emptyTrialOf(app: Express, { trial, ...document }: TrialDocument): Promise<string> {
  const id = randomUUID()
  await request(app)
    .post('/api/trials/import')
    .send({ ...document, trial: { ...trial, id }, entries: [] })
    .expect(201)
  return id
}
