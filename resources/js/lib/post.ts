import { answer, deviceId, signed, token } from '@/api/client'

/**
 * A write of the office, done now or not at all: it needs the server's word and is not kept for later.
 * @throws Unreachable when nothing came back
 * @throws Refused when the server said no
 */
export function post<T>(path: string, body: Record<string, unknown> | Blob | string = {}): Promise<T> {
  const isTable = body instanceof Blob
  return answer<T>(
    fetch(`/api/v1/${path}`, {
      method: 'POST',
      credentials: 'same-origin',
      headers: {
        Accept: 'application/json',
        'Content-Type': isTable ? 'text/csv' : 'application/json',
        ...signed(),
        'X-Device': deviceId(),
        'X-XSRF-TOKEN': token(),
      },
      body: isTable || typeof body === 'string' ? body : JSON.stringify(body),
    }).then(async (response) => {
      const told: unknown = await response.json().catch(() => undefined)
      return response.ok ? { data: told as T, response } : { error: told, response }
    }),
  )
}
