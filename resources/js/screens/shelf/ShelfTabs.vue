<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** What stands on the shelf: sheets, refrigerants, instruments. */
const { t } = useI18n()
const PAGES = [
  ['shelf', 'shelf.sheets'],
  ['refrigerants', 'refrigerants.title'],
  ['instruments', 'instruments.title'],
] as const
</script>

<template>
  <nav class="pages" :aria-label="t('shelf.title')">
    <RouterLink v-for="[name, words] in PAGES" :key="name" :to="{ name }">{{ t(words) }}</RouterLink>
  </nav>
</template>

<style scoped>
.pages {
  display: flex;
  gap: 20px;
  border-bottom: 2px solid var(--ink);
}
a {
  display: grid;
  place-items: center;
  min-height: 44px;
  margin-bottom: -2px;
  border-bottom: 4px solid transparent;
  font-size: 17px;
  color: var(--iron);
  text-decoration: none;
}
a.router-link-active {
  border-bottom-color: var(--ink);
  color: var(--ink);
  font-weight: 600;
}
</style>
