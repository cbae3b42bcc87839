<script setup lang="ts">
import { useDocumentVisibility, useIntervalFn } from '@vueuse/core'
import { computed, nextTick, onBeforeUnmount, onMounted, provide, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import type { TapeEntry } from '@/api/client'
import BenchPage from '@/benches/BenchPage.vue'
import { GOING } from '@/benches/correcting'
import { GATES, tabOf } from '@/benches/gates'
import { useKeys } from '@/composables/useKeys'
import { wordsOf } from '@/lib/failure'
import { useGuide } from '@/guide/useGuide'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { usePocket } from '@/stores/pocket'
import FeedAsks from './FeedAsks.vue'
import FootLine from './FootLine.vue'
import QuestionRail from './QuestionRail.vue'
import TapePanel from './TapePanel.vue'

/** The working screen: questions, bench, tape. On a phone three pages with a thumb bar. */
const props = defineProps<{ id: number }>()
const NEWS_MS = 3000
const { t } = useI18n()
const route = useRoute()
const machine = useMachine()
const checks = useChecks()
const pocket = usePocket()
const gate = ref(0)
const page = ref<'ask' | 'bench' | 'tape'>('bench')
const problem = ref('')
const tape = ref<InstanceType<typeof TapePanel> | null>(null)
const bench = ref<InstanceType<typeof BenchPage> | null>(null)
const guide = useGuide()
const chosen = computed(() => machine.view?.gates.find((g) => g.gate === gate.value) ?? null)

async function load() {
  problem.value = ''
  try {
    await Promise.all([checks.load(), machine.load(props.id)])
    const asked = Number(route.query.gate)
    gate.value = asked in GATES ? asked : (machine.view?.current ?? 12)
    await takeFromPocket()
  } catch (error) {
    problem.value = wordsOf(error)
  }
}
onMounted(load)

// Somebody else's entries are heard of within seconds, while the page is looked at.
const visible = useDocumentVisibility()
useIntervalFn(() => {
  if (visible.value === 'visible') void machine.hearNews().catch(() => undefined)
}, NEWS_MS)
watch(() => props.id, load)
watch(gate, (now) => (guide.at.value = now))
onBeforeUnmount(() => (guide.at.value = 0))

function choose(next: number) {
  gate.value = next
  page.value = 'bench'
}

/** What was read in the Pocket and belongs to this machine stands on its bench. */
async function takeFromPocket() {
  const found = pocket.carried
  if (found === null) return
  pocket.drop()
  for (const [at, tabs] of Object.entries(GATES)) {
    const tab = tabs.find((one) => one.id === found.bench)
    if (tab === undefined) continue
    choose(Number(at))
    await nextTick()
    bench.value?.take(tab.id, found.inputs)
    return
  }
}

function nextQuestion() {
  const on = machine.view?.gates.filter((g) => g.state !== 'not_on_job').map((g) => g.gate) ?? []
  const at = on.indexOf(gate.value)
  choose(on[(at + 1) % on.length] ?? gate.value)
}

async function correct(entry: TapeEntry) {
  const place = tabOf(entry.check, entry.subject)
  if (place === null) return
  choose(place.gate)
  await nextTick()
  bench.value?.correct(place.tab, entry)
}

async function readToo(check: string) {
  const place = tabOf(check, 'machine')
  if (place === null) return
  choose(place.gate)
  await nextTick()
  bench.value?.go(place.tab)
}
provide(GOING, (check) => void readToo(check))

useKeys({
  n: nextQuestion,
  p: () => {
    page.value = 'tape'
    tape.value?.openFirst()
  },
  r: () => bench.value?.record(),
  '[': () => bench.value?.step(-1),
  ']': () => bench.value?.step(1),
})
</script>

<template>
  <div v-if="problem" class="problem" role="alert">
    <p>{{ problem }}</p>
    <button type="button" class="press small" @click="load">{{ t('errors.retry') }}</button>
    <RouterLink :to="{ name: 'today' }">{{ t('app.today') }}</RouterLink>
  </div>
  <p v-else-if="machine.view === null || chosen === null" class="problem">{{ t('machine.loading') }}</p>
  <div v-else class="machine" :class="`at-${page}`">
    <aside class="ask">
      <header>
        <h1>{{ [machine.view.name, machine.view.place].filter(Boolean).join(', ') }}</h1>
        <p class="caption sub">{{ machine.view.summary }}</p>
        <RouterLink class="record" :to="{ name: 'record', params: { id: machine.view.id } }">{{
          t('machine.record')
        }}</RouterLink>
        <p v-if="machine.view.history" class="history">{{ machine.view.history }}</p>
      </header>
      <QuestionRail :gates="machine.view.gates" :chosen="gate" @choose="choose" />
    </aside>
    <section class="bench">
      <FeedAsks @read="readToo" />
      <BenchPage :key="`${machine.view.id}-${gate}`" ref="bench" :gate="chosen" @choose="choose" />
    </section>
    <aside class="tape"><TapePanel ref="tape" @correct="correct" /></aside>
    <FootLine class="foot" />
    <nav class="thumbs" :aria-label="t('app.name')">
      <button
        v-for="one in ['ask', 'bench', 'tape'] as const"
        :key="one"
        type="button"
        :aria-current="page === one ? 'page' : undefined"
        @click="page = one"
      >
        {{ t(`machine.${one}`)
        }}<span v-if="one === 'tape' && machine.outstanding.length > 0" class="count">{{
          machine.outstanding.length
        }}</span>
      </button>
    </nav>
  </div>
</template>

<style scoped>
.machine {
  display: grid;
  grid-template: minmax(0, 1fr) 40px / 248px minmax(0, 1fr) 272px;
  height: 100%;
}
.ask {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 14px 12px 12px 14px;
  overflow: auto;
  background: var(--ground);
  border-right: 1px solid var(--rule);
}
.ask h1 {
  font-size: 24px;
}
.history {
  margin-top: 6px;
  padding: 6px 8px;
  border-left: 4px solid var(--watch);
  background: var(--paper);
  font-size: 14px;
  line-height: 1.3;
}
.record {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  margin: -4px 0 -8px;
  font-weight: 600;
}
.bench {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  background: var(--paper);
}
.bench > :last-child {
  flex: 1;
  min-height: 0;
}
.tape {
  min-height: 0;
}
.foot {
  grid-column: 1 / -1;
}
.thumbs {
  display: none;
}
.problem {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 24px;
}
@media (max-width: 900px) {
  .machine {
    grid-template: minmax(0, 1fr) 32px 56px / minmax(0, 1fr);
  }
  .ask,
  .bench,
  .tape {
    display: none;
    grid-row: 1;
    grid-column: 1;
  }
  .machine.at-ask > .ask,
  .machine.at-bench > .bench {
    display: flex;
  }
  .machine.at-tape > .tape {
    display: block;
  }
  .thumbs {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    background: var(--frame);
  }
  .thumbs button {
    border: 0;
    border-top: 4px solid transparent;
    background: none;
    color: var(--on-frame-soft);
    font: 600 20px/1 var(--figures);
  }
  .thumbs [aria-current='page'] {
    border-color: var(--on-frame);
    color: var(--on-frame);
  }
  .count {
    margin-left: 6px;
    padding: 0 7px;
    background: var(--on-frame);
    color: var(--frame);
  }
}
</style>
