<script setup lang="ts">
import { useId } from 'vue'

/** A few words of which one holds: large to press, arrows to move between them. Pressed again it is taken back. */
const props = defineProps<{
  label: string
  help?: string
  options: { value: string | number | boolean; text: string }[]
  problem?: string
  stacked?: boolean
  /** In a row with others: its label as small as theirs. */
  compact?: boolean
}>()
const chosen = defineModel<string | number | boolean | undefined>({ required: true })
const name = useId()

function press(value: string | number | boolean) {
  if (chosen.value === value) chosen.value = undefined
}
</script>

<template>
  <fieldset
    class="choice"
    :class="{ stacked: props.stacked, compact, wrong: problem, many: options.length > 4 }"
  >
    <legend>
      {{ label }}<small v-if="help">{{ help }}</small>
    </legend>
    <div class="options">
      <label v-for="option in options" :key="String(option.value)" :class="{ on: chosen === option.value }">
        <input
          v-model="chosen"
          type="radio"
          :name="name"
          :value="option.value"
          @click="press(option.value)"
        />
        <span>{{ option.text }}</span>
      </label>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </fieldset>
</template>

<style scoped>
.choice {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 4px 12px;
  min-width: 0;
  margin: 0;
  padding: 4px 0;
  border: 0;
  border-bottom: 1px solid var(--rule);
}
legend {
  float: left;
  padding: 0;
  font-size: 16px;
  line-height: 1.2;
}
small {
  display: block;
  font-size: 13.5px;
  color: var(--iron-soft);
}
.options {
  display: flex;
  flex-wrap: wrap;
}
.options label {
  position: relative;
  display: flex;
  align-items: center;
  min-height: 48px;
  min-width: 44px;
  margin: 0 -2px 0 0;
  padding: 0 12px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  font: 500 20px/1 var(--figures);
  cursor: pointer;
}
.options label.on {
  z-index: 1;
  border-color: var(--ink);
  background: var(--ink);
  color: var(--paper);
}
.options label:focus-within {
  z-index: 2;
  outline: 3px solid var(--forge);
  outline-offset: 1px;
}
.many .options label {
  padding: 0 7px;
  font-size: 17px;
}
input {
  position: absolute;
  opacity: 0;
  inset: 0;
  cursor: pointer;
}
.stacked {
  grid-template-columns: minmax(0, 1fr);
}
.compact {
  gap: 2px 0;
  padding: 0;
  border-bottom: 0;
}
.compact legend {
  font-size: 14.5px;
  color: var(--iron-soft);
}
.problem {
  grid-column: 1 / -1;
  font-size: 15px;
  color: var(--stop);
}
</style>
