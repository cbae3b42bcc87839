<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { TapeEntry } from '@/api/client'

/** The pictures of an entry, small; a press shows one as it was kept. */
defineProps<{ base: string; photos: TapeEntry['photos']; height: number; link?: boolean }>()
const { t } = useI18n()
</script>

<template>
  <span v-if="photos.length > 0" class="strip">
    <component
      :is="link ? 'a' : 'span'"
      v-for="one in photos"
      :key="one.at"
      :href="link ? `${base}/${one.at}` : undefined"
      target="_blank"
    >
      <img
        :src="`${base}/${one.at}?size=small`"
        :alt="one.caption || one.item || t('photo.one')"
        :style="{ height: `${height}px`, aspectRatio: `${one.width} / ${one.height}` }"
        loading="lazy"
      />
      <small v-if="link && (one.caption || one.item)">{{ one.caption || one.item.replace(/_/g, ' ') }}</small>
    </component>
  </span>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
img {
  display: block;
  max-width: 100%;
  object-fit: cover;
  background: var(--pan);
}
small {
  display: block;
  max-width: 160px;
  color: var(--iron-soft);
}
</style>
