<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useSession } from '@/stores/session'

/** Somebody else signed in in this browser: this page stays its own person's, says so, and lets nothing be pressed. */
const { t } = useI18n()
const session = useSession()
const open = computed(() => session.other !== null && session.person !== null)

function goOn() {
  location.assign('/')
}
</script>

<template>
  <ElDialog
    :model-value="open"
    :title="t('otherPerson.title', { other: session.other || t('outbox.somebody') })"
    width="min(520px, 94vw)"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
  >
    <p>{{ t('otherPerson.text', { name: session.person?.name ?? '' }) }}</p>
    <template #footer>
      <button type="button" class="press forge" @click="goOn">
        {{ t('otherPerson.goOn', { other: session.other || t('outbox.somebody') }) }}
      </button>
    </template>
  </ElDialog>
</template>
