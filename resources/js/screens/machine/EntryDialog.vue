<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TapeEntry } from '@/api/client'
import StatusMark from '@/components/StatusMark.vue'
import { wordsOf } from '@/lib/failure'
import { isApart, isClockOff } from '@/lib/placing'
import { shownUnit } from '@/lib/reading'
import { clock, date, day, left } from '@/lib/time'
import PhotoDialog from './PhotoDialog.vue'
import PhotoStrip from './PhotoStrip.vue'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'

/** One entry of the tape: as it was read, what was said, who and when; to be doubted or corrected. */
const entry = defineModel<TapeEntry | null>({ required: true })
const emit = defineEmits<{ correct: [entry: TapeEntry] }>()
const { t } = useI18n()
const machine = useMachine()
const session = useSession()
const reason = ref('')
const problem = ref('')
const doubting = ref(false)
const adding = ref(false)
const mayPicture = computed(() => entry.value?.mayPhoto === true && session.may('record'))
const open = computed({
  get: () => entry.value !== null,
  set: (on) => (entry.value = on ? entry.value : null),
})
const mayDoubt = computed(() => {
  const e = entry.value
  return (
    e !== null &&
    e.kind === 'check' &&
    !e.suspect &&
    session.may(e.whoId === session.person?.id ? 'doubt_own' : 'doubt_any')
  )
})

watch(entry, () => {
  reason.value = ''
  problem.value = ''
  doubting.value = false
})

async function doubt() {
  if (entry.value === null) return
  try {
    await machine.doubt(entry.value.at, reason.value, {
      label: t('tape.suspect', { at: entry.value.at }),
      words: reason.value,
    })
    entry.value = null
  } catch (error) {
    problem.value = wordsOf(error)
  }
}

function correct() {
  if (entry.value !== null) emit('correct', entry.value)
  entry.value = null
}
</script>

<template>
  <ElDialog
    v-model="open"
    :title="entry?.title || (entry ? t('tape.entry', { at: entry.at }) : '')"
    width="min(560px, 94vw)"
  >
    <div v-if="entry" class="entry">
      <p class="caption">
        {{ t('tape.entry', { at: entry.at }) }}, {{ t('tape.by', { who: entry.who }) }},
        {{ day(entry.placedAt) }}
        {{ clock(entry.placedAt) }}
        <template v-if="isApart(entry)">
          ({{ t('tape.device', { time: `${day(entry.deviceAt)} ${clock(entry.deviceAt)}`.trim() }) }},
          {{ t('tape.server', { time: clock(entry.recordedAt) })
          }}<template v-if="isClockOff(entry)"
            >, {{ t('tape.clockOff', { time: left(Math.abs(entry.correctionMs)) }) }}</template
          >)</template
        >
        <template v-if="entry.instrument"> · {{ t('tape.with', { instrument: entry.instrument }) }}</template>
        <template v-if="entry.source"> · {{ t('tape.from', { source: entry.source }) }}</template>
        <template v-if="entry.conditions"> · {{ entry.conditions }}</template>
      </p>
      <p v-if="entry.headline" class="headline">
        <StatusMark v-if="entry.status" :status="entry.status" :size="24" /> {{ entry.headline }}
      </p>
      <p v-if="entry.instrumentOverdue" class="doubted">
        {{ t('tape.overdueSince', { instrument: entry.instrument, due: date(entry.instrumentDue) }) }}
      </p>
      <p v-if="entry.suspect" class="doubted">{{ t('tape.doubted', { reason: entry.suspect }) }}</p>
      <p v-if="entry.supersededBy" class="caption">
        {{ t('tape.supersededBy', { at: entry.supersededBy }) }}
      </p>
      <p v-if="entry.outOfOrder.length > 0" class="doubted">{{ t('tape.outOfOrder') }}. {{ entry.reason }}</p>
      <ul v-if="entry.because.length > 0">
        <li v-for="line in entry.because" :key="line">{{ line }}</li>
      </ul>
      <table v-if="entry.readings.length > 0">
        <caption>
          {{
            t('tape.asRead')
          }}
        </caption>
        <tbody>
          <tr v-for="reading in entry.readings" :key="reading.path">
            <td>{{ reading.label }}</td>
            <td class="figure" :class="{ struck: entry.suspect }">
              {{ reading.value }} {{ shownUnit(reading.unit) }}
            </td>
          </tr>
        </tbody>
      </table>
      <PhotoStrip
        v-if="machine.view"
        :base="`/api/v1/machines/${machine.view.id}/photos`"
        :photos="entry.photos"
        :height="120"
        link
      />
      <form v-if="doubting" @submit.prevent="doubt">
        <label for="doubt-why">{{ t('tape.doubtWhy') }}</label>
        <ElInput id="doubt-why" v-model="reason" type="textarea" :rows="2" maxlength="500" autofocus />
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <button type="submit" class="press small forge" :disabled="reason.trim() === '' || machine.sending">
          {{ t('tape.doubtIt') }}
        </button>
      </form>
    </div>
    <PhotoDialog v-if="entry" v-model="adding" :entry="entry" />
    <template #footer>
      <div class="foot">
        <button v-if="mayDoubt && !doubting" type="button" class="press small" @click="doubting = true">
          {{ t('tape.doubt') }}
        </button>
        <button
          v-if="entry?.kind === 'check' && session.may('record')"
          type="button"
          class="press small"
          @click="correct"
        >
          {{ t('tape.correct') }}
        </button>
        <button v-if="mayPicture" type="button" class="press small" @click="adding = true">
          {{ t('photo.add') }}
        </button>
        <button type="button" class="press small" @click="open = false">{{ t('app.close') }}</button>
      </div>
    </template>
  </ElDialog>
</template>

<style scoped>
.entry {
  display: grid;
  gap: 10px;
}
.headline {
  display: flex;
  gap: 10px;
  font-size: 18px;
}
ul {
  padding-left: 20px;
  list-style: square;
}
table {
  width: 100%;
  border-collapse: collapse;
}
caption {
  text-align: left;
  font-size: 14px;
  color: var(--iron-soft);
}
td {
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
.figure {
  font: 600 20px/1.2 var(--figures);
  text-align: right;
}
.struck {
  text-decoration: line-through;
}
.doubted {
  color: var(--watch);
}
.problem {
  color: var(--stop);
}
form {
  display: grid;
  gap: 8px;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  justify-content: flex-end;
}
</style>
