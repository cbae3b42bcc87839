import { answer, posted, signed } from '@/api/client'

/**
 * A write of the office, done now or not at all: it needs the server's word and is not kept for later.
 * @throws Unreachable when nothing came back
 * @throws Refused when the server said no
 */
export function post<T>(path: string, body: Record<string, unknown> | Blob | string = {}): Promise<T> {
  const isTable = body instanceof Blob
  const bytes = isTable || typeof body === 'string' ? body : JSON.stringify(body)
  return answer<T>(
    posted<T>(path, bytes, { 'Content-Type': isTable ? 'text/csv' : 'application/json', ...signed() }),
  )
}
