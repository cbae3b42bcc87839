<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import StatusMark from '@/components/StatusMark.vue'
import { useMachine } from '@/stores/machine'
import type { SketchProps } from './sketch'

/** A panel and what hangs on it, in the order it is fed: which way each was found to turn, this one framed. */
const props = defineProps<SketchProps>()
const { t } = useI18n()
const machine = useMachine()
type Hung = {
  name: string
  from: string
  id: number | null
  direction: string
  asks: string
  depth: number
  own: boolean
}
const told = computed(() => machine.view?.feed ?? null)
const panel = computed(() => String(props.input['panel'] ?? told.value?.panel ?? ''))
const MARKS: Record<string, string> = { reversed: 'stop', proved: 'clear' }
const hung = computed<Hung[]>(() => {
  const items = Array.isArray(props.input['items']) ? (props.input['items'] as Record<string, unknown>[]) : []
  const all = items.map((item) => {
    const name = String(item['name'] ?? '')
    const known = told.value?.units.find((unit) => unit.name === name)
    const own = (item['machine'] ?? name) === machine.view?.name
    return {
      name,
      from: String(item['feeds_from'] ?? ''),
      id: known?.machineId ?? null,
      direction: known?.direction ?? '',
      asks: own && (told.value?.asks.length ?? 0) > 0 ? t('feedMap.asked') : '',
      depth: 0,
      own,
    }
  })
  const below = (from: string, depth: number, seen: string[]): Hung[] =>
    all
      .filter((one) => one.from === from && !seen.includes(one.name))
      .flatMap((one) => [{ ...one, depth }, ...below(one.name, depth + 1, [...seen, one.name])])
  return below('', 0, [])
})
const said = (one: Hung) => t(`feedMap.${(one.direction || 'unread') as 'unread'}`)
</script>

<template>
  <div class="feed" role="img" :aria-label="t('feedMap.label', { panel })">
    <p class="panel">
      <b>{{ panel || t('feedMap.panel') }}</b>
      <span v-if="input['breaker']">{{ input['breaker'] }}</span>
    </p>
    <ol>
      <li v-for="one in hung" :key="one.name" :style="{ '--depth': one.depth }" :class="{ own: one.own }">
        <StatusMark v-if="MARKS[one.direction]" :status="MARKS[one.direction] ?? ''" :size="22" />
        <span v-else class="unread" aria-hidden="true">?</span>
        <span
          ><RouterLink v-if="one.id !== null && !one.own" :to="{ name: 'machine', params: { id: one.id } }">{{
            one.name
          }}</RouterLink
          ><b v-else>{{ one.name }}</b
          ><small>{{ one.id === null ? t('feedMap.noUnit') : said(one) }} {{ one.asks }}</small></span
        >
      </li>
    </ol>
  </div>
</template>

<style scoped>
.panel {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 8px 14px;
  border: 3px solid var(--ink);
  font: 600 22px/1.2 var(--figures);
}
ol {
  margin: 0 0 0 26px;
  padding: 10px 0 0;
  border-left: 4px solid var(--ink);
  list-style: none;
}
li {
  position: relative;
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 52px;
  margin-left: calc(38px + var(--depth) * 38px);
  padding: 4px 10px;
}
li::before {
  position: absolute;
  left: calc(-38px - var(--depth) * 38px);
  width: calc(34px + var(--depth) * 38px);
  border-top: 4px solid var(--ink);
  content: '';
}
li.own {
  border: 2px solid var(--ink);
}
a,
b {
  display: block;
  font: 600 20px/1.2 var(--figures);
}
small {
  font-size: 15px;
  color: var(--iron);
}
.unread {
  width: 22px;
  text-align: center;
  font-weight: 600;
  color: var(--iron-soft);
}
</style>
