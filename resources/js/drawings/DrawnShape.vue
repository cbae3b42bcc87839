<script setup lang="ts">
import { computed } from 'vue'
import type { Drawing } from '@/api/client'
import BandScale from './BandScale.vue'
import DrawnBars from './DrawnBars.vue'
import DrawnColumn from './DrawnColumn.vue'
import DrawnCurve from './DrawnCurve.vue'
import DrawnDome from './DrawnDome.vue'
import DrawnLadder from './DrawnLadder.vue'
import DrawnPsychrometric from './DrawnPsychrometric.vue'
import DrawnTree from './DrawnTree.vue'
import DrawnWires from './DrawnWires.vue'
import DrawnRanking from './DrawnRanking.vue'
import DrawnScene from './DrawnScene.vue'
import DrawnStairs from './DrawnStairs.vue'
import LegBars from './LegBars.vue'
import PhaseClock from './PhaseClock.vue'

/** What a judgement gives to be drawn, by its shape; a second one adds what it knows. */
const props = defineProps<{
  drawing: Drawing | undefined
  second?: Drawing | undefined
  /** The measure that does not work, and why. */
  wrong?: { field: string; words: string } | undefined
  label?: (path: string) => string
  fixed?: boolean
}>()
defineEmits<{ drag: [path: string, metres: number] }>()
const ground = computed(() => (props.second?.shape === 'legs' ? props.second.ground : undefined))
</script>

<template>
  <LegBars v-if="drawing?.shape === 'legs'" :drawing="drawing" :ground="ground" />
  <BandScale v-else-if="drawing?.shape === 'scale'" :drawing="drawing" />
  <DrawnScene
    v-else-if="drawing?.shape === 'scene'"
    :drawing="drawing"
    :wrong="wrong"
    :label="label"
    :fixed="fixed"
    @drag="(path, metres) => $emit('drag', path, metres)"
  />
  <DrawnCurve v-else-if="drawing?.shape === 'curve'" :drawing="drawing" />
  <DrawnDome v-else-if="drawing?.shape === 'dome'" :drawing="drawing" />
  <DrawnColumn v-else-if="drawing?.shape === 'column'" :drawing="drawing" />
  <DrawnStairs v-else-if="drawing?.shape === 'stairs'" :drawing="drawing" />
  <DrawnTree v-else-if="drawing?.shape === 'tree'" :drawing="drawing" />
  <DrawnWires v-else-if="drawing?.shape === 'wires'" :drawing="drawing" />
  <DrawnPsychrometric v-else-if="drawing?.shape === 'psychrometric'" :drawing="drawing" />
  <DrawnLadder v-else-if="drawing?.shape === 'ladder'" :drawing="drawing" />
  <DrawnRanking v-else-if="drawing?.shape === 'ranking'" :drawing="drawing" />
  <DrawnBars v-else-if="drawing?.shape === 'bars'" :drawing="drawing" />
  <PhaseClock
    v-else-if="drawing?.shape === 'rotation' && drawing.turns !== 'unknown'"
    :turns="drawing.turns"
  />
</template>
