<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Verdict } from '@/api/client'
import { useChecks } from '@/stores/checks'

/** Why, what to mind and what decided: opened one at a time under the bench. */
const props = defineProps<{
  verdict: Pick<Verdict, 'because' | 'cautions' | 'basis'> | null
  /** What the job adds to the cautions of the check. */
  job?: string[]
}>()
const { t } = useI18n()
const checks = useChecks()
const open = ref<string | null>('because')

const folds = computed(() => {
  const v = props.verdict
  if (v === null) return []
  return [
    { id: 'because', lines: v.because },
    {
      id: 'cautions',
      lines: [...new Set([...v.cautions, ...(props.job ?? [])])].map((id) => checks.cautions[id] ?? id),
    },
    { id: 'basis', lines: v.basis },
  ].filter((fold) => fold.lines.length > 0)
})
const shown = computed(() => folds.value.find((fold) => fold.id === open.value))
</script>

<template>
  <div v-if="folds.length > 0" class="folds">
    <div class="heads">
      <button
        v-for="fold in folds"
        :key="fold.id"
        type="button"
        :aria-expanded="open === fold.id"
        :class="{ on: open === fold.id }"
        @click="open = open === fold.id ? null : fold.id"
      >
        {{ t(`fold.${fold.id}`) }} <span class="count">{{ fold.lines.length }}</span>
      </button>
    </div>
    <ul v-if="shown" class="lines" :class="shown.id">
      <li v-for="line in shown.lines" :key="line">{{ line }}</li>
    </ul>
  </div>
</template>

<style scoped>
.heads {
  display: flex;
  gap: 4px;
  border-bottom: 1px solid var(--rule);
}
.heads button {
  min-height: 44px;
  padding: 0 9px;
  border: 0;
  white-space: nowrap;
  border-bottom: 3px solid transparent;
  background: none;
  font-size: 16px;
  color: var(--iron);
}
.heads .on {
  border-color: var(--ink);
  color: var(--ink);
  font-weight: 600;
}
.count {
  font-size: 13.5px;
  color: var(--iron-soft);
}
.lines {
  padding: 8px 0 0 22px;
  font-size: 16px;
}
ul.lines {
  list-style: square;
}
.lines li {
  margin-bottom: 4px;
}
</style>
