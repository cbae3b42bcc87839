<script setup lang="ts">
import { computed } from 'vue'
import type { Drawing, TapeEntry, Verdict } from '@/api/client'
import LegBars from '@/benches/common/LegBars.vue'
import PhaseClock from '@/benches/power/PhaseClock.vue'

/** What the bench drew of a reading. */
const props = defineProps<{ entry: TapeEntry }>()
const turns = computed(() => (props.entry.drawing as Drawing).turns)
const verdict = computed(() => ({ values: props.entry.values }) as unknown as Verdict)
</script>

<template>
  <PhaseClock v-if="entry.check === 'power.rotation' && turns && turns !== 'unknown'" :turns="turns" />
  <LegBars v-else-if="entry.check === 'power.voltage'" :verdict="verdict" :input="entry.input" />
</template>
