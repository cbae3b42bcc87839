<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { RecordView } from '@/api/client'
import EntryDrawing from './EntryDrawing.vue'
import SignedMark from '@/components/SignedMark.vue'
import PhotoStrip from '@/screens/machine/PhotoStrip.vue'
import StatusMark from '@/components/StatusMark.vue'
import { isApart } from '@/lib/placing'
import { shownUnit } from '@/lib/reading'
import { clock, date, day, longDate } from '@/lib/time'

/** What the owner reads: twelve answers, then the evidence, as it was read. */
const props = defineProps<{ record: RecordView; pdf: string; photos: string }>()
const { t } = useI18n()

const open = computed(
  () => props.record.answers.filter((a) => ['asking', 'not_yet'].includes(a.state)).length,
)
const summary = computed(() => {
  if (props.record.status === 'stop') return t('record.stopped')
  return open.value > 0 ? t('record.notDone', { count: open.value }) : t('record.all')
})

/** Pictures stand with what they belong to. */
const evidence = computed(() => props.record.evidence.filter((entry) => entry.kind !== 'photo'))

/** Who and when the deciding verdict was. */
function decided(check: string, subject: string): string {
  if (check === '') return ''
  const entry = [...props.record.evidence]
    .reverse()
    .find((e) => e.check === check && e.subject === subject && !e.suspect)
  return entry === undefined ? '' : `${entry.who}, ${day(entry.placedAt)} ${clock(entry.placedAt)}`
}

/** Matters that go out on a page of their own, beside the record's. */
const pageOf = (one: string) => props.pdf.replace(/record\.pdf$/, `pages/${one}.pdf`)

function print() {
  window.print()
}
</script>

<template>
  <article class="record">
    <nav class="screen-only">
      <slot name="nav" />
      <button type="button" class="press small" @click="print">{{ t('record.print') }}</button>
      <a class="press small" :href="pdf" target="_blank">{{ t('record.pdf') }}</a>
      <slot name="files" />
      <a v-for="one in record.pages" :key="one" class="press small" :href="pageOf(one)" target="_blank">{{
        t(`record.page.${one}`)
      }}</a>
    </nav>
    <header>
      <div>
        <h1>{{ record.machine }}, {{ record.site }}</h1>
        <p>
          {{ record.summary }}<template v-if="record.model"> · {{ record.model }}</template
          ><template v-if="record.serial"> · {{ record.serial }}</template>
        </p>
        <p>{{ record.job }}, {{ record.address }}</p>
      </div>
      <p class="by">{{ record.company }}<br />{{ longDate(record.madeAt) }}, {{ clock(record.madeAt) }}</p>
    </header>
    <div v-if="record.differs.length > 0" class="summary differs" role="alert">
      <StatusMark status="stop" :size="24" />
      <div>
        <b>{{ t('record.differs') }}</b>
        <p v-for="fault in record.differs" :key="fault">{{ fault }}</p>
        <p class="caption">{{ t('record.differsWhat') }}</p>
      </div>
    </div>
    <p class="summary"><StatusMark :status="record.status" :size="24" /> {{ summary }}</p>
    <p v-for="one in record.overrides" :key="one.at" class="summary">
      <StatusMark status="overridden" :size="24" />
      {{ t('override.on') }}, {{ one.name }}: {{ one.reason }} ({{ one.who }}, {{ day(one.at) }}
      {{ clock(one.at) }})
    </p>
    <ul v-if="record.notes.length > 0" class="first">
      <li v-for="note in record.notes" :key="note">{{ note }}</li>
    </ul>
    <p v-if="record.signOff.addendum > 0" class="first">
      {{ t('leave.addendum', { count: record.signOff.addendum }) }}
    </p>
    <p v-if="record.history" class="history">{{ record.history }}</p>
    <section>
      <h2 class="sr-only">{{ t('record.answers') }}</h2>
      <ol class="answers">
        <li v-for="one in record.answers" :key="one.gate" :class="one.state">
          <span class="rod" aria-hidden="true"></span>
          <h3>{{ one.question }}</h3>
          <p>
            {{ one.sentence }}<span class="sr-only"> ({{ t(`state.${one.state}` as 'state.asking') }})</span>
          </p>
          <p class="caption">
            {{ decided(one.check, one.subject)
            }}<span v-for="note in one.notes" :key="note" class="note">{{ note }}</span>
          </p>
        </li>
      </ol>
    </section>
    <section>
      <h2>{{ t('leave.signed') }}</h2>
      <p v-if="record.signOff.signatures.length === 0">{{ t('leave.byNobody') }}</p>
      <div class="signatures">
        <SignedMark v-for="one in record.signOff.signatures" :key="one.at" :signature="one" />
      </div>
    </section>
    <section v-if="record.asLeft.length > 0">
      <h2>{{ t('record.asLeft') }}</h2>
      <table>
        <tbody>
          <tr v-for="matter in record.asLeft" :key="matter.matter">
            <td>{{ matter.title }}</td>
            <td>
              <span v-for="row in matter.rows" :key="row.label" class="left-row"
                >{{ row.label }} <b>{{ row.value }}</b></span
              >
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.partsOut.length > 0 || record.items.length > 0">
      <h2>{{ t('leave.left') }}</h2>
      <table>
        <tbody>
          <tr v-for="part in record.partsOut" :key="part.subject">
            <td>{{ part.what }}: {{ t('entries.part_disabled') }}</td>
            <td>{{ part.why }} {{ part.wire }}. {{ part.who }}</td>
          </tr>
          <tr v-for="item in record.items" :key="item.id">
            <td>{{ item.what }}</td>
            <td>
              {{
                item.done ||
                (item.owner
                  ? t('tape.leftTo', { owner: item.owner, due: item.due ? date(item.due) : '' })
                  : t('leave.nobodys'))
              }}
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.putBack.length > 0">
      <h2>{{ t('record.putBack') }}</h2>
      <table>
        <tbody>
          <tr v-for="entry in record.putBack" :key="entry.id">
            <td>{{ entry.what }}</td>
            <td>
              {{ entry.closed ? entry.word : t('record.out')
              }}<template v-if="!entry.closed && entry.left"
                >: {{ entry.left }},
                {{ t('tape.leftTo', { owner: entry.owner, due: date(entry.due) }) }}</template
              >
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="record.instruments.length > 0">
      <h2>{{ t('instruments.title') }}</h2>
      <table>
        <tbody>
          <tr v-for="tool in record.instruments" :key="tool.name + tool.due">
            <td>{{ tool.name }}, {{ tool.kind }}</td>
            <td>{{ tool.serial }}</td>
            <td>{{ tool.accuracy }}</td>
            <td :class="{ overdue: tool.overdue }">
              {{ tool.due ? date(tool.due) : ''
              }}<template v-if="tool.overdue">, {{ t('instruments.overdue') }}</template>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section>
      <h2>{{ t('record.evidence') }}</h2>
      <p class="caption">
        {{ t('record.counts', { readings: record.readings, verdicts: record.verdicts }) }}
      </p>
      <div v-for="entry in evidence" :key="entry.at" class="entry" :class="{ struck: entry.suspect }">
        <p class="caption">
          {{ entry.at }} · {{ day(entry.placedAt) }} {{ clock(entry.placedAt)
          }}<template v-if="isApart(entry)">
            ({{ t('tape.device', { time: `${day(entry.deviceAt)} ${clock(entry.deviceAt)}`.trim() }) }},
            {{
              t('tape.server', { time: `${day(entry.recordedAt)} ${clock(entry.recordedAt)}`.trim() })
            }})</template
          >
          · {{ entry.who
          }}<template v-if="entry.license"> ({{ t('people.licenseNo', { no: entry.license }) }})</template
          ><template v-if="entry.instrument"> · {{ entry.instrument }}</template
          ><template v-if="entry.source"> · {{ entry.source }}</template
          ><template v-if="entry.conditions"> · {{ entry.conditions }}</template
          ><span v-if="entry.instrumentOverdue" class="overdue">
            ·
            {{
              t('tape.overdueSince', { instrument: entry.instrument, due: date(entry.instrumentDue) })
            }}</span
          >
          <template v-if="entry.supersededBy">
            · {{ t('tape.supersededBy', { at: entry.supersededBy }) }}</template
          >
        </p>
        <h3><StatusMark v-if="entry.status" :status="entry.status" :size="16" /> {{ entry.title }}</h3>
        <EntryDrawing class="drawing" :entry="entry" />
        <p v-if="entry.headline" class="said">{{ entry.headline }}</p>
        <p v-if="entry.suspect" class="doubt">{{ t('record.doubtedBy', { reason: entry.suspect }) }}</p>
        <p v-if="entry.outOfOrder.length > 0" class="doubt">{{ t('tape.outOfOrder') }}. {{ entry.reason }}</p>
        <PhotoStrip :base="photos" :photos="entry.photos" :height="120" link />
        <p v-if="entry.readings.length > 0" class="figures">
          <span v-for="reading in entry.readings" :key="reading.path"
            >{{ reading.label }} <b>{{ reading.value }} {{ shownUnit(reading.unit) }}</b></span
          >
        </p>
        <p v-if="entry.told.length > 0" class="told">
          <span v-for="one in entry.told" :key="one.label"
            >{{ one.label }}: <b>{{ one.value }}</b></span
          >
        </p>
      </div>
    </section>
    <p class="caption">{{ t('record.people') }}: {{ record.people.join(', ') }}</p>
    <section class="proof">
      <h2>{{ t('record.proof') }}</h2>
      <p>{{ t('record.proofWhat') }}</p>
      <p class="mono">{{ t('record.id') }} {{ record.recordId }}</p>
      <p class="mono">{{ t('record.key', { company: record.company }) }} {{ record.fingerprint }}</p>
      <p class="mono">{{ t('record.digest') }} {{ record.digest }}</p>
    </section>
  </article>
</template>

<style scoped>
.left-row {
  display: inline-block;
  margin-right: 22px;
}
.record {
  max-width: 1040px;
  min-height: 100vh;
  margin: 0 auto;
  padding: 22px 30px 60px;
  background: var(--paper);
}
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 18px;
}
nav a {
  display: grid;
  place-items: center;
  text-decoration: none;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  padding-bottom: 10px;
  border-bottom: 3px solid var(--ink);
}
h1 {
  font-size: 44px;
}
h2 {
  margin: 26px 0 6px;
  font-size: 26px;
}
.by {
  text-align: right;
  white-space: nowrap;
}
.summary {
  display: flex;
  align-items: center;
  gap: 12px;
  margin: 14px 0;
  padding: 10px 14px;
  border: 2px solid var(--ink);
  font-size: 18px;
}
.differs {
  align-items: start;
  border-color: var(--stop);
}
.differs b {
  color: var(--stop);
}
.history {
  margin-bottom: 12px;
}
.answers li {
  display: grid;
  grid-template-columns: 14px 290px minmax(0, 1fr) 150px;
  gap: 16px;
  border-bottom: 1px solid var(--rule);
}
.answers li > :not(.rod) {
  padding: 9px 0;
}
.answers h3 {
  font-size: 20px;
}
.rod {
  background: var(--rule);
  print-color-adjust: exact;
}
.answered .rod {
  background: var(--ink);
}
.asking .rod {
  background: var(--forge);
}
.overridden .rod {
  background: repeating-linear-gradient(var(--ink) 0 7px, transparent 7px 11px);
}
.stopped .rod {
  background: linear-gradient(var(--stop), var(--stop)) 0 50% / 100% 8px no-repeat;
}
.not_on_job .rod {
  width: 1px;
  margin-left: 6px;
  background: var(--iron-soft);
}
.not_on_job h3,
.not_on_job p {
  color: var(--iron-soft);
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 6px 12px 6px 0;
  border-bottom: 1px solid var(--rule);
}
.entry {
  padding: 9px 0;
  border-bottom: 1px solid var(--rule);
  break-inside: avoid;
}
.entry h3 {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 19px;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  font-size: 15px;
}
.figures b {
  font-family: var(--figures);
  font-size: 18px;
}
.struck .said,
.struck .figures {
  text-decoration: line-through;
}
.doubt {
  color: var(--watch);
}
@media (max-width: 640px) {
  .record {
    padding: 14px;
  }
  header {
    display: block;
  }
  .by {
    text-align: left;
  }
  h1 {
    font-size: 32px;
  }
  .answers li {
    grid-template-columns: 12px minmax(0, 1fr);
    gap: 0 12px;
  }
  .answers .rod {
    grid-row: 1 / 4;
  }
  .answers li > :not(.rod) {
    padding: 4px 0;
  }
  .drawing {
    float: none;
    margin: 0;
  }
  td {
    overflow-wrap: anywhere;
  }
}
@media print {
  .screen-only {
    display: none;
  }
  .record {
    max-width: none;
    padding: 0;
    background: none;
  }
  h1 {
    font-size: 32px;
  }
  .answers li {
    grid-template-columns: 12px 200px minmax(0, 1fr) 120px;
    break-inside: avoid;
  }
  .answers li > :not(.rod) {
    padding: 5px 0;
  }
  .answers h3 {
    font-size: 16px;
  }
  h2 {
    break-after: avoid;
  }
}
.first {
  margin-top: 8px;
  padding-left: 10px;
  border-left: 5px solid var(--watch);
}
.note {
  display: block;
}
.signatures {
  display: flex;
  flex-wrap: wrap;
  gap: 24px;
}
.overdue {
  color: var(--stop);
}
.drawing {
  float: right;
  width: 190px;
  margin-left: 16px;
}
.entry {
  overflow: hidden;
}
.mono {
  font: 400 14px/1.5 var(--mono);
  overflow-wrap: anywhere;
}
.told {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  font-size: 15px;
}
</style>
