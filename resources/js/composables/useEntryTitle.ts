import { useI18n } from 'vue-i18n'
import type { TapeEntry } from '@/api/client'

/** What stands above an entry of the tape: the check's name, or what was done. */
export function useEntryTitle(): (entry: TapeEntry) => string {
  const { t, te } = useI18n()
  return (entry) => {
    if (entry.kind === 'start') return t('tape.start')
    if (entry.kind === 'note') return t('tape.note')
    if (entry.kind === 'put_back_closed') return t('tape.closed')
    if (entry.kind === 'put_back_opened') return t('tape.opened')
    if (entry.kind === 'put_back_left') return t('tape.leftOut')
    if (entry.kind === 'override') return t('override.on')
    if (entry.kind === 'suspect') return t('tape.suspect', { at: '' }).trim()
    if (entry.kind !== 'check' && te(`entries.${entry.kind}`))
      return t(`entries.${entry.kind}` as 'entries.fact')
    return entry.title
  }
}
