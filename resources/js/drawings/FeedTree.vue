<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import StatusMark from '@/components/StatusMark.vue'

/** A panel and what hangs on it, in the order it is fed: which way each was found to turn. */
export type Hung = {
  name: string
  /** The one whose lugs feed it; empty for the panel. */
  from: string
  id: number | null
  direction: string
  asked: boolean
  own: boolean
}
const props = defineProps<{ panel: string; breaker: string; hung: Hung[] }>()
const { t } = useI18n()
const MARKS: Record<string, string> = { reversed: 'stop', proved: 'clear' }
const rows = computed(() => {
  const below = (from: string, depth: number, seen: string[]): (Hung & { depth: number })[] =>
    props.hung
      .filter((one) => one.from === from && !seen.includes(one.name))
      .flatMap((one) => [{ ...one, depth }, ...below(one.name, depth + 1, [...seen, one.name])])
  return below('', 0, [])
})
const said = (one: Hung) => t(`feedMap.${(one.direction || 'unread') as 'unread'}`)
</script>

<template>
  <section class="feed" :aria-label="t('feedMap.label', { panel })">
    <p class="panel">
      <b>{{ panel || t('feedMap.panel') }}</b>
      <span v-if="breaker">{{ breaker }}</span>
    </p>
    <ol>
      <li v-for="one in rows" :key="one.name" :style="{ '--depth': one.depth }" :class="{ own: one.own }">
        <StatusMark v-if="MARKS[one.direction]" :status="MARKS[one.direction] ?? ''" :size="22" />
        <span v-else class="unread" aria-hidden="true">?</span>
        <span
          ><RouterLink v-if="one.id !== null && !one.own" :to="{ name: 'machine', params: { id: one.id } }">{{
            one.name
          }}</RouterLink
          ><b v-else>{{ one.name }}</b
          ><small
            >{{ one.id === null && !one.own ? t('feedMap.noUnit') : said(one) }}
            <template v-if="one.asked">{{ t('feedMap.asked') }}</template></small
          ></span
        >
      </li>
    </ol>
  </section>
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
