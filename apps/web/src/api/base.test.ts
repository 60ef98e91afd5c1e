import fc from 'fast-check'
import { base } from './base'

/** Requests that were made; each is answered when it is told to. */
const asked: { request: Request; size: number; answer: () => void }[] = []

beforeEach(() => {
  asked.length = 0
  jest
    .spyOn(globalThis, 'Request')
    .mockImplementation(
      (address, init) => ({ address, ...init, clone: () => undefined }) as unknown as Request,
    )
  jest.spyOn(globalThis, 'fetch').mockImplementation(
    (request) =>
      new Promise((resolve) => {
        const { body } = request as unknown as { body?: string | Blob }
        const size = typeof body === 'string' ? Buffer.byteLength(body) : 0
        asked.push({ request: request as Request, size, answer: () => resolve(new Response('null')) })
      }),
  )
})
afterEach(() => jest.restoreAllMocks())

const queryApi = () => ({ signal: new AbortController().signal }) as unknown as Parameters<typeof base>[1]
const send = (method: string | undefined, body?: unknown) =>
  base(method === undefined ? '/units' : { url: '/units/1', method, body }, queryApi(), {})
const answerAll = async (sent: readonly unknown[]) => {
  await Promise.resolve()
  for (const { answer } of asked) answer()
  await Promise.all(sent)
}
const goOn = () => asked.filter(({ request }) => request.keepalive)

describe('what is asked of the server', () => {
  it('goes on where it changes something, though its page is left', async () => {
    await answerAll([send('PUT', { title: 'Ottrel' }), send('POST', {}), send('DELETE')])
    expect(goOn()).toHaveLength(3)
  })

  it('does not where it only reads, or is a file', async () => {
    await answerAll([send(undefined), send('GET'), send('PUT', new Blob(['rows']))])
    expect(asked).toHaveLength(3)
    expect(goOn()).toEqual([])
  })

  it('stays within what browsers go on with, whatever is under way at once', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.nat(25_000), { maxLength: 12 }), async (lengths) => {
        asked.length = 0
        await answerAll(lengths.map((length) => send('PUT', { text: '€'.repeat(length) })))
        expect(asked).toHaveLength(lengths.length)
        expect(goOn().reduce((sum, { size }) => sum + size, 0)).toBeLessThanOrEqual(65_536)
        // All were answered: the next one goes on again.
        asked.length = 0
        await answerAll([send('PUT', {})])
        expect(goOn()).toHaveLength(1)
      }),
    )
  })
})
