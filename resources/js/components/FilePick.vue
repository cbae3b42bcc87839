<script setup lang="ts">
/** A press that chooses a file: the box of the browser lies unseen over it. */
defineProps<{ text: string; accept: string }>()
const emit = defineEmits<{ pick: [file: File] }>()

/** The same file may be chosen again. */
function chosen(event: Event) {
  const box = event.target as HTMLInputElement
  const file = box.files?.[0]
  if (file !== undefined) emit('pick', file)
  box.value = ''
}
</script>

<template>
  <label class="press small pick">{{ text }}<input type="file" :accept="accept" @change="chosen" /></label>
</template>

<style scoped>
.pick {
  position: relative;
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  cursor: pointer;
}
.pick input {
  position: absolute;
  inset: 0;
  opacity: 0;
}
.pick:focus-within {
  outline: 3px solid var(--forge);
  outline-offset: 2px;
}
</style>
