/** What went wrong, in words. */
export function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error)
}
