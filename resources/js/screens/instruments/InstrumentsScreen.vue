<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, api, signed, type InstrumentView } from '@/api/client'
import AskDialog from '@/components/AskDialog.vue'
import { wordsOf } from '@/lib/failure'
import { date } from '@/lib/time'
import ShelfTabs from '@/screens/shelf/ShelfTabs.vue'
import { useSession } from '@/stores/session'

/** What readings are taken with: serial, kind, accuracy, and until when its word counts. */
const { t } = useI18n()
const session = useSession()
const list = ref<InstrumentView[] | null>(null)
const problem = ref('')
const open = ref(false)
const changing = ref<number | null>(null)
const FRESH = { name: '', kind: '', serial: '', accuracy: '', due: '' }
const typed = ref({ ...FRESH })
const TEXTS = [
  ['name', 60],
  ['kind', 40],
  ['serial', 60],
  ['accuracy', 60],
] as const

async function load() {
  problem.value = ''
  try {
    list.value = (await answer(api.GET('/api/v1/instruments'))).instruments
  } catch (error) {
    problem.value = wordsOf(error)
  }
}
onMounted(load)

function edit(tool: InstrumentView | null) {
  changing.value = tool?.id ?? null
  typed.value =
    tool === null
      ? { ...FRESH }
      : { name: tool.name, kind: tool.kind, serial: tool.serial, accuracy: tool.accuracy, due: tool.due }
  open.value = true
}

async function send() {
  const header = signed()
  const told =
    changing.value === null
      ? api.POST('/api/v1/instruments', { params: { header }, body: typed.value })
      : api.POST('/api/v1/instruments/{instrument}', {
          params: { header, path: { instrument: changing.value } },
          body: typed.value,
        })
  list.value = (await answer(told)).instruments
}
</script>

<template>
  <div class="shelf">
    <ShelfTabs />
    <header>
      <div>
        <h1>{{ t('instruments.title') }}</h1>
        <p class="caption">{{ t('instruments.lead') }}</p>
      </div>
      <button v-if="session.may('instruments')" type="button" class="press small forge" @click="edit(null)">
        {{ t('instruments.add') }}
      </button>
    </header>
    <p v-if="problem" role="alert">
      {{ problem }}
      <button type="button" class="press small" @click="load">{{ t('errors.retry') }}</button>
    </p>
    <p v-else-if="list?.length === 0">{{ t('instruments.none') }}</p>
    <table v-else-if="list">
      <thead>
        <tr>
          <th>{{ t('instruments.name') }}</th>
          <th>{{ t('instruments.kind') }}</th>
          <th>{{ t('instruments.serial') }}</th>
          <th>{{ t('instruments.accuracy') }}</th>
          <th>{{ t('instruments.due') }}</th>
          <th v-if="session.may('instruments')"></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="tool in list" :key="tool.id">
          <td class="name">{{ tool.name }}</td>
          <td>{{ tool.kind }}</td>
          <td>{{ tool.serial }}</td>
          <td>{{ tool.accuracy }}</td>
          <td :class="{ overdue: tool.overdue }">
            {{ tool.due ? date(tool.due) : '' }}<b v-if="tool.overdue">, {{ t('instruments.overdue') }}</b>
          </td>
          <td v-if="session.may('instruments')" class="act">
            <button type="button" class="press small" @click="edit(tool)">
              {{ t('instruments.change') }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <AskDialog
      v-model="open"
      :title="t(changing === null ? 'instruments.addTitle' : 'instruments.changeTitle')"
      :submit="t('instruments.keep')"
      :incomplete="typed.name.trim() === '' || typed.kind.trim() === ''"
      :send="send"
      forge
    >
      <template v-for="[key, length] in TEXTS" :key="key">
        <label :for="`tool-${key}`">{{ t(`instruments.${key}`) }}</label>
        <ElInput :id="`tool-${key}`" v-model="typed[key]" :maxlength="length" />
      </template>
      <label for="tool-due">{{ t('instruments.due') }}</label>
      <input id="tool-due" v-model="typed.due" type="date" class="date" />
    </AskDialog>
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  align-content: start;
  gap: 16px;
  max-width: 1040px;
  height: 100%;
  margin: 0 auto;
  padding: 22px 24px;
  overflow: auto;
}
header {
  display: flex;
  align-items: start;
  justify-content: space-between;
  gap: 16px;
}
h1 {
  font-size: 34px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font: 600 17px/1.2 var(--figures);
  color: var(--iron-soft);
}
td,
th {
  padding: 8px 12px 8px 0;
  border-bottom: 1px solid var(--rule);
}
.name {
  font: 600 22px/1.2 var(--figures);
}
.overdue {
  color: var(--stop);
}
.act {
  text-align: right;
}
.date {
  min-height: 44px;
  padding: 0 10px;
  border: 2px solid var(--iron);
  background: var(--box);
}
@media (max-width: 640px) {
  .shelf {
    padding: 14px;
  }
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 2px 12px;
    padding: 8px 0;
    border-bottom: 1px solid var(--rule);
  }
  td {
    padding: 0;
    border: 0;
  }
}
</style>
