<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { nextTick, onBeforeUnmount, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, api, type Schemas } from '@/api/client'
import { wordsOf } from '@/lib/failure'

/** Machines, sites, jobs and sheets by the beginnings of their words. */
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const router = useRouter()
const query = ref('')
const found = ref<Schemas['FoundView'][]>([])
const at = ref(0)
const problem = ref('')
const box = ref<HTMLInputElement | null>(null)
const PAUSE_MS = 120
const WHERE: Record<string, string> = { machine: 'machine', site: 'office-site', sheet: 'sheet' }

/** What is typed before the box is drawn is its first letters, not lost. */
function early(event: KeyboardEvent) {
  if (document.activeElement === box.value || event.ctrlKey || event.metaKey || event.key.length !== 1) return
  event.preventDefault()
  event.stopPropagation()
  query.value += event.key
}
watch(open, (on) => {
  query.value = problem.value = ''
  found.value = []
  if (on) window.addEventListener('keydown', early, true)
  else window.removeEventListener('keydown', early, true)
  if (on) void nextTick(() => box.value?.focus())
})
onBeforeUnmount(() => window.removeEventListener('keydown', early, true))

const look = useDebounceFn(async () => {
  const asked = query.value
  try {
    const told =
      asked.trim() === ''
        ? []
        : (await answer(api.GET('/api/v1/search', { params: { query: { q: asked } } }))).found
    if (asked !== query.value) return
    found.value = told
    at.value = 0
    problem.value = ''
  } catch (error) {
    problem.value = wordsOf(error)
  }
}, PAUSE_MS)
watch(query, () => void look())

async function go(one: Schemas['FoundView'] | undefined) {
  if (one === undefined) return
  open.value = false
  await router.push({ name: WHERE[one.kind] ?? 'today', params: { id: one.id } })
}

function step(by: number) {
  if (found.value.length > 0) at.value = (at.value + by + found.value.length) % found.value.length
}
</script>

<template>
  <ElDialog
    v-model="open"
    :title="t('search.title')"
    width="min(560px, 96vw)"
    @open-auto-focus="box?.focus()"
  >
    <input
      ref="box"
      v-model="query"
      type="search"
      :placeholder="t('search.what')"
      :aria-label="t('search.what')"
      @keydown.enter.prevent="go(found[at])"
      @keydown.down.prevent="step(1)"
      @keydown.up.prevent="step(-1)"
    />
    <p v-if="problem" role="alert">{{ problem }}</p>
    <ul role="listbox" :aria-label="t('search.title')">
      <li v-for="(one, i) in found" :key="one.kind + one.id + one.title">
        <button type="button" role="option" :aria-selected="i === at" @click="go(one)">
          <b>{{ one.title }}</b><small
            >{{ t(`search.kinds.${one.kind as 'site'}`)
            }}<template v-if="one.more"> · {{ one.more }}</template></small
          >
        </button>
      </li>
    </ul>
    <p v-if="query.trim() && found.length === 0 && !problem" class="caption">{{ t('search.none') }}</p>
  </ElDialog>
</template>

<style scoped>
input {
  width: 100%;
  min-height: 48px;
  padding: 0 12px;
  border: 2px solid var(--ink);
  background: var(--box);
  font-size: 18px;
}
button {
  display: grid;
  width: 100%;
  min-height: 48px;
  padding: 6px 10px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  text-align: left;
}
[aria-selected='true'] {
  background: var(--pan);
}
b {
  font: 600 19px/1.2 var(--figures);
}
small {
  color: var(--iron-soft);
  font-size: 14px;
}
</style>
