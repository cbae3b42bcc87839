<script setup lang="ts">
import { computed } from 'vue'
import type { Drawing } from '@/api/client'
import BandScale from './BandScale.vue'
import DrawnBars from './DrawnBars.vue'
import LegBars from './LegBars.vue'
import PhaseClock from './PhaseClock.vue'

/** What a judgement gives to be drawn, by its shape; a second one adds what it knows. */
const props = defineProps<{ drawing: Drawing | undefined; second?: Drawing | undefined }>()
const ground = computed(() => (props.second?.shape === 'legs' ? props.second.ground : undefined))
</script>

<template>
  <LegBars v-if="drawing?.shape === 'legs'" :drawing="drawing" :ground="ground" />
  <BandScale v-else-if="drawing?.shape === 'scale'" :drawing="drawing" />
  <DrawnBars v-else-if="drawing?.shape === 'bars'" :drawing="drawing" />
  <PhaseClock
    v-else-if="drawing?.shape === 'rotation' && drawing.turns !== 'unknown'"
    :turns="drawing.turns"
  />
</template>
