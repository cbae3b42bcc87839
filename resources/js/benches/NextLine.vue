<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'

/** What to do next, right under the verdict: the first step always, the rest one press away. */
defineProps<{ steps: string[]; past?: boolean }>()
const { t } = useI18n()
const open = ref(false)
</script>

<template>
  <div v-if="steps.length > 0" class="next" :class="{ past }">
    <ol>
      <li v-for="(step, i) in open ? steps : steps.slice(0, 1)" :key="step">
        <b>{{ t('bench.step', { n: i + 1 }) }}</b> {{ step }}
      </li>
    </ol>
    <button v-if="steps.length > 1" type="button" :aria-expanded="open" @click="open = !open">
      {{ open ? t('bench.fewerSteps') : t('bench.moreSteps', { n: steps.length - 1 }, steps.length - 1) }}
    </button>
  </div>
</template>

<style scoped>
.next {
  display: flex;
  align-items: start;
  justify-content: space-between;
  gap: 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
li {
  padding: 3px 0;
  font-size: 17px;
  line-height: 1.3;
}
b {
  font: 600 18px/1 var(--figures);
  color: var(--forge-text);
}
.past li,
.past b {
  color: var(--iron-soft);
}
button {
  flex: none;
  min-height: 44px;
  margin: -6px 0;
  padding: 0 2px;
  border: 0;
  background: none;
  font-size: 15px;
  text-decoration: underline;
  color: var(--iron);
}
</style>
