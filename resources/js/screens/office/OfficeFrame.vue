<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { useSession } from '@/stores/session'

/** The office's pages, side by side. */
defineProps<{ title: string }>()
const { t } = useI18n()
const session = useSession()
const route = useRoute()
const PAGES = ['sites', 'jobs', 'review', 'people', 'import', 'activity', 'company'] as const
const NEEDS: Partial<Record<(typeof PAGES)[number], string>> = { people: 'people', company: 'people' }
</script>

<template>
  <div class="office">
    <nav :aria-label="t('office.title')">
      <RouterLink
        v-for="page in PAGES.filter((one) => session.may(NEEDS[one] ?? 'office'))"
        :key="page"
        :to="{ name: `office-${page}` }"
        :class="{ here: page === 'sites' && route.name === 'office-site' }"
        >{{ t(`office.pages.${page}`) }}</RouterLink
      >
    </nav>
    <section class="page">
      <header>
        <h1>{{ title }}</h1>
        <slot name="head" />
      </header>
      <slot />
    </section>
  </div>
</template>

<style scoped>
.office {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  height: 100%;
}
nav {
  display: grid;
  align-content: start;
  padding: 18px 0;
  background: var(--pan);
  border-right: 1px solid var(--rule);
}
nav a {
  display: flex;
  align-items: center;
  min-height: 46px;
  padding: 0 20px;
  border-left: 5px solid transparent;
  text-decoration: none;
}
nav .here,
nav .router-link-exact-active {
  border-color: var(--ink);
  background: var(--paper);
  font-weight: 600;
}
.page {
  display: grid;
  grid-row: auto;
  align-content: start;
  gap: 16px;
  padding: 18px 26px 40px;
  overflow: auto;
  background: var(--paper);
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 10px 16px;
}
h1 {
  font-size: 34px;
}
.page :deep(h2) {
  font-size: 24px;
}
.page :deep(table) {
  width: 100%;
  border-collapse: collapse;
}
.page :deep(th) {
  text-align: left;
  font: 600 16px/1.2 var(--figures);
  color: var(--iron-soft);
}
.page :deep(td),
.page :deep(th) {
  padding: 9px 14px 9px 0;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
}
.page :deep(td .press) {
  margin: -6px 0;
}
.page :deep(form) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 10px 16px;
  align-items: end;
}
.page :deep(label:not(.check)) {
  display: grid;
  gap: 3px;
  font-size: 14.5px;
  color: var(--iron-soft);
}
.page :deep(input:not([type='checkbox'], [type='file'])),
.page :deep(select),
.page :deep(textarea) {
  width: 100%;
  min-height: 44px;
  padding: 6px 10px;
  border: 2px solid var(--iron-soft);
  background: var(--box);
  color: var(--ink);
  font-size: 16px;
}
.page :deep(.wide) {
  grid-column: 1 / -1;
}
.page :deep(td.acts .press) {
  margin-right: 8px;
}
.page :deep(.acts:not(td)) {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
@media (max-width: 760px) {
  .office {
    grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  }
  nav {
    display: flex;
    padding: 0;
    overflow-x: auto;
  }
  nav a {
    padding: 0 14px;
    border-left: 0;
    border-bottom: 4px solid transparent;
    white-space: nowrap;
  }
  .page {
    padding: 14px;
  }
  /* A row is a block of its own: nothing beside anything there is no room for. */
  .page :deep(table.stacked tr) {
    display: block;
    padding: 10px 0 14px;
    border-bottom: 1px solid var(--rule);
  }
  .page :deep(table.stacked td) {
    display: block;
    padding: 3px 0;
    border: 0;
  }
  .page :deep(table.stacked td.acts) {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    padding-top: 8px;
  }
  .page :deep(table.stacked td .press) {
    margin: 0;
  }
}
</style>
