/** Hours and minutes of a moment, as the wall clock has it. */
export function clock(iso: string): string {
  return new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
}

/** The day of a moment: nothing for today, else weekday and date. */
export function day(iso: string, now = new Date()): string {
  const at = new Date(iso)
  if (at.toDateString() === now.toDateString()) return ''
  return at.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
}

export function longDate(iso: string): string {
  return new Date(iso).toLocaleDateString('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  })
}

/** A date without a time, YYYY-MM-DD, the same in every zone. */
export function date(plain: string): string {
  return new Date(`${plain}T00:00:00Z`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  })
}

/** How long until then: days and hours, hours and minutes, or minutes and seconds. Never less than nothing. */
export function left(ms: number): string {
  const s = Math.max(0, Math.ceil(ms / 1000))
  const two = (n: number) => String(n).padStart(2, '0')
  if (s >= 172_800) return `${Math.floor(s / 86_400)} d`
  if (s >= 3600) return `${Math.floor(s / 3600)} h ${two(Math.floor((s % 3600) / 60))}`
  return `${Math.floor(s / 60)}:${two(s % 60)}`
}
