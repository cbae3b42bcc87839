<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'

/** Pictures to go with something: taken with the device's camera or chosen. */
const photos = defineModel<File[]>({ required: true })
/** Where there is room to tell them; a photo that does not fit is told anywhere. */
defineProps<{ limits?: boolean }>()
const { t } = useI18n()
const input = ref<HTMLInputElement | null>(null)

/** As the server takes them: told before anything is sent. */
const MOST_BYTES = 12 * 1024 * 1024
const KINDS = ['image/jpeg', 'image/png', 'image/webp']
const refused = ref<string[]>([])

function chosen() {
  const files = [...(input.value?.files ?? [])]
  const fits = (file: File) => file.size <= MOST_BYTES && KINDS.includes(file.type)
  photos.value = [...photos.value, ...files.filter(fits)]
  refused.value = files.filter((file) => !fits(file)).map((file) => file.name)
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
    <small v-if="refused.length > 0" role="alert">{{
      t('photo.refused', { names: refused.join(', ') })
    }}</small>
    <small v-else-if="limits">{{ t('photo.limits') }}</small>
  </span>
</template>

<style scoped>
.pick {
  display: inline-flex;
  flex-wrap: wrap;
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
