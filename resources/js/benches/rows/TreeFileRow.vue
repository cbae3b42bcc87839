<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import FilePick from '@/components/FilePick.vue'
import { wordsOf } from '@/lib/failure'
import { post } from '@/lib/post'
import { useMachine } from '@/stores/machine'
import { useBench } from '../bench'
import { draftOf } from '../entered'

/** A tree, or the addresses, from a table: looked at first, with what is wrong by line, and taken whole or not at all. */
const props = defineProps<{ of: 'tree' | 'addresses' }>()
const bench = useBench()
const machine = useMachine()
const { t } = useI18n()
type Found = { errors: Schemas['TreeErrorView'][] } & Record<string, unknown>
const read = ref<Found | null>(null)
const failure = ref('')
const LISTS = props.of === 'tree' ? ['nodes', 'pipes'] : ['devices']
const named = LISTS[0] ?? ''
const listOf = (name: string) => (read.value?.[name] ?? []) as { id?: unknown }[]
const FILES = computed(() => {
  const at = `/api/v1/machines/${machine.view?.id}`
  return { save: `${at}/tree.csv`, data: `${at}/tree.json`, large: `${at}/pages/tree.pdf?paper=a3` }
})

async function look(file: File) {
  failure.value = ''
  read.value = null
  try {
    read.value = await post<Found>(props.of, new Blob([await file.text()]))
  } catch (error) {
    failure.value = wordsOf(error)
  }
}

/** What stood there of it goes; the rest of the bench stays as it is typed. */
function take() {
  const check = bench.checks.value[0]
  if (check === undefined || read.value === null) return
  const draft = bench.draft.value
  const isOfIt = (place: string) => LISTS.includes(place.split('.')[0] ?? '')
  const input = Object.fromEntries(LISTS.map((list) => [list, listOf(list)]))
  const taken = draftOf(check, bench.prefill.value, input)
  const names = new Set(listOf(named).map((one) => String(one.id)))
  const known = (bench.prefill.value[named] as { id?: unknown }[] | undefined) ?? []
  const gone = known.map((one) => String(one.id)).filter((id) => !names.has(id))
  draft.values = {
    ...Object.fromEntries(Object.entries(draft.values).filter(([place]) => !isOfIt(place))),
    ...Object.fromEntries(Object.entries(taken.values).filter(([place]) => isOfIt(place))),
    ...Object.fromEntries(gone.map((id) => [`${named}.${id}`, false])),
  }
  draft.rows = { ...draft.rows, ...Object.fromEntries(LISTS.map((list) => [list, taken.rows[list] ?? []])) }
  read.value = null
}
</script>

<template>
  <div class="tree-file">
    <div class="picks">
      <FilePick :text="t('treeFile.pick')" accept=".csv,text/csv" @pick="look" />
      <template
        v-if="of === 'tree' && machine.view && machine.view.tape.some((one) => one.check === 'vrf.topology')"
      >
        <a v-for="(address, word) in FILES" :key="word" class="press small" :href="address">{{
          t(`treeFile.${word}`)
        }}</a>
      </template>
    </div>
    <p class="hint">{{ t(of === 'tree' ? 'treeFile.hint' : 'treeFile.hintAddresses') }}</p>
    <div v-if="read && read.errors.length > 0" role="alert" class="wrong">
      <p>{{ t('treeFile.wrong', read.errors.length) }}</p>
      <ul>
        <li v-for="(one, i) in read.errors" :key="i">
          {{ t('treeFile.line', { line: one.line, words: one.words }) }}
        </li>
      </ul>
    </div>
    <p v-else-if="read" class="found">
      {{
        of === 'tree'
          ? t('treeFile.found', { nodes: listOf('nodes').length, pipes: listOf('pipes').length })
          : t('treeFile.foundAddresses', listOf('devices').length)
      }}
      <button type="button" class="press small" @click="take">{{ t('treeFile.take') }}</button>
    </p>
    <p v-if="failure" class="wrong" role="alert">{{ failure }}</p>
  </div>
</template>

<style scoped>
.tree-file {
  padding: 6px 0 10px;
  border-bottom: 1px solid var(--rule);
}
.picks {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.hint {
  margin: 6px 0 0;
  font-size: 14px;
  color: var(--iron-soft);
}
.found {
  margin: 8px 0 0;
}
.wrong {
  margin: 8px 0 0;
  color: var(--stop);
}
.wrong p {
  margin: 0;
}
.wrong ul {
  margin: 4px 0 0;
  padding-left: 20px;
}
</style>
