<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useMachine } from '@/stores/machine'
import { changesOf } from './changes'
import DrawnTree from './DrawnTree.vue'
import type { SketchProps } from './sketch'

/** The tree as built, and under it what was built otherwise than it was planned. */
const props = defineProps<SketchProps>()
const machine = useMachine()
const { t } = useI18n()
const drawing = computed(() => {
  const drawn = props.verdict?.drawing
  return drawn?.shape === 'tree' ? drawn : undefined
})
const planned = computed(
  () =>
    machine.view?.tape.find(
      (one) => one.check === 'vrf.topology' && one.subject === 'planned' && one.suspect === '',
    )?.input,
)
const changes = computed(() => (planned.value === undefined ? [] : changesOf(planned.value, props.input)))
</script>

<template>
  <div>
    <DrawnTree v-if="drawing" :drawing="drawing" />
    <section v-if="drawing && planned !== undefined" class="changes">
      <h3>{{ t('tree.changes', changes.length) }}</h3>
      <ul v-if="changes.length > 0">
        <li v-for="(one, i) in changes" :key="i">
          <b>{{ one.what }}</b>
          {{ t(`tree.change.${one.is}`, { planned: one.planned || '–', built: one.built || '–' }) }}
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.changes {
  margin-top: 12px;
}
h3 {
  font: 600 17px/1.2 var(--figures);
}
ul {
  display: grid;
  gap: 4px;
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
  font-size: 15px;
}
</style>
