import { defineStore } from 'pinia'
import { ref } from 'vue'
import { lastSeen } from '@/lib/lastSeen'
import { useSigns } from '@/lib/reading'
import { answer, api, type CheckView, type FieldView, type Schemas, type PutBackKindView } from '@/api/client'

type Fact = { id: string; text: string }

/** What each check asks for, as the server describes it. */
export const useChecks = defineStore('checks', () => {
  const byId = ref(new Map<string, CheckView>())
  const cautions = ref<Record<string, string>>({})
  const gates = ref<Schemas['GateName'][]>([])
  const putBackKinds = ref<PutBackKindView[]>([])
  /** Facts that decide something, by type of job. */
  const facts = ref<Record<string, Fact[]>>({})

  async function load() {
    if (byId.value.size > 0) return
    const told = await lastSeen(0, 'checks', answer(api.GET('/api/v1/checks')))
    byId.value = new Map(told.checks.map((check) => [check.id, check]))
    cautions.value = told.cautions
    gates.value = told.gates
    putBackKinds.value = told.putBackKinds
    facts.value = told.facts as Record<string, Fact[]>
    useSigns((told as { signs?: Record<string, string> }).signs ?? {})
  }

  function check(id: string): CheckView | undefined {
    return byId.value.get(id)
  }

  /** A field by its path without indexes, such as `loads.amps`. */
  function field(id: string, path: string): FieldView | undefined {
    let fields = byId.value.get(id)?.fields ?? []
    let found: FieldView | undefined
    for (const part of path.split('.').filter((p) => !/^\d+$/.test(p))) {
      found = fields.find((f) => f.name === part)
      fields = found?.fields ?? []
    }
    return found
  }

  return { byId, cautions, gates, putBackKinds, facts, load, check, field }
})
