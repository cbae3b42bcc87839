<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'

/** Pictures to go with something: taken with the device's camera or chosen. */
const photos = defineModel<File[]>({ required: true })
const { t } = useI18n()
const input = ref<HTMLInputElement | null>(null)

function chosen() {
  photos.value = [...photos.value, ...(input.value?.files ?? [])]
  if (input.value !== null) input.value.value = ''
}
</script>

<template>
  <span class="pick">
    <input
      ref="input"
      type="file"
      accept="image/jpeg,image/png,image/webp"
      multiple
      :aria-label="t('photo.title')"
      class="sr-only"
      tabindex="-1"
      @change="chosen"
    />
    <button type="button" class="press small" @click="input?.click()">
      {{ photos.length > 0 ? t('photo.more', { count: photos.length }) : t('photo.add') }}
    </button>
    <button v-if="photos.length > 0" type="button" class="none" @click="photos = []">
      {{ t('app.cancel') }}
    </button>
  </span>
</template>

<style scoped>
.pick {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
.none {
  min-height: 44px;
  border: 0;
  background: none;
  text-decoration: underline;
}
</style>
