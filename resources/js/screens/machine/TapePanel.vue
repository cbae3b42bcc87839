<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { PutBackView, TapeEntry } from '@/api/client'
import StatusMark from '@/components/StatusMark.vue'
import { shownUnit } from '@/lib/reading'
import { clock, date, day, left } from '@/lib/time'
import { useClocks } from '@/stores/clocks'
import { useMachine } from '@/stores/machine'
import { useOutbox } from '@/stores/outbox'
import { useSession } from '@/stores/session'
import PhotoStrip from './PhotoStrip.vue'
import ReadyLine from './ReadyLine.vue'
import EntryDialog from './EntryDialog.vue'
import OpenPutBackDialog from './OpenPutBackDialog.vue'
import PutBackDialog from './PutBackDialog.vue'

/** What is out, pinned on top; under it what was recorded, newest first. */
defineEmits<{ correct: [entry: TapeEntry] }>()
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const clocks = useClocks()
const outbox = useOutbox()
/** Pictures stand with the entry they belong to, clocks in their own list. */
const ELSEWHERE = ['photo', 'clock_started', 'clock_stopped']
const slips = computed(() => machine.view?.tape.filter((entry) => !ELSEWHERE.includes(entry.kind)) ?? [])
const waiting = computed(() => (machine.view === null ? [] : outbox.of(machine.view.id).reverse()))

function showWaiting() {
  window.dispatchEvent(new Event('iron-start:outbox'))
}
const opened = ref<TapeEntry | null>(null)
const closing = ref<PutBackView | null>(null)
const opening = ref(false)

function figures(entry: TapeEntry): string {
  // Only what was measured side by side; the rest the sentence tells.
  const first = entry.readings
    .filter((r) => /^(volts_|ohms_|megohms|loads\.\d+\.amps_)/.test(r.path))
    .slice(0, 3)
  const unit = first[0]?.unit
  if (first.length === 0) return ''
  const one = first.every((r) => r.unit === unit)
  return one
    ? `${first.map((r) => r.value).join(' · ')} ${shownUnit(unit ?? '')}`
    : first.map((r) => `${r.value} ${shownUnit(r.unit)}`).join(' · ')
}

function remaining(entry: PutBackView): number {
  return new Date(entry.since).getTime() + (entry.limitMinutes ?? 0) * 60_000 - clocks.now
}

/** It has stood longer than it may. */
function isOver(entry: PutBackView): boolean {
  return entry.left === '' && entry.limitMinutes !== null && remaining(entry) <= 0
}

function mayClose(entry: PutBackView): boolean {
  return session.may(entry.whoId === session.person?.id ? 'close_own_put_back' : 'close_any_put_back')
}

function openFirst() {
  const first = machine.outstanding.find(mayClose)
  if (first) closing.value = first
  else if (session.may('record')) opening.value = true
}
defineExpose({ openFirst })
</script>

<template>
  <div v-if="machine.view" class="tape-panel">
    <section class="out" :aria-label="t('tape.putBack')">
      <h2 class="panel-title">
        {{ t('tape.putBack') }} <span>{{ machine.outstanding.length }}</span>
      </h2>
      <p v-if="machine.outstanding.length === 0" class="none">{{ t('tape.none') }}</p>
      <div v-for="entry in machine.outstanding" :key="entry.id" class="entry-out">
        <span
          >{{ entry.what
          }}<small
            >{{ t('tape.since', { time: clock(entry.since) })
            }}<b v-if="isOver(entry)" class="over"> · {{ t('tape.over') }}</b
            ><template v-else-if="entry.limitMinutes !== null && entry.left === ''">
              · {{ t('tape.leftTime', { time: left(remaining(entry)) }) }}</template
            ></small
          ><small v-if="entry.left">{{
            t('tape.leftTo', { owner: entry.owner, due: date(entry.due) })
          }}</small></span
        >
        <button v-if="mayClose(entry)" type="button" class="press small off" @click="closing = entry">
          {{ t('tape.closeIt') }}
        </button>
      </div>
      <div class="acts">
        <button v-if="session.may('record')" type="button" class="press small" @click="opening = true">
          {{ t('tape.openIt') }}
        </button>
        <ReadyLine />
      </div>
    </section>
    <section class="tape" tabindex="0" :aria-label="t('tape.title')">
      <button v-for="item in waiting" :key="item.key" type="button" class="slip waits" @click="showWaiting">
        <span class="when"
          >{{ clock(item.deviceAt) }} · {{ item.who.split(' ')[0] }} ·
          {{ item.problem ? t('tape.notTaken') : t('tape.waits') }}</span
        >
        <span class="what">{{ item.label }}</span>
        <span v-if="item.words" class="said">{{ item.words }}</span>
      </button>
      <p v-if="machine.view.tape.length === 0 && waiting.length === 0" class="empty">{{ t('tape.empty') }}</p>
      <button
        v-for="entry in slips"
        :key="entry.at"
        type="button"
        class="slip"
        :class="{ struck: entry.suspect }"
        @click="opened = entry"
      >
        <span class="when"
          >{{ clock(entry.placedAt) }} · {{ entry.who.split(' ')[0]
          }}<template v-if="day(entry.placedAt)"> · {{ day(entry.placedAt) }}</template></span
        >
        <span class="what"
          ><StatusMark v-if="entry.status" :status="entry.status" :size="16" /> {{ entry.title }}</span
        >
        <span v-if="figures(entry)" class="figures">{{ figures(entry) }}</span>
        <span v-if="entry.headline" class="said">{{ entry.headline }}</span>
        <PhotoStrip
          :base="`/api/v1/machines/${machine.view.id}/photos`"
          :photos="entry.photos"
          :height="56"
        />
        <span v-if="entry.instrumentOverdue" class="doubt">{{
          t('tape.overdue', { instrument: entry.instrument })
        }}</span>
        <span v-if="entry.suspect" class="doubt">{{ t('tape.doubted', { reason: entry.suspect }) }}</span>
        <span v-if="entry.outOfOrder.length > 0" class="doubt">{{ t('tape.outOfOrder') }}</span>
      </button>
    </section>
    <EntryDialog v-model="opened" @correct="$emit('correct', $event)" />
    <PutBackDialog v-model="closing" />
    <OpenPutBackDialog v-model="opening" />
  </div>
</template>

<style scoped>
.tape-panel {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 14px;
  height: 100%;
  padding: 14px 12px 0;
  background: var(--pan);
}
.entry-out {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}
.waits {
  background: var(--pan);
}
.waits .when {
  color: var(--forge-text);
}
.over {
  color: var(--stop);
}
.off {
  flex: none;
  padding: 0 10px;
  white-space: nowrap;
}
.none {
  padding: 8px 0 2px;
  font-size: 15px;
}
small {
  display: block;
  font-size: 13.5px;
  color: var(--iron-soft);
}
.tape {
  padding: 10px 0 20px;
  overflow: auto;
  background: var(--box);
  clip-path: polygon(
    0 6px,
    4% 0,
    8% 6px,
    12% 0,
    16% 6px,
    20% 0,
    24% 6px,
    28% 0,
    32% 6px,
    36% 0,
    40% 6px,
    44% 0,
    48% 6px,
    52% 0,
    56% 6px,
    60% 0,
    64% 6px,
    68% 0,
    72% 6px,
    76% 0,
    80% 6px,
    84% 0,
    88% 6px,
    92% 0,
    96% 6px,
    100% 0,
    100% 100%,
    0 100%
  );
}
.empty {
  padding: 14px;
}
.slip {
  display: block;
  width: calc(100% - 24px);
  margin: 0 12px;
  padding: 8px 0;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  text-align: left;
}
.slip > span {
  display: block;
}
.when {
  font-size: 13.5px;
  color: var(--iron-soft);
}
.slip .what {
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 15px;
}
.figures {
  font: 600 22px/1.15 var(--figures);
}
.said {
  font-size: 14.5px;
  line-height: 1.28;
}
.struck .figures,
.struck .said,
.struck .what {
  text-decoration: line-through;
  text-decoration-thickness: 2px;
  color: var(--iron-soft);
}
.doubt {
  font-size: 14px;
  color: var(--watch);
}
</style>
