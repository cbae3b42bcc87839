<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { TapeEntry } from '@/api/client'
import AskDialog from '@/components/AskDialog.vue'
import PhotoPick from '@/components/PhotoPick.vue'
import { useMachine } from '@/stores/machine'

/** Pictures to an entry of the tape; on a list, to one of its items. */
const props = defineProps<{ entry: TapeEntry }>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const machine = useMachine()
const photos = ref<File[]>([])
const caption = ref('')
const item = ref('')
const items = computed(() => {
  const listed = props.entry.check.startsWith('list.') ? props.entry.input.items : []
  return Array.isArray(listed) ? listed.map((one: { id: string }) => one.id) : []
})

watch(open, () => {
  photos.value = []
  caption.value = item.value = ''
})

async function send() {
  for (const photo of photos.value)
    await machine.photograph(photo, { key: '', at: props.entry.at }, item.value, {
      label: t('photo.one'),
      words: caption.value,
    })
}
</script>

<template>
  <AskDialog
    v-model="open"
    :title="t('photo.title')"
    :submit="t('photo.keep')"
    :incomplete="photos.length === 0"
    :send="send"
    forge
  >
    <PhotoPick v-model="photos" limits />
    <template v-if="items.length > 0">
      <label for="photo-item">{{ t('photo.of') }}</label>
      <select id="photo-item" v-model="item">
        <option value="">{{ t('photo.whole') }}</option>
        <option v-for="one in items" :key="one" :value="one">{{ one.replace(/_/g, ' ') }}</option>
      </select>
    </template>
    <label for="photo-caption">{{ t('photo.caption') }}</label>
    <ElInput id="photo-caption" v-model="caption" maxlength="200" />
  </AskDialog>
</template>

<style scoped>
select {
  min-height: 44px;
  padding: 0 10px;
  border: 2px solid var(--iron);
  background: var(--box);
}
</style>
