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
/** What `found` was found for; Enter pressed before that is what is typed waits for it. */
let foundFor = ''
let goes = false
const problem = ref('')
const box = ref<HTMLInputElement | null>(null)
const PAUSE_MS = 120
const WHERE: Record<string, string> = { machine: 'machine', site: 'office-site', sheet: 'sheet' }

/** What is pressed before the box is drawn, or while the dialog itself holds the focus, is for the box: nothing is lost. */
function early(event: KeyboardEvent) {
  if (document.activeElement === box.value || event.ctrlKey || event.metaKey || event.altKey) return
  // Where one has gone on to a result by Tab, its keys are its own.
  if (document.activeElement instanceof HTMLButtonElement) return
  if (event.key.length === 1) query.value += event.key
  else if (!press(event.key)) return
  event.preventDefault()
  event.stopPropagation()
  box.value?.focus()
}

/** @returns whether the key is one of the list's */
function press(key: string): boolean {
  if (key === 'Enter' && foundFor !== query.value) goes = true
  else if (key === 'Enter') void go(found.value[at.value])
  else if (key === 'ArrowDown') step(1)
  else if (key === 'ArrowUp') step(-1)
  else return false
  return true
}
watch(open, (on) => {
  query.value = problem.value = foundFor = ''
  found.value = []
  goes = false
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
    foundFor = asked
    at.value = 0
    if (goes) void go(told[0])
    goes = false
    problem.value = ''
  } catch (error) {
    problem.value = wordsOf(error)
  }
}, PAUSE_MS)
watch(query, () => {
  goes = false
  void look()
})

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
    class="finder"
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
      @keydown="press($event.key) && $event.preventDefault()"
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
