<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useBench } from '../bench'
import { isOffered, isTyped, leavesOf, valueAt } from '../entered'
import FieldCell from './FieldCell.vue'

/** What may be there or not: a press until it is, then its own boxes, and a press that takes it away again. */
const props = defineProps<{ group: string }>()
const bench = useBench()
const { t } = useI18n()
const field = computed(() => bench.field(props.group))
const members = computed(() =>
  leavesOf(field.value?.fields ?? [], `${props.group}.`).filter(
    (one) => !['group', 'raw'].includes(one.field.type),
  ),
)
const values = computed(() => bench.draft.value.values)
const isKnown = computed(
  () =>
    valueAt(bench.prefill.value, props.group) !== undefined &&
    field.value !== undefined &&
    !isOffered(field.value),
)
const isThere = computed(
  () =>
    values.value[props.group] !== false &&
    (values.value[props.group] === true ||
      isKnown.value ||
      members.value.some((one) => isTyped(values.value[one.path]))),
)

function add() {
  values.value[props.group] = true
}

function take() {
  for (const one of members.value) delete values.value[one.path]
  if (!isKnown.value) delete values.value[props.group]
  else values.value[props.group] = false
}
</script>

<template>
  <fieldset v-if="isThere" class="there">
    <legend>{{ field?.label }}</legend>
    <button type="button" class="less" @click="take">{{ t('bench.dropRow') }}</button>
    <FieldCell v-for="one in members" :key="one.path" :field="one.field" :at="one.path" />
  </fieldset>
  <button v-else type="button" class="press small" @click="add">
    {{ t('bench.addOne', { what: field?.label.toLowerCase() ?? '' }) }}
  </button>
</template>

<style scoped>
.there {
  position: relative;
  margin: 6px 0;
  padding: 0 0 0 10px;
  border: 0;
  border-left: 3px solid var(--rule);
}
legend {
  padding: 10px 0 8px;
  font: 600 18px/1.2 var(--figures);
}
.less {
  position: absolute;
  top: -40px;
  right: 0;
  min-height: 44px;
  border: 0;
  background: none;
  font-size: 15px;
  text-decoration: underline;
}
.press {
  margin: 6px 8px 6px 0;
}
</style>
