<script setup lang="ts">
import { computed, useId } from 'vue'
import { useI18n } from 'vue-i18n'
import FilePick from '@/components/FilePick.vue'

/** A text of many lines: it comes out of a file, or is pasted. */
defineProps<{ label: string; help: string; problem: string }>()
const text = defineModel<string>({ required: true })
const { t } = useI18n()
const id = useId()
/** What a page of it shows; the whole of a night would make the box slow. */
const SHOWN = 6
const lines = computed(() => (text.value === '' ? 0 : text.value.trimEnd().split('\n').length))
const head = computed(() => text.value.split('\n', SHOWN).join('\n'))
async function read(file: File) {
  text.value = await file.text()
}
function pasted(event: ClipboardEvent) {
  event.preventDefault()
  text.value = event.clipboardData?.getData('text/plain') ?? ''
}
</script>

<template>
  <div class="file">
    <label :for="id"
      >{{ label }}<small v-if="help">{{ help }}</small></label
    >
    <div class="picks">
      <FilePick :text="t('fileCell.pick')" accept=".csv,text/csv,text/plain" @pick="read" />
      <button v-if="lines > 0" type="button" class="press small" @click="text = ''">
        {{ t('fileCell.drop') }}
      </button>
      <span v-if="lines > 0" class="count">{{ t('fileCell.lines', lines) }}</span>
    </div>
    <textarea
      :id="id"
      :value="head"
      :rows="SHOWN"
      readonly
      spellcheck="false"
      :aria-invalid="problem ? 'true' : undefined"
      :placeholder="t('fileCell.paste')"
      @paste="pasted"
    ></textarea>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.file {
  display: grid;
  gap: 6px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 16px;
}
small {
  display: block;
  font-size: 14px;
  color: var(--iron-soft);
}
.picks {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
textarea {
  width: 100%;
  padding: 8px;
  border: 2px solid var(--ink);
  background: var(--box);
  color: var(--ink);
  font: 13px/1.4 monospace;
  resize: vertical;
}
.problem {
  margin: 0;
  color: var(--stop);
}
</style>
