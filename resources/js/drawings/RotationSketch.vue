<script setup lang="ts">
import { computed } from 'vue'
import OneLine from './OneLine.vue'
import PhaseClock from './PhaseClock.vue'
import { listOf, type SketchProps } from './sketch'

/** The order the lines make, and where to swap. */
const props = defineProps<SketchProps>()
const drawn = computed(() =>
  props.verdict?.drawing?.shape === 'rotation' ? props.verdict.drawing : undefined,
)
const loads = computed(() => {
  const list = Array.isArray(props.input.loads) ? (props.input.loads as Record<string, unknown>[]) : []
  const deaf = listOf(props.verdict, 'insensitive_loads')
  return list.filter((load) => !deaf.includes(String(load.name))).map((load) => String(load.name))
})
</script>

<template>
  <div class="drawings">
    <PhaseClock :turns="drawn?.turns ?? 'unknown'" />
    <OneLine
      :loads="loads"
      :swap-supply="drawn?.swap_supply ?? false"
      :swap-loads="drawn?.swap_loads ?? []"
      :backwards="listOf(verdict, 'backwards_loads')"
    />
  </div>
</template>

<style scoped>
.drawings {
  display: grid;
  gap: 6px;
}
</style>
