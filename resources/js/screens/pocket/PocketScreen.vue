<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { wordsOf } from '@/lib/failure'
import { useChecks } from '@/stores/checks'
import { held, OPTIONS } from './pocket'

/** Every check without a job: a press each, under the question it belongs to. */
const { t } = useI18n()
const checks = useChecks()
const looked = ref('')
const failure = ref('')
const groups = computed(() => {
  const words = looked.value.toLowerCase().split(/\s+/).filter(Boolean)
  return held()
    .map(({ gate, benches }) => ({
      gate,
      name: checks.gates.find((one) => one.gate === gate)?.name ?? '',
      benches: benches.flatMap((one) => {
        const view = checks.check(one.check)
        const said = `${t(`tabs.${one.id}`)} ${view?.short ?? ''} ${view?.question ?? ''}`.toLowerCase()
        return view === undefined || !words.every((word) => said.includes(word))
          ? []
          : [{ id: one.id, short: view.short, question: view.question }]
      }),
    }))
    .filter((group) => group.benches.length > 0)
})
const to = (id: string) =>
  id === OPTIONS ? { name: 'pocket-options' } : { name: 'pocket-bench', params: { bench: id } }

async function load() {
  failure.value = ''
  try {
    await checks.load()
  } catch (error) {
    failure.value = wordsOf(error)
  }
}
onMounted(load)
</script>

<template>
  <div class="pocket">
    <header>
      <h1>{{ t('pocket.title') }}</h1>
      <p class="caption">{{ t('pocket.what') }}</p>
      <input v-model="looked" type="search" :placeholder="t('pocket.look')" :aria-label="t('pocket.look')" />
    </header>
    <div v-if="failure" role="alert">
      <p>{{ failure }}</p>
      <button type="button" class="press small" @click="load">{{ t('errors.retry') }}</button>
    </div>
    <div class="groups">
      <section v-for="group in groups" :key="group.gate">
        <h2>{{ group.name }}</h2>
        <RouterLink v-for="one in group.benches" :key="one.id" :to="to(one.id)">
          <b>{{ one.short }}</b><small>{{ one.question }}</small>
        </RouterLink>
      </section>
    </div>
    <p v-if="looked && groups.length === 0" class="caption">{{ t('pocket.none', { what: looked }) }}</p>
  </div>
</template>

<style scoped>
.pocket {
  height: 100%;
  padding: 14px 20px 20px;
  overflow: auto;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
  padding-bottom: 10px;
}
h1 {
  font-size: 34px;
}
header .caption {
  flex: 1;
  min-width: 240px;
}
input {
  width: min(280px, 100%);
  min-height: 48px;
  padding: 0 12px;
  border: 2px solid var(--ink);
  background: var(--box);
  font-size: 18px;
}
.groups {
  columns: 4 250px;
  column-gap: 24px;
}
section {
  break-inside: avoid;
  margin-bottom: 16px;
}
h2 {
  padding-bottom: 2px;
  border-bottom: 2px solid var(--ink);
  font: 600 20px/1.2 var(--figures);
}
section a {
  display: block;
  min-height: 52px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
  color: var(--ink);
  text-decoration: none;
}
b {
  display: block;
  font: 600 19px/1.15 var(--figures);
}
small {
  font-size: 15px;
  color: var(--iron-soft);
}
@media (max-width: 640px) {
  .pocket {
    padding: 10px 14px;
  }
  h1 {
    font-size: 29px;
  }
}
</style>
