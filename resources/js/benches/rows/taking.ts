/** Tenths of a minute from one moment to another as they are written beside a reading; within the first one, hundredths. */
export function minutesSince(began: string, now: Date): string {
  const minutes = Math.max(0, (now.getTime() - new Date(began).getTime()) / 60_000)
  return String(Number(minutes.toFixed(minutes < 1 ? 2 : 1)))
}

/** A moment as a person writes it on the spot: to the minute, by the clock of the device. */
export function localMinute(now: Date): string {
  const two = (figure: number) => String(figure).padStart(2, '0')
  const day = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
  return `${day}T${two(now.getHours())}:${two(now.getMinutes())}`
}

/** The same to the second, where seconds count. */
export function localSecond(now: Date): string {
  return `${localMinute(now)}:${String(now.getSeconds()).padStart(2, '0')}`
}
