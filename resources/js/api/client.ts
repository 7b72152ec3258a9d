/** What the server refused, with a sentence for each field. */
export class Refused extends Error {
  constructor(
    public readonly status: number,
    message: string,
    public readonly fields: Record<string, string> = {},
    /** Seconds after which it may be tried again, where the server said so. */
    public readonly retryAfter: number | null = null,
  ) {
    super(message)
  }
}

function cookie(name: string): string {
  const found = document.cookie.split('; ').find((pair) => pair.startsWith(`${name}=`))
  return found ? decodeURIComponent(found.slice(name.length + 1)) : ''
}

async function send(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<Response> {
  const isForm = body instanceof FormData
  try {
    return await fetch(path, {
      method,
      credentials: 'same-origin',
      headers: {
        Accept: 'application/json',
        'X-Requested-With': 'XMLHttpRequest',
        'X-XSRF-TOKEN': cookie('XSRF-TOKEN'),
        ...(body !== undefined && !isForm ? { 'Content-Type': 'application/json' } : {}),
      },
      ...(signal ? { signal } : {}),
      ...(body === undefined ? {} : { body: isForm ? body : JSON.stringify(body) }),
    })
  } catch {
    throw new Refused(
      0,
      'The server cannot be reached. What you typed is still here; try again when the network is back.',
    )
  }
}

/** A request to the API; throws Refused with the server's own sentences. */
export async function api<T>(
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE',
  path: string,
  body?: unknown,
  signal?: AbortSignal,
): Promise<T> {
  let response = await send(method, path, body, signal)
  if (response.status === 419) {
    // The form key has run out while the page lay open: fetch a new one and send again.
    await send('GET', '/sanctum/csrf-cookie')
    response = await send(method, path, body, signal)
  }
  if (response.status === 204) return undefined as T
  const data: unknown = await response.json().catch(() => ({}))
  if (response.status === 404) await forgetJob(path)
  if (!response.ok) throw refused(response, data)
  return data as T
}

/** What was said of a job that is gone, or to which one belongs no more, does not stay on this device. */
async function forgetJob(path: string): Promise<void> {
  const job = /^\/api\/jobs\/([^/?]+)/.exec(path)?.[1]
  if (!job || !('caches' in window)) return
  const answers = await caches.open('answers')
  for (const request of await answers.keys())
    if (new URL(request.url).pathname === `/api/jobs/${job}`) await answers.delete(request)
}

function refused(response: Response, data: unknown): Refused {
  const { message, errors } = data as { message?: string; errors?: Record<string, string[]> }
  const fields = Object.fromEntries(
    Object.entries(errors ?? {}).map(([field, sentences]) => [field, sentences.join('\n')]),
  )
  const said: Record<number, string> = {
    401: 'You are signed out. Sign in again; nothing that was saved is lost.',
  }
  if (response.status >= 500)
    said[response.status] =
      'The server could not do this just now. What you typed is still here; try again in a moment.'
  const after = Number(response.headers.get('Retry-After') ?? NaN)
  return new Refused(
    response.status,
    said[response.status] ?? message ?? `The server answered ${response.status}.`,
    fields,
    Number.isFinite(after) ? after : null,
  )
}
