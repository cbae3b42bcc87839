// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { GateView, Verdict } from '@/api/client'
import BandScale from '@/drawings/BandScale.vue'
import DrawnBars from '@/drawings/DrawnBars.vue'
import LegBars from '@/drawings/LegBars.vue'
import LockSketch from '@/drawings/LockSketch.vue'
import OneLine from '@/drawings/OneLine.vue'
import PhaseClock from '@/drawings/PhaseClock.vue'
import { i18n } from '@/i18n'
import QuestionRail from '@/screens/machine/QuestionRail.vue'
import { useChecks } from '@/stores/checks'
import ChoiceField from './ChoiceField.vue'
import FoldLine from './FoldLine.vue'
import PhotoPick from './PhotoPick.vue'
import ReadingField from './ReadingField.vue'
import StartRod from './StartRod.vue'
import StatusMark from './StatusMark.vue'
import VerdictLine from './VerdictLine.vue'

const global = { plugins: [i18n] }
const verdict = (values: Record<string, unknown>, more: Partial<Verdict> = {}): Verdict => ({
  check: 'x',
  version: 1,
  status: 'clear',
  marginal: false,
  headline: '',
  because: [],
  next: [],
  codes: [],
  cautions: [],
  basis: [],
  values: Object.fromEntries(
    Object.entries(values).map(([name, value]) => [name, { value, unit: 'V' }]),
  ) as Verdict['values'],
  ...more,
})
const gate = (n: number, state: string, sentence: string): GateView => ({
  gate: n,
  name: `G${n}`,
  question: `Q${n}?`,
  state,
  shut: false,
  sentence,
  check: '',
  subject: '',
  missing: [],
  flags: [],
  notes: [],
})

beforeEach(() => {
  setActivePinia(createPinia())
  vi.stubGlobal('fetch', async () => new Response('', { status: 503 }))
})

describe('a reading', () => {
  const props = {
    label: 'Length',
    kind: 'length',
    units: ['m', 'ft'],
    modelValue: { text: '86', unit: 'ft' },
  }

  it('keeps what is typed as it is typed', async () => {
    const box = mount(ReadingField, { props, global })
    await box.find('input').setValue('86,5 x')
    expect(box.emitted('update:modelValue')?.[0]).toEqual([{ text: '86,5 x', unit: 'ft' }])
  })
  it('goes to the next unit and leaves the figure alone', async () => {
    const box = mount(ReadingField, { props, global })
    await box.find('button.unit').trigger('click')
    expect(box.emitted('update:modelValue')?.[0]).toEqual([{ text: '86', unit: 'm' }])
  })
  it('has no unit to press where there is only one', () => {
    expect(
      mount(ReadingField, { props: { ...props, units: ['V'] }, global })
        .find('button')
        .exists(),
    ).toBe(false)
  })
  it('says what is wrong, for eyes and for readers', () => {
    const box = mount(ReadingField, { props: { ...props, problem: 'Is outside the range.' }, global })
    expect(box.find('[role=alert]').text()).toBe('Is outside the range.')
    expect(box.find('input').attributes('aria-invalid')).toBe('true')
    expect(box.find(`#${CSS.escape(box.find('input').attributes('aria-describedby') ?? '')}`).text()).toBe(
      'Is outside the range.',
    )
  })
})

describe('a choice', () => {
  const options = [
    { value: true, text: 'yes' },
    { value: false, text: 'no' },
  ]
  it('takes a word, also one that is false', async () => {
    const choice = mount(ChoiceField, { props: { label: 'x', options, modelValue: undefined }, global })
    await choice.findAll('input')[1]?.setValue()
    expect(choice.emitted('update:modelValue')?.[0]).toEqual([false])
  })
  it('is taken back when it is pressed again', async () => {
    const choice = mount(ChoiceField, { props: { label: 'x', options, modelValue: false }, global })
    await choice.findAll('input')[1]?.trigger('click')
    expect(choice.emitted('update:modelValue')?.[0]).toEqual([undefined])
  })
})

describe('shapes', () => {
  it('tells every status by form, not by colour alone', () => {
    const forms = ['clear', 'watch', 'stop', 'open', 'overridden'].map((status) =>
      mount(StatusMark, { props: { status } })
        .html()
        .replace(/class="[^"]*"|width="\d+"|height="\d+"/g, ''),
    )
    expect(new Set(forms).size).toBe(5)
  })
  it('says the status in words beside the sentence', () => {
    expect(
      mount(VerdictLine, { props: { status: 'stop', sentence: 'It is reversed.', said: 'Stop' } }).text(),
    ).toBe('Stop: It is reversed.')
  })
  it('draws the rod by twelve states: hairline, ink, gap, stitches, forge, cold', () => {
    const rod = mount(StartRod, {
      props: { label: 'x', states: ['not_on_job', 'answered', 'stopped', 'overridden', 'asking', 'not_yet'] },
    })
    expect(rod.findAll('g').map((piece) => piece.find('rect').classes()[0])).toEqual([
      'none',
      'answered',
      'stopped',
      'answered',
      'asking',
      'cold',
    ])
    expect(rod.findAll('g')[3]?.findAll('rect')).toHaveLength(3)
  })
})

describe('the rail', () => {
  it('folds neighbours that are off the job for the same reason, and tells a shared stop once', () => {
    const gates = [
      gate(1, 'not_on_job', 'others set it'),
      gate(2, 'not_on_job', 'others set it'),
      gate(4, 'not_on_job', 'not opened'),
      gate(7, 'stopped', 'It is reversed.'),
      gate(8, 'stopped', 'It is reversed.'),
    ]
    const rail = mount(QuestionRail, { props: { gates, chosen: 7 }, global })
    expect(rail.findAll('li').map((line) => line.text().replace(/\s+/g, ' '))).toEqual([
      'G1, G2others set it',
      'G4not opened',
      'Q7?stoppedIt is reversed.',
      'Q8?stoppedSame stop.',
    ])
    expect(rail.find('[aria-current=step]').text()).toContain('Q7?')
  })
  it('gives the question that is pressed', async () => {
    const rail = mount(QuestionRail, {
      props: { gates: [gate(7, 'asking', 'x'), gate(8, 'not_yet', 'y')], chosen: 7 },
      global,
    })
    await rail.findAll('button')[1]?.trigger('click')
    expect(rail.emitted('choose')).toEqual([[8]])
  })
})

describe('drawings', () => {
  it('turns the way the meter says', () => {
    const turns = (way: 'forward' | 'reverse' | 'unknown') =>
      mount(PhaseClock, { props: { turns: way }, global })
    expect(turns('forward').text()).toContain('reads L1, L2, L3')
    expect(turns('reverse').text()).toContain('reads L1, L3, L2; should read L1, L2, L3')
    expect(turns('unknown').find('.arc').exists()).toBe(false)
    const end = (way: 'forward' | 'reverse') =>
      Number(turns(way).find('.arc').attributes('d')?.split(' ').at(-2))
    expect(end('forward')).toBeGreaterThan(130)
    expect(end('reverse')).toBeLessThan(130)
  })
  it('marks where to swap, and what must be put back with it', () => {
    const sketch = mount(OneLine, {
      props: { loads: ['C1', 'Blower'], swapSupply: true, swapLoads: ['Blower'], backwards: ['C1'] },
      global,
    })
    expect(sketch.find('.here').exists()).toBe(true)
    expect(sketch.text()).toContain('swap back too')
    expect(sketch.text()).not.toContain('not at one contactor')
    const one = mount(OneLine, {
      props: { loads: ['C1', 'Blower'], swapSupply: false, swapLoads: ['C1'], backwards: ['C1'] },
      global,
    })
    expect([one.find('.here').exists(), one.text().includes('swap here only')]).toEqual([false, true])
  })
  const legs = (...volts: (number | null)[]) =>
    mount(LegBars, {
      props: {
        drawing: {
          shape: 'legs' as const,
          unit: 'V',
          low: 414,
          high: 506,
          average: 480,
          legs: volts.map((value, i) => ({
            name: `L${i + 1}`,
            value,
            is: value !== null && value < 414 ? 'stop' : 'plain',
          })),
          ground: [{ name: 'L1', value: 277 }],
        },
      },
      global,
    })
  it('shows a leg outside the band, and an empty place for one that is not read', () => {
    const bars = legs(400, 480, null)
    expect([bars.findAll('.out').length, bars.findAll('.bar').length, bars.findAll('.empty').length]).toEqual(
      [1, 2, 1],
    )
    const height = (i: number) => Number(bars.findAll('.bar')[i]?.attributes('height'))
    expect(height(0)).toBeLessThan(height(1))
    expect(bars.text()).toContain('ground')
  })
  it('breaks a bar that is far outside, and leaves the others their shape', () => {
    const [near, far] = [legs(480, 478, 484), legs(240, 478, 484)]
    expect([near.findAll('.break').length, far.findAll('.break').length]).toEqual([0, 1])
    const height = (bars: typeof near) => Number(bars.findAll('.bar')[1]?.attributes('height'))
    expect(height(far)).toBeCloseTo(height(near), 0)
  })
  it('places a figure on its scale, by decades too, and never outside it', () => {
    const at = (value: number, decades: boolean) =>
      Number(
        mount(BandScale, {
          props: {
            drawing: {
              shape: 'scale',
              unit: 'V',
              from: decades ? 0.1 : 0,
              decades,
              value,
              bands: [
                { to: 500, is: 'stop' },
                { to: 1000, is: 'clear' },
              ],
            },
          },
        })
          .find('.needle')
          .attributes('x1'),
      )
    expect(at(10, true)).toBeCloseTo(160, 0)
    expect(at(500, false)).toBeCloseTo(160, 0)
    expect(at(5000, false)).toBe(310)
  })
  it('draws bars on one scale, the limit as a line, and what is not known as an empty place', () => {
    const bars = mount(DrawnBars, {
      props: {
        drawing: {
          shape: 'bars',
          unit: '%',
          limit: 100,
          bars: [
            { name: 'C1', value: 50, is: 'plain' },
            { name: 'C2', value: 120, is: 'stop' },
            { name: 'C3', value: null, is: 'plain' },
          ],
        },
      },
    })
    const width = (cls: string) => Number(bars.find(cls).attributes('width'))
    expect(width('.plain') / width('.stop')).toBeCloseTo(50 / 120, 2)
    expect(bars.findAll('.empty')).toHaveLength(1)
    expect(bars.find('.limit').exists()).toBe(true)
    expect(bars.attributes('aria-label')).toBe('C1 50%, C2 120%')
  })
  it('shows what stays live under the lock, and that working there is a danger', () => {
    const sketch = (lockAt?: string, workAt?: string) =>
      mount(LockSketch, { props: { verdict: null, input: { lock_at: lockAt, work_at: workAt } }, global })
    expect(sketch().findAll('.live')).toHaveLength(3)
    expect(sketch('unit_disconnect').findAll('.live')).toHaveLength(2)
    expect(sketch('upstream').findAll('.live')).toHaveLength(1)
    expect(sketch('unit_disconnect', 'line_side').find('.work').classes()).toContain('danger')
    expect(sketch('upstream', 'line_side').find('.work').classes()).not.toContain('danger')
  })
})

describe('the reasons under a bench', () => {
  it('opens one at a time, the reason first, and says cautions in words', async () => {
    useChecks().cautions = { lockout: 'Lock and tag it.' }
    const fold = mount(FoldLine, {
      props: { verdict: verdict({}, { next: ['Do this.'], because: ['For that.'], cautions: ['lockout'] }) },
      global,
    })
    expect(fold.find('.lines').text()).toBe('For that.')
    await fold.findAll('button')[1]?.trigger('click')
    expect(fold.find('.lines').text()).toBe('Lock and tag it.')
    expect(fold.findAll('[aria-expanded=true]')).toHaveLength(1)
    await fold.findAll('button')[1]?.trigger('click')
    expect(fold.find('.lines').exists()).toBe(false)
  })
  it('has nothing to open while there is no verdict', () => {
    expect(mount(FoldLine, { props: { verdict: null }, global }).text()).toBe('')
  })
})

describe('a photo to be picked', () => {
  it('is taken up to 12 MB as JPEG, PNG or WebP, and anything else is told at once', async () => {
    const pick = mount(PhotoPick, { props: { modelValue: [], limits: true }, global })
    expect(pick.text()).toContain('up to 12 MB and 40 megapixels')
    const file = (name: string, type: string, size: number) =>
      Object.defineProperty(new File(['x'], name, { type }), 'size', { value: size })
    const most = 12 * 1024 * 1024
    const input = pick.find('input')
    Object.defineProperty(input.element, 'files', {
      value: [
        file('at.jpg', 'image/jpeg', most),
        file('over.jpg', 'image/jpeg', most + 1),
        file('a.heic', 'image/heic', 5),
        file('a.webp', 'image/webp', 5),
      ],
    })
    await input.trigger('change')
    const kept = pick.emitted('update:modelValue')?.[0]?.[0] as File[]
    expect(kept.map((one) => one.name)).toEqual(['at.jpg', 'a.webp'])
    expect(pick.find('[role=alert]').text()).toContain('Not taken: over.jpg, a.heic.')
  })
})
