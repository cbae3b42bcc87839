// @vitest-environment happy-dom
import { enableAutoUnmount, flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, defineComponent, h, ref } from 'vue'
import type { CheckView, FieldView, MachineView, SessionView, TapeEntry } from '@/api/client'
import { i18n } from '@/i18n'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import samePlates from '../../../core/tests/Fixtures/same_plates.json'
import asked from '../../../tests/fixtures/asked.json'
import catalogue from '../../../tests/fixtures/checks.json'
import { fieldOf, provideBench } from './bench'
import BenchFrame from './BenchFrame.vue'
import {
  draftOf,
  enteredOf,
  fillFrom,
  freshDraft,
  inputOf,
  isPristine,
  keysOf,
  leavesOf,
  listsOf,
  NONE,
  valueAt,
  wireOf,
  type Draft,
} from './entered'
import { BENCHES, GATES, isAbout, tabOf } from './gates'
import { typedOver } from './plate'
import { canTell, ranBackwards } from './power/rotation'
import { useOpening } from './opening'
import BenchRows from './rows/BenchRows.vue'
import { since } from './since'
import { isOfParts, named, type BenchSpec } from './spec'

/** A machine that does something else besides takes its time: this only says when to give up. */
const LOADED = { timeout: 20_000 }
const CHECKS = catalogue.checks as unknown as CheckView[]
const checkOf = (id: string): CheckView => {
  const found = CHECKS.find((c) => c.id === id)
  if (found === undefined) throw new Error(id)
  return found
}
const LOADS = [
  { name: 'C1', kind: 'scroll', drive: 'across_line', plate_amps: '9.7 A' },
  { name: 'Blower', kind: 'blower', drive: 'across_line' },
]
const machineWith = (more: Partial<MachineView>) =>
  ({
    id: 1,
    name: 'RTU-2',
    jobType: 'rooftop',
    gates: [],
    tape: [],
    putBack: [],
    instruments: [],
    parts: ['circuit:A', 'compressor:C1'],
    prefill: {},
    plate: {},
    tooEarly: {},
    ...more,
  }) as unknown as MachineView
const entry = (more: Partial<TapeEntry>) =>
  ({
    at: 1,
    kind: 'check',
    suspect: '',
    input: {},
    headline: '',
    deviceAt: '',
    ...more,
  }) as unknown as TapeEntry

// A bench that stands on asks its server again and again, also in the next test.
enableAutoUnmount(afterEach)
beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  useChecks().byId = new Map(CHECKS.map((c) => [c.id, c]))
  vi.stubGlobal('fetch', async () => new Response('', { status: 503 }))
})

/** Something that can be typed for a field. */
function sample(field: FieldView): Draft['values'][string] {
  if (field.type === 'quantity') return { text: '12', unit: field.units[0] ?? '' }
  if (field.type === 'number' || field.type === 'count') return { text: '2', unit: '' }
  if (field.type === 'flag') return true
  if (field.type === 'texts' || field.type === 'numbers') return 'x, y'
  if (field.type === 'raw') return '55 degF'
  return field.options[0] ?? 'text'
}
const prefillOf = (spec: BenchSpec) =>
  Object.fromEntries(
    spec.parts.map((p) => [
      p.check,
      {
        [isOfParts(spec) ? `${p.subject}:C1` : p.subject]: checkOf(p.check).fields.some(
          (f) => f.name === 'loads' && f.sheet,
        )
          ? { loads: LOADS }
          : {},
      },
    ]),
  )

describe.each(BENCHES.map((spec) => [spec.id, spec] as const))('bench %s', (_, spec) => {
  it('names only fields its checks have', () => {
    const known = spec.parts.flatMap((p) =>
      leavesOf(checkOf(p.check).fields).flatMap(({ path, field }) => [
        path,
        ...(field.type === 'items' ? field.fields.map((m) => `${path}.${m.name}`) : []),
      ]),
    )
    expect([...named(spec)].filter((name) => !known.includes(name))).toEqual([])
  })

  it('has a control for every field a person gives', async () => {
    useMachine().view = machineWith({ prefill: prefillOf(spec) })
    const frame = mount(BenchFrame, { props: { spec }, global: { plugins: [i18n] } })
    await flushPromises()
    if (frame.find('.more').exists()) await frame.find('.more').trigger('click')
    for (const press of frame.findAll('button.press.small').filter((b) => b.text().match(/^Add (?!photo)/)))
      await press.trigger('click')
    const hidden = spec.parts.flatMap((p) => [...Object.keys(p.fixed ?? {}), ...(p.without ?? [])])
    const titled = spec.rows.flatMap((row) => (row.row === 'grid' && row.title ? row.fields : []))
    const text = frame.text()
    for (const part of spec.parts)
      for (const { path, field } of leavesOf(checkOf(part.check).fields)) {
        // A table of the sheet is nobody's to type.
        if (field.brought || ['items', 'group', 'raw'].includes(field.type) || hidden.includes(path)) continue
        // A measure under the name of its thing is called by its side.
        if (titled.includes(path))
          expect(text, path).toContain(fieldOf([checkOf(part.check)], path.replace(/\.\w+$/, ''))?.label)
        else expect(text, path).toContain(field.label)
      }
  })

  it('sends what was typed, and takes a recorded input back as it was typed', () => {
    for (const part of spec.parts) {
      const check = checkOf(part.check)
      const prefill =
        (prefillOf(spec)[part.check] ?? {})[Object.keys(prefillOf(spec)[part.check] ?? {})[0] ?? ''] ?? {}
      const draft = freshDraft()
      for (const { path, field } of leavesOf(check.fields))
        if (field.type === 'group') draft.values[path] = true
        else if (!field.brought && field.type !== 'items') draft.values[path] = sample(field)
      for (const { path: list, field } of listsOf(check)) {
        if (keysOf(check, field, prefill, draft, list).length === 0) draft.rows[list] = ['+1']
        for (const key of keysOf(check, field, prefill, draft, list).slice(0, 2))
          for (const member of field.fields.filter(
            (m) => !m.brought && m.type !== 'items' && (key.startsWith('+') || m.need !== 'structural'),
          ))
            draft.values[`${list}.${key}.${member.name}`] = sample(member)
      }
      const input = inputOf(check, prefill, draft, part.fixed)
      for (const { path, field } of leavesOf(check.fields))
        if (!field.brought && field.type !== 'items') expect(valueAt(input, path), path).toBeDefined()
      expect(inputOf(check, prefill, draftOf(check, prefill, input), part.fixed)).toEqual(input)
    }
  })
})

describe('a box that is asked for', () => {
  it('stays in sight when the verdict says something else first', async () => {
    const spec = BENCHES.find((one) => one.id === 'lockout')!
    const asked = ref(['waited'])
    const Rows = defineComponent(() => {
      provideBench({
        spec,
        checks: computed(() => [checkOf('power.lockout')]),
        draft: ref(freshDraft()),
        context: computed(() => ({}) as never),
        prefill: computed(() => ({})),
        problemAt: () => '',
        field: (path) => fieldOf([checkOf('power.lockout')], path),
        missing: computed(() => new Set(asked.value)),
      })
      return () => h(BenchRows)
    })
    const rows = mount(Rows, { global: { plugins: [i18n] } })
    const boxes = () => rows.findAll('label').map((label) => label.text())
    expect(boxes().some((text) => text.startsWith('Waited'))).toBe(true)
    expect(boxes().some((text) => text.startsWith('Drive bus'))).toBe(false)
    asked.value = ['bus_volts']
    await flushPromises()
    for (const name of ['Waited', 'Drive bus'])
      expect(
        boxes().some((text) => text.startsWith(name)),
        name,
      ).toBe(true)
  })
})

describe('Record, pressed before the verdict is there', () => {
  const bench = async () => {
    const answers: ((verdict: object) => void)[] = []
    vi.stubGlobal('fetch', (asked: Request | string) =>
      typeof asked === 'string'
        ? Promise.resolve(new Response('{}', { status: 201 }))
        : new Promise<Response>((resolve) =>
            answers.push((verdict) =>
              resolve(
                new Response(JSON.stringify(verdict), { headers: { 'Content-Type': 'application/json' } }),
              ),
            ),
          ),
    )
    useSession().take({
      person: { id: 1, name: 'Rafe', rights: ['record'] },
      company: '',
      demo: [],
    } as unknown as SessionView)
    useMachine().view = machineWith({})
    const recorded = vi.spyOn(useMachine(), 'record').mockResolvedValue({ key: 'k', at: 1 })
    const frame = mount(BenchFrame, {
      props: { spec: BENCHES.find((one) => one.id === 'control')! },
      global: { plugins: [i18n] },
    })
    // What is asked as the bench opens is not what is asked of a figure.
    await vi.waitFor(() => expect(answers).not.toHaveLength(0), LOADED)
    const type = async (text: string) => {
      answers.length = 0
      await frame.find('input.figure').setValue(text)
      await vi.waitFor(() => expect(answers).not.toHaveLength(0), LOADED)
    }
    const verdict = { status: 'clear', headline: 'Right.', next: [], because: [], codes: [], cautions: [] }
    const tell = async () => {
      answers.splice(0).forEach((give) => give({ ...verdict, basis: [], values: {} }))
      await vi.waitFor(() => expect(frame.text()).toContain('Right.'), LOADED)
      await flushPromises()
    }
    return { frame, recorded, type, tell, press: () => (frame.vm as unknown as { record(): void }).record() }
  }

  it('is done once it is', async () => {
    const { recorded, type, tell, press } = await bench()
    await type('24')
    press()
    expect(recorded).not.toHaveBeenCalled()
    await tell()
    expect(recorded).toHaveBeenCalledTimes(1)
    await tell()
    expect(recorded).toHaveBeenCalledTimes(1)
  })

  it('is not done when something else was typed meanwhile', async () => {
    const { recorded, type, tell, press } = await bench()
    await type('24')
    press()
    await type('25')
    await tell()
    expect(recorded).not.toHaveBeenCalled()
    press()
    expect(recorded).toHaveBeenCalledTimes(1)
  })
})

describe('an act', () => {
  const openings = [
    { circuit: 'A', reasons: ['Tight first.'], weighed: ['Which cylinder?'] },
    { circuit: 'B', reasons: [], weighed: ['Which cylinder?'] },
  ]
  const act = (circuit: string, released: string, kind: 'valves' | 'start' | undefined = 'valves') =>
    useOpening(
      kind,
      computed(() => circuit),
      computed(() => released),
    )

  it('is refused while something has to hold first, each circuit for itself', () => {
    useMachine().view = machineWith({ openings })
    expect(act('A', 'factory').reasons.value).toEqual(['Tight first.'])
    expect(act('A', 'weighed').reasons.value).toEqual(['Tight first.', 'Which cylinder?'])
    expect(act('B', 'weighed').refused.value).toBe(true)
    expect(act('B', 'factory').refused.value).toBe(false)
    const none = useOpening(
      undefined,
      computed(() => 'A'),
      computed(() => 'factory'),
    )
    expect(none.reasons.value).toEqual([])
  })

  it('is refused by what holds the start, where it is one', () => {
    useMachine().view = machineWith({ openings, startRefused: ['Lock 7.'] })
    expect(act('A', 'factory', 'start').reasons.value).toEqual(['Lock 7.'])
  })

  it('is kept as it was done where nobody can be asked', () => {
    useMachine().view = machineWith({ openings })
    useMachine().reachable = false
    const one = act('A', 'factory')
    expect([one.unsure.value, one.refused.value, one.reasons.value]).toEqual([true, false, ['Tight first.']])
  })
})

describe('a draft', () => {
  const voltage = checkOf('power.voltage')
  const split = checkOf('power.single_phase_split')
  it('sends what is known, and over it what was typed; nothing of blanks', () => {
    const draft = freshDraft()
    draft.values.volts_ab = { text: '481', unit: 'V' }
    draft.values.volts_bc = { text: ' ', unit: 'V' }
    expect(inputOf(voltage, { plate_voltage: '460' }, draft, { loaded: true })).toEqual({
      plate_voltage: '460',
      volts_ab: '481 V',
      loaded: true,
    })
    expect([isPristine(draft), isPristine(freshDraft())]).toEqual([false, true])
  })
  it('goes on with the readings the record brings, row by row', () => {
    const check = checkOf('dry.decay')
    const list = check.fields.find((field) => field.name === 'readings')!
    const row = (minutes: number, micron: number) => ({ minutes, micron })
    const carried = { readings: [row(0, 300), row(2, 310)] }
    const draft = freshDraft()
    const sent = () => inputOf(check, carried, draft).readings
    expect(keysOf(check, list, carried, draft)).toEqual(['0', '1'])
    expect(sent()).toEqual(carried.readings)
    draft.rows.readings = ['+1']
    draft.values['readings.+1.minutes'] = { text: '4', unit: 'min' }
    draft.values['readings.+1.micron'] = { text: '315', unit: 'micron' }
    draft.values['readings.1.micron'] = { text: '312', unit: 'micron' }
    expect(sent()).toMatchObject([row(0, 300), { minutes: 2 }, {}])
    expect(sent()).toHaveLength(3)
    // A row that was carried on may be left out, and is no reading any more.
    draft.values['readings.0'] = false
    expect(keysOf(check, list, carried, draft)).toEqual(['1', '+1'])
    expect(sent()).toHaveLength(2)
    // Corrected, an entry stands as it was recorded, whatever was carried on since.
    const again = draftOf(check, { readings: [...carried.readings, row(4, 320)] }, carried)
    expect(inputOf(check, { readings: [...carried.readings, row(4, 320)] }, again).readings).toEqual(
      carried.readings,
    )
  })
  it('grows a table by hand, and names its rows when they are sent', () => {
    const draft = freshDraft()
    draft.rows.loads = ['+1', '+2']
    draft.values['loads.+1.name'] = 'House 12'
    draft.values['loads.+1.amps'] = { text: '28', unit: 'A' }
    const input = inputOf(split, {}, draft)
    expect(input).toEqual({ loads: [{ name: 'House 12', amps: '28 A' }] })
    expect(inputOf(split, {}, draftOf(split, {}, input))).toEqual(input)
  })
  it('sends an object the sheet knows something of only where it is chosen', () => {
    const flow = checkOf('air.flow')
    const known = { fan: { table: { settings: [900] } } }
    const draft = freshDraft()
    expect(inputOf(flow, known, draft)).toEqual({})
    draft.values['fan.static'] = { text: '0.6', unit: 'inH2O' }
    expect(inputOf(flow, known, draft)).toEqual({ fan: { table: { settings: [900] }, static: '0.6 inH2O' } })
    draft.values.fan = false
    expect(inputOf(flow, known, draft)).toEqual({})
  })
  it('takes bare amps of a list for amps', () => {
    const draft = freshDraft()
    draft.values['electric_heat.amps'] = '30, 30.4 A; 29.6'
    expect(inputOf(checkOf('air.flow'), {}, draft)).toEqual({
      electric_heat: { amps: ['30 A', '30.4 A', '29.6 A'] },
    })
  })
  it('keeps a flag that stands in place of a figure', () => {
    const windings = checkOf('compressor.windings')
    const draft = freshDraft()
    draft.values.ohms_ab = { text: '', unit: 'ohm', flag: true }
    const input = inputOf(windings, {}, draft)
    expect(input).toEqual({ ohms_ab: { open_circuit: true } })
    expect(draftOf(windings, {}, input).values.ohms_ab).toEqual({ text: '', unit: '', flag: true })
  })
  it('fills from the box one pasted into, and no further than the last', () => {
    const draft = freshDraft()
    draft.values.c = { text: '', unit: 'mV' }
    fillFrom(draft, ['a', 'b', 'c'], 'b', ['1', '2', '3'], () => 'V')
    expect(draft.values).toEqual({ b: { text: '1', unit: 'V' }, c: { text: '2', unit: 'mV' } })
  })
})

describe('the questions and their benches', () => {
  it('know where a recorded check is corrected', () => {
    expect(tabOf('power.voltage', 'machine')).toEqual({ gate: 7, tab: 'supply' })
    expect(tabOf('power.voltage', 'loaded')).toEqual({ gate: 8, tab: 'loaded' })
    expect(tabOf('power.lockout', 'old_disconnect')).toEqual({ gate: 2, tab: 'oldLockout' })
    expect(tabOf('compressor.windings', 'compressor:C2')).toEqual({ gate: 7, tab: 'windings' })
    expect(tabOf('charge.state', 'circuit:A')).toEqual({ gate: 9, tab: 'chargeState' })
    expect(tabOf('air.split', 'machine')).toEqual({ gate: 10, tab: 'split' })
    expect(tabOf('controls.staging', 'machine')).toEqual({ gate: 11, tab: 'staging' })
    expect(tabOf('run.first_start', 'machine')).toEqual({ gate: 8, tab: 'firstRun' })
    expect(tabOf('power.dials', 'machine')).toEqual({ gate: 7, tab: 'dials' })
    expect(tabOf('vrf.topology', 'machine')).toBeNull()
    expect(tabOf('vrf.topology', 'planned')).toEqual({ gate: 1, tab: 'treePlanned' })
    expect(tabOf('vrf.topology', 'built')).toEqual({ gate: 4, tab: 'treeBuilt' })
  })
  it.each(asked.map((row) => row.split(' ')))(
    'answer whatever question %s asks: %s about %s',
    (gate, check, subject) => {
      const tabs = GATES[Number(gate)] ?? []
      expect(tabs.some((tab) => tab.spec !== undefined && isAbout(tab.spec, check!, subject!))).toBe(true)
    },
  )
  it('leave no check without a bench, and no two benches with one name', () => {
    const benched = new Set(BENCHES.flatMap((spec) => spec.parts.map((p) => p.check)))
    // The options are weighed on a page of their own.
    const own = ['job.gates', 'survey.options', 'entry.option_chosen']
    expect(CHECKS.map((c) => c.id).filter((id) => !own.includes(id) && !benched.has(id))).toEqual([])
    expect(new Set(BENCHES.map((b) => b.id)).size).toBe(BENCHES.length)
    expect(Object.keys(GATES).length).toBeGreaterThan(5)
  })
})

describe('a figure of the plate', () => {
  const plate = { mca: '32.8 A', 'loads.C1.plate_amps': '9.7 A' }
  it('is typed over by another, not by the same or by none', () => {
    expect(typedOver(plate, { mca: '32.80 A' })).toEqual([])
    expect(typedOver(plate, { mca: { value: 32.8, unit: 'A' } })).toEqual([])
    expect(typedOver(undefined, { mca: '1 A' })).toEqual([])
    expect(typedOver(plate, { mca: '36 A' })).toEqual([{ field: 'mca', sheet: '32.8 A', typed: '36 A' }])
    expect(typedOver(plate, { loads: [{ name: 'C1', plate_amps: '12 A' }] })).toEqual([
      { field: 'C1', sheet: '9.7 A', typed: '12 A' },
    ])
  })
})

describe('a nameplate voltage', () => {
  it.each(samePlates as [string, string, boolean][])(
    'written %s and %s is the same plate: %s',
    (one, other, isSame) => {
      expect(typedOver({ volts: one }, { volts: other })).toHaveLength(isSame ? 0 : 1)
      expect(typedOver({ volts: other }, { volts: one })).toHaveLength(isSame ? 0 : 1)
    },
  )
})

describe('rotation', () => {
  it('asks only motors the line decides', () => {
    expect(
      ['across_line', 'part_winding', 'inverter', 'ecm', 'single_phase'].map((drive) => canTell({ drive })),
    ).toEqual([true, true, false, false, false])
    expect(canTell({ drive: 'across_line', out: true })).toBe(false)
  })
  it('remembers what ran backwards, and how long as far as it was told', () => {
    const back = { ...LOADS[0], pressure_moved: false }
    const seen = entry({
      check: 'power.rotation',
      input: { loads: [back, { ...LOADS[1], observed: 'backwards' }] },
    })
    expect([...ranBackwards([seen])]).toEqual([['C1', undefined]])
    const told = entry({
      at: 2,
      check: 'power.rotation',
      input: { loads: [{ ...LOADS[0], hours_backwards: '8 s' }] },
    })
    expect([...ranBackwards([told, seen])]).toEqual([['C1', '8 s']])
    expect([...ranBackwards([entry({ ...seen, suspect: 'wrong unit' })])]).toEqual([])
  })
})

describe('what was recorded', () => {
  const lock = {
    id: 1,
    kind: 'lock',
    what: 'Lock 14 on',
    since: 'T1',
    closed: true,
  } as unknown as MachineView['putBack'][number]
  const locked = entry({ check: 'power.lockout', deviceAt: 'T1', input: { lock_id: '14' } })
  it('is not dead any more when its lock is off', () => {
    expect(since(locked, [locked], [{ ...lock, closed: false }])).toEqual([])
    const off = entry({
      at: 2,
      kind: 'put_back_closed',
      headline: 'Lock 14 on: lock off',
      deviceAt: '2026-11-28T00:25:00Z',
    })
    expect(since(locked, [off, locked], [lock]).map((one) => one.key)).toEqual(['lockOff'])
    expect(since(locked, [locked], []).map((one) => one.key)).toEqual(['lockOff'])
  })
  it('is old after work on the supply, or a lock after the list', () => {
    const read = entry({ check: 'power.voltage' })
    const work = entry({
      at: 2,
      kind: 'supply_work',
      headline: 'transformer',
      deviceAt: '2026-11-28T00:25:00Z',
    })
    expect(since(read, [work, read], []).map((one) => [one.key, one.words])).toEqual([
      ['supplyWork', 'transformer'],
    ])
    const list = entry({ check: 'list.prestart' })
    const again = entry({ at: 3, check: 'power.lockout', deviceAt: '2026-11-28T00:25:00Z' })
    expect(since(list, [again, list], []).map((one) => one.key)).toEqual(['lockedOut'])
  })
})

describe('what stands within a row of a table', () => {
  const circuits = () => checkOf('vrf.wire_map').fields.find((one) => one.name === 'circuits')!
  const of = (name: string) => circuits().fields.find((one) => one.name === name)!

  it('is a short list in one box, and back', () => {
    const sent = wireOf(of('near'), 'S1 red, S2 black and white;E green')
    expect(sent).toEqual([
      { terminal: 'S1', colour: 'red' },
      { terminal: 'S2', colour: 'black and white' },
      { terminal: 'E', colour: 'green' },
    ])
    expect(enteredOf(of('near'), sent)).toBe('S1 red, S2 black and white, E green')
    expect(wireOf(of('near'), '')).toBeUndefined()
    expect(wireOf(of('far'), 'S1')).toEqual([{ terminal: 'S1', colour: '' }])
  })

  it('is flags pressed like words, each said either way once one is pressed', () => {
    expect(wireOf(of('shield'), undefined)).toBeUndefined()
    const sent = wireOf(of('shield'), 'near_grounded')
    expect(sent).toEqual({ near_grounded: true, far_grounded: false })
    expect(enteredOf(of('shield'), sent)).toBe('near_grounded')
    expect(wireOf(of('shield'), NONE)).toEqual({ near_grounded: false, far_grounded: false })
    expect(enteredOf(of('shield'), { near_grounded: false, far_grounded: false })).toBe(NONE)
    expect(enteredOf(of('shield'), undefined)).toBeUndefined()
  })
})

describe('a figure for each of some names', () => {
  const zones = () => checkOf('vrf.crossed_zones')
  const typed = (text: string) => ({ text, unit: 'delta_degF' })
  const draft = (): Draft => ({
    ...freshDraft(),
    values: {
      zones: 'Office, Hall',
      'matrix.Office.changes.Office': typed('-20'),
      'matrix.Office.changes.Hall': typed('0'),
      'matrix.Hall.changes.Office': typed(''),
    },
    rows: { matrix: ['Office', 'Hall'] },
  })
  const sent = {
    zones: ['Office', 'Hall'],
    matrix: [
      {
        called: 'Office',
        changes: { Office: { value: -20, unit: 'delta_degF' }, Hall: { value: 0, unit: 'delta_degF' } },
      },
    ],
  }

  it('goes to the server by name, and a call nobody made does not', () => {
    expect(inputOf(zones(), {}, draft())).toMatchObject({ zones: sent.zones })
    expect(JSON.stringify(inputOf(zones(), {}, draft()).matrix)).toBe(
      JSON.stringify(inputOf(zones(), {}, draftOf(zones(), {}, inputOf(zones(), {}, draft()))).matrix),
    )
  })
  it('is typed over one by one where some of it is known', () => {
    const known = {
      zones: ['Office', 'Hall'],
      matrix: [{ called: 'Office', changes: { Office: '-20 delta_degF', Hall: '0 delta_degF' } }],
    }
    const over: Draft = { ...freshDraft(), values: { 'matrix.Office.changes.Hall': typed('-3') } }
    const matrix = inputOf(zones(), known, over).matrix as {
      called: string
      changes: Record<string, unknown>
    }[]
    expect(matrix).toHaveLength(1)
    expect(matrix[0]!.changes['Office']).toBe('-20 delta_degF')
    expect(JSON.stringify(matrix[0]!.changes['Hall'])).toContain('-3')
  })
})

describe('what one box says goes over into another by a press', () => {
  const bench = async (id: string, prefill: object) => {
    useMachine().view = machineWith({ prefill: prefill as never })
    const spec = BENCHES.find((one) => one.id === id)!
    const frame = mount(BenchFrame, { props: { spec }, global: { plugins: [i18n] } })
    await flushPromises()
    const press = async (text: string) => {
      await frame
        .findAll('button')
        .find((one) => one.text() === text)!
        .trigger('click')
      await flushPromises()
    }
    return { frame, press }
  }
  const boxes = (frame: Awaited<ReturnType<typeof bench>>['frame'], label: string) =>
    frame
      .findAll('.part label')
      .filter((one) => one.text().startsWith(label))
      .map((one) => (frame.find(`[id="${one.attributes('for')}"]`).element as HTMLInputElement).value)

  it('in all rows that are empty yet, out of the sheet and out of what was typed', async () => {
    const items = ['A', 'B', 'C'].map((name, i) => ({ name, kind: 'exact', required: `${i + 3} min` }))
    const { frame, press } = await bench('settings', { 'controls.settings': { machine: { items } } })
    expect(boxes(frame, 'As found')).toEqual(['', '', ''])
    await press('The rest: “As found” like “Required”')
    expect(boxes(frame, 'As found')).toEqual(['3 min', '4 min', '5 min'])
    expect(frame.text()).not.toContain('The rest: “As found”')
    await press('The rest: “As left” like “As found”')
    expect(boxes(frame, 'As left')).toEqual(['3 min', '4 min', '5 min'])
  })

  it('in all rows like the first one, and in none that says something already', async () => {
    const calls = ['fan', 'cool1', 'heat1'].map((call) => ({ call, expected: ['blower'] }))
    const { frame, press } = await bench('sequence', { 'controls.sequence': { machine: { calls } } })
    const minutes = () =>
      frame.findAll('.part input.figure').filter(
        (one) =>
          one.attributes('aria-label')?.startsWith('Watched') ||
          frame
            .find(`label[for="${one.attributes('id')}"]`)
            .text()
            .startsWith('Watched'),
      )
    expect(frame.text()).not.toContain('The rest like')
    await minutes()[0]!.setValue('10')
    await minutes()[2]!.setValue('4')
    await flushPromises()
    await press('The rest like “fan”: Watched for')
    expect(minutes().map((one) => (one.element as HTMLInputElement).value)).toEqual(['10', '10', '4'])
    expect(frame.text()).not.toContain('The rest like')
  })

  it('and words as they are pressed elsewhere', async () => {
    const { frame, press } = await bench('terminals', {})
    expect(frame.text()).not.toContain('Same as landed at the thermostat')
    const group = (legend: string) =>
      frame.findAll('fieldset.several').find((one) => one.find('legend').text() === legend)!
    await group('Landed at the thermostat').find('input[value="R"]').setValue(true)
    await press('Same as landed at the thermostat')
    const pressed = group('Landed at the unit').findAll('input:checked')
    expect(pressed.map((one) => (one.element as HTMLInputElement).value)).toEqual(['R'])
  })
})

describe('what comes before its time', () => {
  const early = async (name: string, tooEarly: Record<string, number>) => {
    useMachine().view = machineWith({
      tooEarly,
      gates: [{ gate: 5, name: 'Tight', missing: [] }] as unknown as MachineView['gates'],
    })
    const spec = BENCHES.find((one) => one.id === name)!
    const frame = mount(BenchFrame, { props: { spec }, global: { plugins: [i18n] } })
    await flushPromises()
    return frame
  }

  it('is said with the question that is not open for it, of the circuit it is about', async () => {
    const frame = await early('hold', { 'tight.hold:circuit:A': 5 })
    expect(frame.find('.foot').text()).toContain('This comes too early: Tight is not open yet.')
    await frame.findAll('.figure')[0]!.setValue('150')
    expect(frame.find('.foot .reason').text()).toContain('Tight is not open yet')
  })

  it('is said of nothing else', async () => {
    expect((await early('hold', { 'tight.hold:circuit:B': 5 })).find('.foot').text()).not.toContain('early')
    expect((await early('hold', {})).find('.foot').text()).not.toContain('early')
  })
})

describe('what a sheet only names, to be read', () => {
  const pairs = ['plus', 'minus'].map((bus) => ({ leg: 'a', bus }))
  const check = checkOf('compressor.inverter')

  it('stands there as rows, each filled where it stands', async () => {
    const prefill = { 'compressor.inverter': { 'compressor:C1': { rectifier: pairs } } }
    useMachine().view = machineWith({ prefill })
    const spec = BENCHES.find((one) => one.id === 'inverter')!
    const frame = mount(BenchFrame, { props: { spec }, global: { plugins: [i18n] } })
    await flushPromises()
    const rows = frame.findAll('.part')
    expect(rows).toHaveLength(2)
    expect(rows.map((row) => row.find('small').text())).toEqual(['L1, plus', 'L1, minus'])
  })

  it('goes out with what was read of it', () => {
    const draft = { ...freshDraft(), values: { 'rectifier.1.forward': '0.45 V' } }
    expect(inputOf(check, { rectifier: pairs }, draft)['rectifier']).toEqual([
      pairs[0],
      { ...pairs[1], forward: '0.45 V' },
    ])
    // What it says whole stands as it is until one is typed.
    const warm = checkOf('run.warm_up')
    expect(inputOf(warm, { warm_up: [{ hours: 12 }] }, freshDraft())['warm_up']).toEqual([{ hours: 12 }])
    const typed = { values: { 'warm_up.+1.hours': { text: '9', unit: '' } }, rows: { warm_up: ['+1'] } }
    expect(inputOf(warm, { warm_up: [{ hours: 12 }] }, { ...freshDraft(), ...typed })['warm_up']).toEqual([
      { hours: 9 },
    ])
  })
})
