<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, api, type Schemas } from '@/api/client'
import BothSides from '@/components/BothSides.vue'
import { useAttempt } from '@/composables/useAttempt'
import { post } from '@/lib/post'
import { date } from '@/lib/time'
import { useChecks } from '@/stores/checks'
import { useSession } from '@/stores/session'
import SheetForm from './SheetForm.vue'
import SheetRead from './SheetRead.vue'
import { bodyOf, spoken, typedOf, type TypedSheet } from './sheet'
import { changes, partsOf } from './sheetRead'

/** A sheet: what the newest version says, what another has otherwise, and a new one. */
const props = defineProps<{ id: number | null }>()
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const checks = useChecks()
const { problem, busy, attempt, fetched } = useAttempt()
const sheet = ref<Schemas['SheetView'] | null>(null)
const editing = ref(props.id === null)
const root = ref<HTMLElement | null>(null)
const left = ref(0)
const right = ref(0)
const typed = ref<TypedSheet>(typedOf({}))
type Body = Record<string, unknown>
const bodyAt = (version: number) =>
  (sheet.value?.versions.find((v) => v.version === version)?.body ?? {}) as Body
const newest = computed(() => sheet.value?.versions[0]?.version ?? 0)
const parts = computed(() => partsOf(bodyAt(right.value), bodyAt(left.value)))
const differing = computed(() => changes(parts.value))

function show(view: Schemas['SheetView']) {
  sheet.value = view
  right.value = view.versions[0]?.version ?? 0
  left.value = view.versions[1]?.version ?? right.value
  typed.value = typedOf(bodyAt(right.value))
  editing.value = false
  // What differs is above: after a long form one stands at its end.
  root.value?.scrollTo({ top: 0 })
}

async function load() {
  const id = props.id
  await checks.load().catch(() => undefined)
  if (id !== null)
    await fetched(async () =>
      show(await answer(api.GET('/api/v1/sheets/{sheet}', { params: { path: { sheet: id } } }))),
    )
}
onMounted(load)
watch(() => props.id, load)

const print = () => window.print()

async function keep() {
  await attempt(async () => {
    const seen = sheet.value === null ? '' : `?seen=${newest.value}`
    const kept = await post<Schemas['SheetView']>(`sheets${seen}`, bodyOf(typed.value, bodyAt(newest.value)))
    if (props.id === kept.id) show(kept)
    else await router.push({ name: 'sheet', params: { id: kept.id } })
  })
}
</script>

<template>
  <div ref="root" class="sheet">
    <header>
      <div>
        <h1>{{ sheet?.model ?? t('shelf.new') }}</h1>
        <p v-if="sheet" class="caption">{{ sheet.maker }} · {{ spoken(sheet.kind) }}</p>
      </div>
      <span class="acts">
        <RouterLink class="press small" :to="{ name: 'shelf' }">{{ t('shelf.title') }}</RouterLink>
        <a
          v-if="sheet"
          class="press small"
          :href="`/api/v1/sheets/${sheet.id}/versions/${right}.json`"
          download
          >{{ t('record.json') }}</a
        >
        <button v-if="sheet && !editing" type="button" class="press small" @click="print">
          {{ t('record.print') }}
        </button>
        <button
          v-if="sheet && session.may('office')"
          type="button"
          class="press small forge"
          @click="editing = !editing"
        >
          {{ t(editing ? 'app.cancel' : 'shelf.change') }}
        </button>
      </span>
    </header>
    <BothSides v-if="problem" :problem="problem" />
    <SheetForm v-if="editing" v-model="typed" :busy="busy" :named="sheet !== null" @send="keep" />
    <template v-else-if="sheet">
      <div v-if="sheet.versions.length > 1" class="beside">
        <label
          >{{ t('shelf.left')
          }}<select v-model="left">
            <option v-for="one in sheet.versions" :key="one.id" :value="one.version">
              {{ t('shelf.version', { version: one.version }) }}
            </option>
          </select></label
        >
        <label
          >{{ t('shelf.right')
          }}<select v-model="right">
            <option v-for="one in sheet.versions" :key="one.id" :value="one.version">
              {{ t('shelf.version', { version: one.version }) }}
            </option>
          </select></label
        >
      </div>
      <p v-if="left !== right" class="caption">
        {{ t('shelf.differ', { count: differing }) }}
        <template v-if="differing > 0">{{ t('shelf.struck', { left }) }}</template>
      </p>
      <SheetRead :parts="parts" />
      <ul class="versions">
        <li v-for="one in sheet.versions" :key="one.id">
          <b>{{ t('shelf.version', { version: one.version }) }}</b> {{ date(one.at.slice(0, 10)) }}
          <template v-if="one.who"> · {{ one.who }}</template> ·
          {{ t('shelf.machines', { count: one.machines }) }}
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.sheet {
  display: grid;
  align-content: start;
  gap: 16px;
  height: 100%;
  padding: 20px 26px 40px;
  overflow: auto;
  background: var(--paper);
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 12px;
}
h1 {
  font-size: 34px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.press {
  display: inline-grid;
  place-items: center;
  text-decoration: none;
}
.beside {
  display: flex;
  gap: 16px;
}
label {
  display: grid;
  gap: 3px;
  font-size: 14.5px;
  color: var(--iron-soft);
}
select {
  min-height: 44px;
  padding: 0 10px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  color: var(--ink);
  font-size: 16px;
}
.versions {
  display: grid;
  gap: 4px;
}
@media print {
  .sheet {
    display: block;
    padding: 0;
    overflow: visible;
  }
  .acts,
  .beside {
    display: none;
  }
}
</style>
