import type { components } from './schema'

type Schemas = components['schemas']
export type Finding = Schemas['Finding']

/** One bad field, as the server names it. */
export interface FieldFault {
  field: string
  message: string
  accepted: string
}

/** What the server says when it cannot do as asked (RFC 9457). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly type: string,
    detail: string,
    readonly errors: FieldFault[] = [],
    readonly findings: Finding[] = [],
    readonly current: unknown = null,
  ) {
    super(detail)
  }
}

const UNREACHABLE =
  'Korvel does not answer. Nothing was lost; check that it is running, then try again.'

async function fetched(
  method: string,
  path: string,
  body?: BodyInit,
  type = 'application/json',
): Promise<Response> {
  let response: Response
  try {
    response = await fetch('/api' + path, {
      method,
      headers: body === undefined ? {} : { 'Content-Type': type },
      body: body ?? null,
    })
  } catch {
    throw new Problem(0, 'unreachable', UNREACHABLE)
  }
  if (!response.ok) {
    const answer = await response.json().catch(() => null)
    throw new Problem(
      response.status,
      answer?.type ?? 'unknown',
      answer?.detail ?? UNREACHABLE,
      answer?.errors,
      answer?.findings,
      answer?.current,
    )
  }
  return response
}

async function send<T>(method: string, path: string, body?: BodyInit, type?: string): Promise<T> {
  const response = await fetched(method, path, body, type)
  return (await response.json().catch(() => null)) as T
}

/** So long after it, the same again is the second half of a double press. */
const DOUBLE_PRESS_MS = 800
let last: { what: string; answer: Promise<unknown> } | null = null

/** Sends something that changes records; pressed twice, it is sent once. */
function change<T>(method: string, path: string, body?: string): Promise<T> {
  const what = [method, path, body].join(' ')
  if (last?.what === what) return last.answer as Promise<T>
  const mine = { what, answer: send<T>(method, path, body) }
  last = mine
  const forget = () => {
    if (last === mine) last = null
  }
  // What was refused may be tried again at once.
  mine.answer.then(() => setTimeout(forget, DOUBLE_PRESS_MS), forget)
  return mine.answer
}

export const get = <T>(path: string) => send<T>('GET', path)
/** Asks for something to be worked out; nothing is kept of it. */
export const ask = <T>(path: string, body: unknown) => send<T>('POST', path, JSON.stringify(body))
export const post = <T>(path: string, body: unknown) =>
  change<T>('POST', path, JSON.stringify(body))
export const put = <T>(path: string, body: unknown) => change<T>('PUT', path, JSON.stringify(body))
/** A file as it is. */
export const postFile = <T>(path: string, file: Blob, type?: string) =>
  send<T>('POST', path, file, type)
export const del = <T>(path: string) => change<T>('DELETE', path)

/** Asks for text, not for data. */
export const postForText = async (path: string, body: unknown) =>
  (await fetched('POST', path, JSON.stringify(body))).text()

/** Asks for a file, under the name the server gives it. */
export async function postForFile(path: string, body: unknown): Promise<File> {
  const response = await fetched('POST', path, JSON.stringify(body))
  const named = /filename\*=UTF-8''([^;]+)/.exec(response.headers.get('Content-Disposition') ?? '')
  const name = named?.[1] ? decodeURIComponent(named[1]) : 'korvel'
  const content = await response.blob()
  return new File([content], name, { type: content.type })
}

/** Whatever was thrown, as a problem. */
export function asProblem(thrown: unknown): Problem {
  return thrown instanceof Problem ? thrown : new Problem(0, 'unknown', String(thrown))
}
