<script setup lang="ts">
import { computed } from 'vue'
import { useMachine } from '@/stores/machine'
import FeedTree, { type Hung } from './FeedTree.vue'
import type { SketchProps } from './sketch'

/** The feed as it is told on the bench, this unit framed; which way the others turn comes from their tapes. */
const props = defineProps<SketchProps>()
const machine = useMachine()
const told = computed(() => machine.view?.feed ?? null)
const hung = computed<Hung[]>(() => {
  const items = Array.isArray(props.input['items']) ? (props.input['items'] as Record<string, unknown>[]) : []
  return items.map((item) => {
    const name = String(item['name'] ?? '')
    const known = told.value?.units.find((unit) => unit.name === name)
    const own = (item['machine'] ?? name) === machine.view?.name
    return {
      name,
      from: String(item['feeds_from'] ?? ''),
      id: known?.machineId ?? null,
      direction: known?.direction ?? '',
      asked: known?.asked ?? false,
      own,
    }
  })
})
</script>

<template>
  <FeedTree
    :panel="String(input['panel'] ?? told?.panel ?? '')"
    :breaker="String(input['breaker'] ?? '')"
    :hung="hung"
  />
</template>
