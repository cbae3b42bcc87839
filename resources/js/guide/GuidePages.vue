<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { PAGES } from './pages'

/** A page a question, and the keys. */
const page = defineModel<number | 'keys'>({ required: true })
const { t } = useI18n()
const body = ref<HTMLElement | null>(null)
const shown = computed(() => PAGES.find((one) => one.gate === page.value))
watch(page, () => {
  if (body.value !== null) body.value.scrollTop = 0
})
const KEYS = [
  ['Enter', 'enter'],
  ['R', 'r'],
  ['N', 'n'],
  ['P', 'p'],
  ['[ ]', 'brackets'],
  ['/', 'search'],
  ['Esc', 'esc'],
  ['?', 'help'],
] as const
const name = (title: string) => title.split(':')[0]
</script>

<template>
  <div class="guide">
    <nav :aria-label="t('guide.title')">
      <button
        v-for="one in PAGES"
        :key="one.gate"
        type="button"
        :aria-current="one.gate === page ? 'page' : undefined"
        @click="page = one.gate"
      >
        <i>{{ one.gate || '' }}</i>{{ name(one.title) }}
      </button>
      <button type="button" :aria-current="page === 'keys' ? 'page' : undefined" @click="page = 'keys'">
        <i></i>{{ t('foot.keysTitle') }}
      </button>
    </nav>
    <article ref="body" tabindex="0">
      <template v-if="shown">
        <h2>{{ shown.title }}</h2>
        <!-- Our own pages, out of docs/guide. -->
        <!-- eslint-disable-next-line vue/no-v-html -->
        <div class="text" v-html="shown.html" />
      </template>
      <dl v-else>
        <template v-for="[key, what] in KEYS" :key="key">
          <dt>{{ key }}</dt>
          <dd>{{ t(`foot.list.${what}`) }}</dd>
        </template>
      </dl>
    </article>
  </div>
</template>

<style scoped>
.guide {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 24px;
  height: min(720px, 79vh);
}
nav {
  display: grid;
  align-content: start;
  overflow: auto;
}
nav button {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
  padding: 0 10px;
  border: 0;
  border-left: 5px solid transparent;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
}
nav i {
  width: 20px;
  font: 500 17px/1 var(--figures);
  font-style: normal;
  color: var(--iron-soft);
  text-align: right;
}
nav [aria-current] {
  border-color: var(--ink);
  font-weight: 600;
}
article {
  overflow: auto;
  padding-right: 10px;
}
h2 {
  font-size: 30px;
}
.text :deep(img) {
  display: block;
  width: 100%;
  margin: 10px 0;
  border: 1px solid var(--rule);
}
.text :deep(p),
.text :deep(li) {
  margin: 7px 0;
  max-width: 68ch;
  font-size: 16px;
  line-height: 1.45;
}
.text :deep(ol),
.text :deep(ul) {
  padding-left: 26px;
}
.text :deep(ol) {
  list-style: decimal;
}
.text :deep(ul) {
  list-style: square;
}
.text :deep(code) {
  font-family: var(--mono, monospace);
}
dl {
  display: grid;
  grid-template-columns: 80px 1fr;
  gap: 12px;
}
dt {
  font: 600 20px/1.2 var(--figures);
}
@media (max-width: 760px) {
  .guide {
    grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
    gap: 8px;
  }
  nav {
    display: flex;
    overflow: auto hidden;
  }
  nav button {
    flex: none;
    border-left: 0;
    border-bottom: 4px solid transparent;
  }
}
</style>
