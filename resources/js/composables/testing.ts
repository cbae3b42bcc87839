/** Lets everything that is already settled run on, with real or with fake timers. */
export async function flushPromises(): Promise<void> {
  for (let i = 0; i < 30; i++) await Promise.resolve()
}
