<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { named, type Part } from './sheetRead'

/** A sheet on the screen and on paper: the nameplate, then its tables. What the other version had stands struck in place. */
defineProps<{ parts: Part[] }>()
const { t, te } = useI18n()

function name(key: string): string {
  if (key.startsWith('charging.')) return t('sheet.charging', { circuit: key.slice('charging.'.length) })
  const flat = key.replace(/\./g, '_')
  return te(`sheet.${flat}`) ? t(`sheet.${flat as 'mca'}`) : named(key)
}
const isFigure = (text: string) => /^[\d.,–-]+( |$)/.test(text)
</script>

<template>
  <div class="read">
    <template v-for="part in parts" :key="part.kind === 'plate' ? 'plate' : part.key">
      <section v-if="part.kind === 'plate'" class="plate">
        <dl>
          <div v-for="line in part.lines" :key="line.key" :class="{ changed: line.cell.differs }">
            <dt>{{ name(line.key) }}</dt>
            <dd>
              <s v-if="line.cell.differs && line.cell.was">{{ line.cell.was }}</s> {{ line.cell.text }}
            </dd>
          </div>
        </dl>
      </section>
      <section v-else-if="part.kind === 'table'">
        <h2>{{ name(part.key) }}</h2>
        <div class="wide">
          <table>
            <thead>
              <tr>
                <th></th>
                <th v-for="column in part.columns" :key="column">{{ name(column) }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in part.rows" :key="row.name">
                <th scope="row">{{ row.name }}</th>
                <td
                  v-for="(cell, i) in row.cells"
                  :key="i"
                  :class="{ changed: cell.differs, figure: isFigure(cell.text) }"
                >
                  <s v-if="cell.differs && cell.was">{{ cell.was }}</s> {{ cell.text }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
      <section v-else>
        <h2>{{ name(part.key) }}</h2>
        <dl class="lines">
          <div v-for="line in part.lines" :key="line.key" :class="{ changed: line.cell.differs }">
            <dt>{{ name(line.key || part.key) }}</dt>
            <dd>
              <s v-if="line.cell.differs && line.cell.was">{{ line.cell.was }}</s> {{ line.cell.text }}
            </dd>
          </div>
        </dl>
      </section>
    </template>
  </div>
</template>

<style scoped>
.read {
  display: grid;
  gap: 20px;
}
.plate {
  padding: 12px 16px;
  border: 3px solid var(--ink);
  background: var(--box);
}
.plate dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 10px 22px;
}
.plate dd {
  font: 600 24px/1.15 var(--figures);
}
dt {
  font-size: 14px;
  color: var(--iron-soft);
}
h2 {
  margin-bottom: 4px;
  font-size: 24px;
}
.wide {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  min-width: 60%;
}
th,
td {
  padding: 7px 20px 7px 0;
  border-bottom: 1px solid var(--rule);
  text-align: left;
  vertical-align: baseline;
}
thead th {
  font-weight: 400;
  font-size: 14px;
  color: var(--iron-soft);
}
tbody th,
.figure {
  font: 600 18px/1.2 var(--figures);
}
.lines {
  columns: 2 360px;
  column-gap: 36px;
}
.lines > div {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
  break-inside: avoid;
}
.lines dd {
  text-align: right;
  font: 600 17px/1.3 var(--figures);
}
.changed dd,
td.changed {
  color: var(--forge-text);
}
s {
  color: var(--iron-soft);
  font-weight: 400;
}
</style>
