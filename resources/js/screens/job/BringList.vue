<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'

/** What goes on the van: a tap puts a thing on it, the next brings it home, the third takes both back. */
const props = defineProps<{ items: Schemas['BringView'][]; busy: boolean }>()
const emit = defineEmits<{ tick: [item: string, state: string] }>()
const { t } = useI18n()
const AFTER = { '': 'on', on: 'home', home: 'none' } as const
const SIGN = { '': '', on: '✓', home: '⌂' } as const
const GROUPS = ['safety', 'meters', 'refrigerant', 'tools', 'parts', 'papers'] as const

const groups = computed(() =>
  GROUPS.map((group) => ({ group, items: props.items.filter((one) => one.group === group) })).filter(
    (one) => one.items.length > 0,
  ),
)
const gone = computed(() => props.items.filter((one) => one.state !== '').length)
const home = computed(() => props.items.filter((one) => one.state === 'home').length)
const who = (item: Schemas['BringView']) =>
  item.state === '' ? '' : t(`jobs.${item.state}`, { who: item.who.split(' ')[0] })
</script>

<template>
  <section>
    <h2>{{ t('jobs.bring') }}</h2>
    <p class="caption">{{ t('jobs.ticked', { on: gone, count: items.length, home }) }}</p>
    <div v-for="one in groups" :key="one.group">
      <h3>{{ t(`jobs.groups.${one.group}`) }}</h3>
      <ul>
        <li v-for="item in one.items" :key="item.id">
          <button
            type="button"
            :class="item.state"
            :disabled="busy"
            @click="emit('tick', item.id, AFTER[item.state])"
          >
            <span class="box" aria-hidden="true">{{ SIGN[item.state] }}</span>
            <span>{{ item.what }}</span>
            <small>{{ who(item) }}</small>
          </button>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
h3 {
  margin: 12px 0 2px;
  font: 600 16px/1.2 var(--figures);
  color: var(--iron-soft);
}
button {
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr) auto;
  align-items: center;
  gap: 12px;
  width: 100%;
  min-height: 46px;
  padding: 4px 0;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
}
.box {
  display: grid;
  place-items: center;
  width: 26px;
  height: 26px;
  border: 2px solid var(--iron-soft);
  font-size: 18px;
  line-height: 1;
}
.on .box,
.home .box {
  border-color: var(--ink);
}
.home {
  color: var(--iron-soft);
}
small {
  font-size: 14px;
  color: var(--iron-soft);
}
</style>
