// @vitest-environment happy-dom
import { enableAutoUnmount, flushPromises, mount, type DOMWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { defineComponent, h, ref, type Component } from 'vue'
import type { CheckView, Drawing, MachineView, SessionView, TapeEntry } from '@/api/client'
import { provideBench } from '@/benches/bench'
import { draftOf, inputOf } from '@/benches/entered'
import { i18n } from '@/i18n'
import { useSigns } from '@/lib/reading'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import catalogue from '../../../tests/fixtures/checks.json'
import BandScale from './BandScale.vue'
import DrawnBars from './DrawnBars.vue'
import DrawnColumn from './DrawnColumn.vue'
import DrawnCurve from './DrawnCurve.vue'
import DrawnDome from './DrawnDome.vue'
import DrawnLadder from './DrawnLadder.vue'
import DrawnPsychrometric from './DrawnPsychrometric.vue'
import DrawnWires from './DrawnWires.vue'
import DrawnRanking from './DrawnRanking.vue'
import DrawnShape from './DrawnShape.vue'
import DrawnStairs from './DrawnStairs.vue'
import { along, axisOf, freest, short } from './figures'
import JointBoard from './JointBoard.vue'
import LegBars from './LegBars.vue'
import { offsetOf } from './scene'
import ServiceBoard from './ServiceBoard.vue'
import ValveBoard from './ValveBoard.vue'

type Of<S> = Extract<Drawing, { shape: S }>
const global = { plugins: [i18n] }
const numbers = (text: string | undefined) => (text ?? '').match(/-?\d+(\.\d+)?/g)?.map(Number) ?? []

enableAutoUnmount(afterEach)
beforeEach(() => {
  setActivePinia(createPinia())
  useSigns({ psig: 'psig' })
})

describe('a figure on a drawing', () => {
  it('has no zeros behind it', () => {
    expect([short(12), short(12.04), short(12.06), short(-0.5), short(3.14159, 3)]).toEqual([
      '12',
      '12',
      '12.1',
      '-0.5',
      '3.142',
    ])
  })
})

describe('the axis of three legs', () => {
  it('runs a little past what is allowed', () => {
    const axis = axisOf(200, 220, [])
    expect(axis.bottom).toBeCloseTo(193)
    expect(axis.top).toBeCloseTo(224)
  })
  it('makes room for what was read near it, and not for what was read far off', () => {
    expect(axisOf(200, 220, [190]).bottom).toBeCloseTo(187)
    expect(axisOf(200, 220, [235]).top).toBeCloseTo(237)
    expect(axisOf(200, 220, [0, 480])).toEqual(axisOf(200, 220, []))
  })
  it('follows the readings where nothing is known of what is allowed', () => {
    expect(axisOf(null, null, [100, 200])).toEqual({ bottom: 90, top: 210 })
    expect(axisOf(null, null, [])).toEqual({ bottom: 0, top: 1 })
    expect(axisOf(220, 200, [100])).toEqual({ bottom: 90, top: 105 })
  })
})

describe('bars', () => {
  const bars = (more: Partial<Of<'bars'>> = {}): Of<'bars'> => ({
    shape: 'bars',
    unit: 'lb',
    limit: 40,
    bars: [
      { name: 'tare', value: 20, is: 'pale' },
      { name: 'after', value: 50, is: 'stop' },
      { name: 'later', value: null, is: 'plain' },
    ],
    ...more,
  })
  const widths = (drawing: Of<'bars'>) =>
    mount(DrawnBars, { props: { drawing }, global })
      .findAll('rect:not(.empty)')
      .map((one) => Number(one.attributes('width')))

  it('stand on one scale from nothing', () => {
    const [tare, after] = widths(bars())
    expect(after! / tare!).toBeCloseTo(2.5)
  })
  it('have their limit where it lies between them', () => {
    const drawn = mount(DrawnBars, { props: { drawing: bars() }, global })
    const [, after] = widths(bars())
    expect(Number(drawn.find('.limit').attributes('x1')) / after!).toBeCloseTo(0.8)
    expect(
      mount(DrawnBars, { props: { drawing: bars({ limit: null }) }, global })
        .find('.limit')
        .exists(),
    ).toBe(false)
  })
  it('are told to who cannot see them, without what nobody measured', () => {
    const drawn = mount(DrawnBars, { props: { drawing: bars() }, global })
    expect(drawn.attributes('aria-label')).toBe('tare 20 lb, after 50 lb')
    expect(drawn.findAll('.empty')).toHaveLength(1)
    expect(drawn.findAll('rect.stop')).toHaveLength(1)
  })
  it('write a percentage without a blank', () => {
    const drawing = bars({ unit: '%', bars: [{ name: 'use', value: 81.6, is: 'plain' }] })
    expect(mount(DrawnBars, { props: { drawing }, global }).find('.fig').text()).toBe('82%')
  })
})

describe('a word on a drawing', () => {
  const box = (x: number, y: number) => ({ x, y, width: 10, height: 10 })
  it('stands where the least is drawn, and first where it is wanted', () => {
    expect(freest([box(0, 0), box(20, 0)], [])).toEqual(box(0, 0))
    expect(freest([box(0, 0), box(20, 0)], [[5, 5]])).toEqual(box(20, 0))
    expect(
      freest(
        [box(0, 0), box(20, 0)],
        [
          [5, 5],
          [21, 1],
          [22, 2],
        ],
      ),
    ).toEqual(box(0, 0))
  })
  it('sees a line between its points too', () => {
    expect(
      along([
        [0, 0],
        [12, 0],
      ]),
    ).toEqual([
      [0, 0],
      [6, 0],
      [12, 0],
    ])
    expect(
      freest(
        [box(40, -5), box(0, 30)],
        along([
          [0, 0],
          [100, 0],
        ]),
      ),
    ).toEqual(box(0, 30))
  })
  it('keeps clear of a curve that rises through its line', () => {
    const drawing: Drawing = {
      shape: 'curve',
      unit: 'micron',
      decades: true,
      points: [
        [0, 300],
        [4, 835],
        [8, 1110],
        [15, 1310],
      ],
      lines: [{ name: 'has to stay under', value: 1000, is: 'stop' }],
      from: 0,
      fit: [
        [0, 300],
        [15, 1310],
        [30, 1390],
      ],
    }
    const drawn = mount(DrawnCurve, { props: { drawing }, global })
    const word = drawn.find('.stop .word')
    expect(word.text()).toBe('has to stay under 1000 micron')
    const line = Number(drawn.find('.stop .limit').attributes('y1'))
    expect(Number(word.attributes('y'))).toBeGreaterThan(line)
    expect(Number(word.attributes('x'))).toBeGreaterThan(150)
  })
})

describe('stairs', () => {
  const stairs: Of<'stairs'> = {
    shape: 'stairs',
    unit: 'inH2O',
    limit: 0.8,
    bars: [
      { name: 'return', value: 0.43, is: 'stop' },
      { name: 'filter', value: -0.02, is: 'plain' },
      { name: 'supply', value: 0.2, is: 'plain' },
    ],
  }
  const drawn = () => mount(DrawnStairs, { props: { drawing: stairs }, global })
  it('begin each where the one before it ends', () => {
    const [first, second, third] = drawn()
      .findAll('rect')
      .map((one) => [Number(one.attributes('y')), Number(one.attributes('height'))] as const)
    expect(second![0]).toBeCloseTo(first![0])
    expect(third![0] + third![1]).toBeCloseTo(second![0] + second![1])
    expect(first![1] / third![1]).toBeCloseTo(2.15)
  })
  it('name the one that takes most, and say what they may reach', () => {
    expect(drawn().findAll('rect.stop')).toHaveLength(1)
    expect(drawn().find('.word').text()).toContain('0.8')
    expect(drawn().attributes('aria-label')).toContain('return 0.43')
    expect(
      mount(DrawnStairs, { props: { drawing: { ...stairs, limit: null } }, global })
        .find('.limit')
        .exists(),
    ).toBe(false)
  })
})

describe('a ladder of stages', () => {
  const f = (degrees: number) => (degrees - 32) / 1.8
  const rung = (name: string, n: number, on: number, off: number) => ({
    name,
    n,
    kind: name,
    on: f(on),
    off: f(off),
    busiest: null,
  })
  const ladder: Of<'ladder'> = {
    shape: 'ladder',
    units: 'us',
    rungs: [rung('cool', 1, 75.5, 74.5), rung('cool', 2, 77, 76), rung('heat', 1, 68.5, 69.5)],
    setpoints: { cool: f(74), heat: f(70) },
    economizer: null,
    trace: [],
  }
  const drawn = (more: Partial<Of<'ladder'>> = {}) =>
    mount(DrawnLadder, { props: { drawing: { ...ladder, ...more } }, global })
  const press = async (on: ReturnType<typeof drawn>, key: string, times: number) => {
    for (let i = 0; i < times; i++) await on.find('[role=slider]').trigger('keydown', { key })
    return on.find('.told').text()
  }
  it('has heat left of cooling, each from where it goes off to where it comes on', () => {
    expect(
      drawn()
        .findAll('.word')
        .map((one) => one.text()),
    ).toEqual(['heat 1', 'cool 1', 'cool 2'])
    expect(drawn().find('[role=img]').attributes('aria-label')).toContain('cool 1 on at 75.5°, off at 74.5°')
    const y = (one: DOMWrapper<Element>) => Number(one.attributes('y1'))
    const [heat, cool] = drawn().findAll('.edge')
    expect(y(heat!)).toBeGreaterThan(y(cool!))
  })
  it('brings its stages on and lets them go as the temperature is moved', async () => {
    const one = drawn()
    expect(one.find('.told').text()).toBe('72°: nothing runs')
    expect(await press(one, 'ArrowUp', 7)).toBe('75.5°: nothing runs')
    expect(await press(one, 'ArrowUp', 1)).toBe('76°: cool 1 on')
    expect(await press(one, 'ArrowUp', 3)).toBe('77.5°: cool 1, cool 2 on')
    expect(await press(one, 'ArrowDown', 3)).toBe('76°: cool 1, cool 2 on')
    expect(await press(one, 'ArrowDown', 1)).toBe('75.5°: cool 1 on')
    expect(await press(one, 'PageDown', 1)).toBe('73.5°: nothing runs')
    expect(await press(one, 'ArrowDown', 11)).toBe('68°: heat 1 on')
    expect(one.find('[role=slider]').attributes('aria-valuenow')).toBe('68')
    expect(await press(one, 'Tab', 1)).toBe('68°: heat 1 on')
  })
  it('goes no further than its scale, and starts anew with other set points', async () => {
    const one = drawn()
    expect(await press(one, 'PageUp', 9)).toContain('78.8°')
    await one.setProps({ drawing: { ...ladder, setpoints: { cool: f(76), heat: f(70) } } })
    expect(one.find('.told').text()).toBe('73°: nothing runs')
  })
  it('is dragged by the height of the press', async () => {
    const one = drawn()
    const frame = one.find('svg').element as SVGSVGElement
    frame.getBoundingClientRect = () => ({ top: 0, height: 318 }) as DOMRect
    const cool = Number(one.findAll('.edge')[1]!.attributes('y1'))
    await one.find('svg').trigger('pointermove', { clientY: cool - 20 })
    expect(one.find('.told').text()).toBe('72°: nothing runs')
    await one.find('svg').trigger('pointerdown', { clientY: cool - 20 })
    expect(one.find('.told').text()).toContain('cool 1 on')
    await one.find('svg').trigger('pointerup')
    await one.find('svg').trigger('pointermove', { clientY: 262 })
    expect(one.find('.told').text()).toContain('cool 1 on')
  })
  it('has the day under it, with what starts how often', () => {
    expect(drawn().find('.day').exists()).toBe(false)
    const one = drawn({
      rungs: [{ ...rung('cool', 1, 75.5, 74.5), busiest: 7 }],
      trace: [
        [0, f(72), f(80)],
        [12, f(76), f(95)],
      ],
    })
    expect(one.find('.day').attributes('d')).toMatch(/^M58\.0 [\d.]+ L/)
    expect(one.findAll('.told')[1]!.text()).toBe('cool 1: 7 starts in its busiest hour')
  })
})

describe('air on its chart', () => {
  const air = (units: string): Of<'psychrometric'> => ({
    shape: 'psychrometric',
    joined: true,
    units,
    lines_of: [
      {
        humidity: 50,
        points: [
          [0, 1.9],
          [20, 7.3],
          [40, 23],
        ],
      },
      {
        humidity: 100,
        points: [
          [0, 3.8],
          [20, 14.7],
          [40, 49],
        ],
      },
    ],
    spots: [
      { name: 'return', x: 26.7, y: 11.2 },
      { name: 'supply', x: 15, y: 9 },
    ],
  })
  const drawn = (units: string) => mount(DrawnPsychrometric, { props: { drawing: air(units) }, global })
  it('has its points over dry bulb and water, in the units asked for', () => {
    const [back, supply] = drawn('us').findAll('circle')
    expect(Number(back!.attributes('cx'))).toBeGreaterThan(Number(supply!.attributes('cx')))
    expect(Number(back!.attributes('cy'))).toBeLessThan(Number(supply!.attributes('cy')))
    expect(drawn('us').find('.psychrometric').attributes('aria-label')).toBe(
      'return 80.1°, 78.4 gr/lb; supply 59°, 63 gr/lb',
    )
    expect(drawn('si').find('.psychrometric').attributes('aria-label')).toBe(
      'return 26.7°, 11.2 g/kg; supply 15°, 9 g/kg',
    )
  })
  it('stands under its coil with what comes and what leaves, where there is one', () => {
    expect(drawn('us').find('.coil').exists()).toBe(false)
    const coil = [
      { at: 'outdoor_air', name: 'outdoor air', text: '95 °F' },
      { at: 'return_air', name: 'return', text: '78 °F' },
      { at: 'should_leave', name: 'should leave', text: '59 °F' },
      { at: 'leaves', name: 'supply', text: '62 °F' },
    ]
    const one = mount(DrawnPsychrometric, { props: { drawing: { ...air('us'), coil } }, global }).find(
      '.coil',
    )
    expect(one.attributes('aria-label')).toBe(
      'outdoor air 95 °F; return 78 °F; should leave 59 °F; supply 62 °F',
    )
    const x = (text: string) =>
      Number(
        one
          .findAll('text')
          .find((found) => found.text() === text)!
          .attributes('x'),
      )
    expect(x('95 °F')).toBe(x('78 °F'))
    expect(x('59 °F')).toBe(x('62 °F'))
    expect(x('78 °F')).toBeLessThan(x('62 °F'))
  })
  it('shows no line above what is looked at, and the way of the air', () => {
    const tops = drawn('us')
      .findAll('path.line')
      .flatMap((one) => numbers(one.attributes('d')).filter((_, i) => i % 2 === 1))
    expect(Math.min(...tops)).toBeGreaterThan(0)
    expect(drawn('us').findAll('path.way')).toHaveLength(1)
    expect(
      mount(DrawnPsychrometric, { props: { drawing: { ...air('us'), joined: false } }, global }).findAll(
        'path.way',
      ),
    ).toHaveLength(0)
  })
})

describe('wires between two ends', () => {
  const drawing: Of<'wires'> = {
    shape: 'wires',
    circuits: [
      {
        name: 'bus',
        wires: [
          { colour: 'red', near: 'S1', far: 'S2', is: 'stop' },
          { colour: 'black', near: 'S2', far: '', is: 'watch' },
        ],
      },
      { name: 'supply', wires: [{ colour: 'white', near: 'L2', far: 'L2', is: 'plain' }] },
    ],
  }
  const one = mount(DrawnWires, { props: { drawing }, global })
  it('run straight where both ends agree, across where they do not, and end where they are lost', () => {
    const [crossed, lost, straight] = one.findAll('path').map((path) => path.attributes('d') ?? '')
    const ends = (d: string) => numbers(d).filter((_, i) => i % 2 === 1)
    expect(ends(straight!)[0]).toBe(ends(straight!)[1])
    expect(crossed).toMatch(/^M92 [\d.]+ L268 /)
    expect(lost).toMatch(/^M92 [\d.]+ H146$/)
    expect(one.findAll('.stop path')).toHaveLength(1)
    expect(one.findAll('.terminal').map((text) => text.text())).toEqual(['S1', 'S2', 'S2', 'L2', 'L2'])
  })
  it('are told in words', () => {
    expect(one.attributes('aria-label')).toBe('bus: red S1 to S2, black S2 to –; supply: white L2 to L2')
  })
})

describe('a ranking', () => {
  const ranking: Of<'ranking'> = {
    shape: 'ranking',
    features: [
      { name: 'SH', value: 1.4 },
      { name: 'SC', value: -2 },
      { name: 'amps', value: 0.9 },
    ],
    causes: [
      { name: 'low charge', value: 0.41, speaks: [1, 0.5, -0.5] },
      { name: 'high load', value: 0.39, speaks: [0, null, 0.25] },
    ],
    limit: 0.4,
  }
  const drawn = () => mount(DrawnRanking, { props: { drawing: ranking }, global })
  const sizes = (one: DOMWrapper<Element>) => Number(one.attributes('r'))

  it('says how each reading lies', () => {
    expect(
      drawn()
        .findAll('.read')
        .map((one) => one.text()),
    ).toEqual(['high', 'low', 'ok'])
  })
  it('marks what speaks for a cause and against it, the clearer the larger', () => {
    const [first, second] = drawn().findAll('g.cause')
    expect(first!.findAll('circle.for').map(sizes)).toEqual([9, 4.5])
    expect(first!.findAll('path.against')).toHaveLength(1)
    expect(second!.findAll('circle.for').map(sizes)).toEqual([2.25])
    expect(second!.findAll('path.against')).toHaveLength(0)
  })
  it('sets apart what is likely enough to be named', () => {
    expect(
      drawn()
        .findAll('.likely')
        .map((one) => one.text()),
    ).toEqual(['low charge'])
    expect(drawn().findAll('rect.plain')).toHaveLength(1)
    expect(drawn().findAll('rect.pale')).toHaveLength(1)
    expect(
      drawn()
        .findAll('.fig')
        .map((one) => one.text()),
    ).toEqual(['41%', '39%'])
  })
  it('is told to who cannot see it', () => {
    expect(drawn().attributes('aria-label')).toBe(
      'low charge 41%, for: SH, SC, against: amps; high load 39%, for: amps, against: –',
    )
  })
})

describe('a scale of bands', () => {
  const scale = (value: number | null, more: Partial<Of<'scale'>> = {}): Of<'scale'> => ({
    shape: 'scale',
    unit: 'scfh',
    from: 0,
    decades: false,
    value,
    bands: [
      { to: 2, is: 'stop' },
      { to: 8, is: 'clear' },
      { to: 10, is: 'watch' },
    ],
    ...more,
  })
  const needle = (drawing: Of<'scale'>) =>
    Number(mount(BandScale, { props: { drawing }, global }).find('.needle').attributes('x1'))

  it('has bands as wide as they are', () => {
    const rects = mount(BandScale, { props: { drawing: scale(5) }, global }).findAll('rect')
    expect(rects.map((one) => one.classes()[0])).toEqual(['stop', 'clear', 'watch'])
    const widths = rects.map((one) => Number(one.attributes('width')))
    expect(widths[1]! / widths[0]!).toBeCloseTo(3)
  })
  it('points where the figure lies, and to its end for what lies beyond it', () => {
    expect(needle(scale(5))).toBeCloseTo(160)
    expect(needle(scale(50))).toBeCloseTo(310)
    expect(needle(scale(-3))).toBeCloseTo(10)
  })
  it('goes by decades where that is how it is read', () => {
    const decades = { from: 1, decades: true, bands: [{ to: 100, is: 'clear' }] }
    expect(needle(scale(10, decades))).toBeCloseTo(160)
  })
  it('has no needle before anything was read', () => {
    const drawn = mount(BandScale, { props: { drawing: scale(null) }, global })
    expect(drawn.find('.needle').exists()).toBe(false)
    expect(drawn.find('svg').attributes('aria-label')).toBe('scfh')
  })
})

describe('a curve over time', () => {
  const curve = (more: Partial<Of<'curve'>> = {}): Of<'curve'> => ({
    shape: 'curve',
    unit: 'psig',
    points: [
      [0, 0],
      [3, 6],
      [4, 0],
      [9, 2],
    ],
    lines: [{ name: 'liquid above', value: 10, is: 'stop' }],
    from: 2,
    ...more,
  })
  const drawn = (drawing: Of<'curve'>) => mount(DrawnCurve, { props: { drawing }, global })

  it('draws what counts apart from what came before it', () => {
    const one = drawn(curve())
    expect(one.findAll('circle.before')).toHaveLength(2)
    expect(one.findAll('circle')).toHaveLength(4)
    expect(numbers(one.find('path.read').attributes('d'))).toHaveLength(4)
    expect(numbers(one.find('path.before').attributes('d'))).toHaveLength(6)
  })
  it('runs to the right with time and up with pressure', () => {
    const [first, , , last] = drawn(curve()).findAll('circle')
    expect(Number(last!.attributes('cx'))).toBeGreaterThan(Number(first!.attributes('cx')))
    expect(Number(last!.attributes('cy'))).toBeLessThan(Number(first!.attributes('cy')))
  })
  it('holds it against its lines, by name', () => {
    const one = drawn(curve())
    expect(one.find('.stop .word').text()).toBe('liquid above 10 psig')
    const line = Number(one.find('.stop .limit').attributes('y1'))
    for (const circle of one.findAll('circle')) expect(Number(circle.attributes('cy'))).toBeGreaterThan(line)
  })
  it('says the last reading large, and every one to who cannot see', () => {
    expect(drawn(curve()).find('.fig').text()).toBe('2')
    expect(drawn(curve()).attributes('aria-label')).toBe(
      '0 min 0 psig, 3 min 6 psig, 4 min 0 psig, 9 min 2 psig',
    )
  })
  it('stands empty before the first reading', () => {
    const one = drawn(curve({ points: [], from: 0 }))
    expect(one.findAll('circle')).toHaveLength(0)
    expect(one.find('.fig').exists()).toBe(false)
  })
})

describe('a decay by decades', () => {
  const decay = (more: Partial<Of<'curve'>> = {}): Of<'curve'> => ({
    shape: 'curve',
    unit: 'micron',
    across: 'min',
    decades: true,
    points: [
      [0, 100],
      [10, 300],
    ],
    lines: [{ name: 'has to stay under', value: 1000, is: 'stop' }],
    from: 0,
    fit: [],
    band: [],
    ...more,
  })
  const draw = (more: Partial<Of<'curve'>> = {}) =>
    mount(DrawnCurve, { props: { drawing: decay(more) }, global })

  it('has the same height for the same factor', () => {
    const y = draw({
      points: [
        [0, 10],
        [1, 100],
        [2, 1000],
      ],
    })
      .findAll('circle')
      .map((one) => Number(one.attributes('cy')))
    expect((y[0] ?? 0) - (y[1] ?? 0)).toBeCloseTo((y[1] ?? 0) - (y[2] ?? 0), 6)
    expect((y[0] ?? 0) - (y[1] ?? 0)).toBeGreaterThan(20)
  })
  it('carries its fit on past the last reading', () => {
    const drawn = draw({
      fit: [
        [0, 100],
        [30, 900],
      ],
    })
    const fit = numbers(drawn.find('path.fit').attributes('d'))
    const last = drawn.findAll('circle').at(-1)
    expect(fit[2]).toBeGreaterThan(Number(last?.attributes('cx')))
    expect(fit[3]).toBeLessThan(Number(last?.attributes('cy')))
    expect(draw().find('path.fit').exists()).toBe(false)
  })
  it('draws a limit where it lies, and its word with it', () => {
    const drawn = draw()
    const line = Number(drawn.find('g.stop line').attributes('y1'))
    expect(line).toBeLessThan(Number(drawn.findAll('circle').at(-1)?.attributes('cy')))
    expect(drawn.find('g.stop text').text()).toContain('has to stay under 1000')
  })
  it('runs into one line where it has many readings', () => {
    const many = Array.from({ length: 41 }, (_, i): [number, number] => [i, 100 + i])
    expect(Number(draw({ points: many }).find('circle').attributes('r'))).toBeLessThan(2)
    expect(
      Number(
        draw({ points: many.slice(0, 40) })
          .find('circle')
          .attributes('r'),
      ),
    ).toBe(4)
  })
  it('has a band a reading may lie in, and begins its axis there', () => {
    const held = draw({
      decades: false,
      across: 'h',
      unit: 'psig',
      lines: [],
      points: [
        [0, 450],
        [14, 437],
      ],
      band: [
        [0, 450, 450],
        [14, 435, 441],
      ],
    })
    const band = numbers(held.find('path.band').attributes('d'))
    const last = held.findAll('circle').at(-1)
    const y = Number(last?.attributes('cy'))
    expect(band[3]).toBeLessThan(y)
    expect(band[5]).toBeGreaterThan(y)
    expect(y).toBeLessThan(240)
    expect(held.text()).toContain('h')
  })
})

describe('a column that fills', () => {
  const column = (more: Partial<Of<'column'>> = {}): Of<'column'> => ({
    shape: 'column',
    parts: [
      { name: 'factory', value: 6, text: '13 lb' },
      { name: 'for the lines', value: 2, text: '4 lb' },
    ],
    filled: 4,
    is: 'plain',
    large: { name: 'to go', text: '9 lb' },
    ...more,
  })
  const draw = (more: Partial<Of<'column'>> = {}) =>
    mount(DrawnColumn, { props: { drawing: column(more) }, global })
  const tall = (drawn: ReturnType<typeof draw>, of: string) =>
    Number(drawn.find(`rect.${of}`).attributes('height'))

  it('stands as high as what is in it, of all that belongs there', () => {
    const drawn = draw()
    expect(tall(drawn, 'plain') / tall(drawn, 'glass')).toBeCloseTo(0.5, 6)
    const marks = drawn.findAll('line.mark').map((one) => Number(one.attributes('y1')))
    expect((262 - (marks[0] ?? 0)) / (262 - (marks[1] ?? 0))).toBeCloseTo(0.75, 6)
    expect(drawn.find('.large').text()).toContain('9 lb')
    expect(drawn.attributes('aria-label')).toBe('Charge: factory 13 lb, for the lines 4 lb, 9 lb to go')
  })
  it('stands over the top where too much went in', () => {
    const drawn = draw({ filled: 9, is: 'stop' })
    expect(tall(drawn, 'stop')).toBeGreaterThan(tall(drawn, 'glass'))
  })
  it('keeps the names of thin parts apart, and needs no figure', () => {
    const drawn = draw({
      parts: [
        { name: 'a', value: 8, text: '8' },
        { name: 'b', value: 0.1, text: '0.1' },
        { name: 'c', value: 0.1, text: '0.1' },
      ],
    })
    const at = drawn.findAll('text:not(.large)').map((one) => Number(one.attributes('y')))
    expect((at[0] ?? 0) - (at[1] ?? 0)).toBeGreaterThanOrEqual(40)
    const bare = column()
    delete bare.large
    expect(
      mount(DrawnColumn, { props: { drawing: bare }, global })
        .find('.large')
        .exists(),
    ).toBe(false)
  })
})

describe('the dome of a refrigerant', () => {
  const dome: Of<'dome'> = {
    shape: 'dome',
    refrigerant: 'R-410A',
    bubble: [
      [150, 2e5],
      [250, 2e6],
      [300, 4e6],
    ],
    dew: [
      [410, 2e5],
      [425, 2e6],
      [400, 4e6],
    ],
    low: 9e5,
    high: 2.4e6,
    suction: { from: 422, to: 430 },
    liquid: { from: 266, to: 257 },
    figures: {
      superheat: { value: 12.16, unit: 'degF' },
      superheat_off: { value: 1.94, unit: 'degF' },
      subcooling: { value: 10.6, unit: 'degF' },
      low: { value: 118.4, unit: 'psig' },
      high: { value: 340, unit: 'psig' },
    },
  }
  const drawn = () => mount(DrawnDome, { props: { drawing: dome }, global })

  it('has superheat and subcooling as lengths out of it, the low side under the high one', () => {
    const [superheat, subcooling] = ['superheat', 'subcooling'].map((one) => {
      const line = drawn().find(`line.${one}`)
      return ['x1', 'x2', 'y1'].map((at) => Number(line.attributes(at)))
    }) as [number[], number[]]
    expect((superheat[1] ?? 0) - (superheat[0] ?? 0)).toBeGreaterThan(0)
    expect(
      ((superheat[1] ?? 0) - (superheat[0] ?? 0)) / ((subcooling[1] ?? 0) - (subcooling[0] ?? 0)),
    ).toBeCloseTo(8 / 9, 6)
    expect(superheat[2]).toBeGreaterThan(subcooling[2] ?? 0)
  })
  it('tells its four figures', () => {
    const words = drawn().text()
    for (const one of ['12.2 ± 1.9 degF', '10.6 degF', 'low side 118 psig', 'high side 340 psig', 'R-410A'])
      expect(words).toContain(one)
    const bare = { ...dome }
    delete bare.figures
    expect(mount(DrawnDome, { props: { drawing: bare }, global }).text()).toContain('superheat')
  })
})

describe('three legs', () => {
  const legs = (values: (number | null)[], more: Partial<Of<'legs'>> = {}): Of<'legs'> => ({
    shape: 'legs',
    unit: 'V',
    low: 440,
    high: 500,
    average: 480,
    legs: values.map((value, i) => ({
      name: ['AB', 'BC', 'CA'][i]!,
      value,
      is: value === 0 ? 'stop' : 'plain',
    })),
    ground: [],
    ...more,
  })

  it('are as high as they read, and broken where they are off the paper', () => {
    const drawn = mount(LegBars, { props: { drawing: legs([480, 490, 0]) }, global })
    const heights = drawn.findAll('rect.bar').map((one) => Number(one.attributes('height')))
    expect(heights[1]).toBeGreaterThan(heights[0]!)
    expect(drawn.findAll('.break')).toHaveLength(1)
    expect(drawn.findAll('rect.out')).toHaveLength(1)
  })
  it('leave a place for a leg nobody has read', () => {
    const drawn = mount(LegBars, { props: { drawing: legs([480, null, null]) }, global })
    expect(drawn.findAll('.empty')).toHaveLength(2)
  })
  it('say each line to ground beneath where it was read', () => {
    const ground = [
      { name: 'A', value: 277 },
      { name: 'B', value: null },
    ]
    const drawn = mount(LegBars, { props: { drawing: legs([480, 480, 480]), ground }, global })
    expect(drawn.text()).toContain('A 277')
    expect(drawn.text()).not.toContain('B 0')
  })
})

describe('what a judgement gives to be drawn', () => {
  it.each([
    ['bars', { shape: 'bars', unit: 'lb', limit: null, bars: [] }, DrawnBars],
    [
      'scale',
      { shape: 'scale', unit: 'A', from: 0, decades: false, value: 1, bands: [{ to: 2, is: 'clear' }] },
      BandScale,
    ],
    ['curve', { shape: 'curve', unit: 'psig', points: [], lines: [], from: 0 }, DrawnCurve],
    ['stairs', { shape: 'stairs', unit: 'inH2O', limit: null, bars: [] }, DrawnStairs],
    [
      'psychrometric',
      { shape: 'psychrometric', lines_of: [], joined: false, units: 'us', spots: [] },
      DrawnPsychrometric,
    ],
    [
      'ladder',
      {
        shape: 'ladder',
        units: 'us',
        rungs: [],
        setpoints: { cool: 23, heat: 21 },
        economizer: null,
        trace: [],
      },
      DrawnLadder,
    ],
    ['ranking', { shape: 'ranking', features: [], causes: [], limit: 0.4 }, DrawnRanking],
    ['column', { shape: 'column', parts: [], filled: 0, is: 'plain' }, DrawnColumn],
    [
      'legs',
      { shape: 'legs', unit: 'V', low: null, high: null, average: null, legs: [], ground: [] },
      LegBars,
    ],
  ])('%s has its painter', (_, drawing, painter) => {
    const drawn = mount(DrawnShape, { props: { drawing: drawing as Drawing }, global })
    expect(drawn.findComponent(painter as Component).exists()).toBe(true)
  })
  it('is nothing where nothing was given, nor for a rotation nobody knows', () => {
    const shape = (drawing: Drawing | undefined) =>
      mount(DrawnShape, { props: { drawing }, global }).find('svg').exists()
    expect(shape(undefined)).toBe(false)
    expect(shape({ shape: 'rotation', turns: 'unknown', swap_supply: false, swap_loads: [] })).toBe(false)
  })
})

describe('a dimension line', () => {
  const dim = (to: [number, number], away: number) =>
    offsetOf({ from: [0, 0], to, away, value: 1, field: '', is: 'plain', text: '' })
  it('stands off to the left of its way', () => {
    expect(dim([2, 0], 0.5)).toEqual([-0, 0.5])
    expect(dim([0, 2], 0.5)).toEqual([-0.5, 0])
    expect(dim([-2, 0], 0.5)).toEqual([-0, -0.5])
    expect(dim([0, 0], 0.5)).toEqual([0, 0])
  })
})

describe('the boards of a circuit', () => {
  const CHECKS = catalogue.checks as unknown as CheckView[]
  const entry = (at: number, check: string, input: object, more: Partial<TapeEntry> = {}) =>
    ({
      at,
      kind: 'check',
      check,
      subject: 'circuit:A',
      suspect: '',
      who: 'Mina',
      deviceAt: '2026-11-28T08:05:00',
      input,
      ...more,
    }) as unknown as TapeEntry
  const board = (painter: Component, check: string, tape: TapeEntry[], rights = ['record']) => {
    useSession().view = { person: { id: 7, name: 'Mina', rights } } as unknown as SessionView
    useMachine().view = {
      id: 1,
      parts: ['circuit:A', 'circuit:B'],
      tape,
      putBack: [],
      items: [],
    } as unknown as MachineView
    const view = CHECKS.find((one) => one.id === check)!
    const draft = ref(draftOf(view, {}, {}))
    const stand = defineComponent({
      setup() {
        provideBench({ spec: ref({ parts: [] }), checks: ref([view]), draft } as never)
        return () => h(painter, { verdict: null, input: {} })
      },
    })
    return { draft, board: mount(stand, { global }) }
  }

  it('show every valve as it was written last', () => {
    const { board: valves } = board(ValveBoard, 'entry.valve', [
      entry(3, 'entry.valve', {
        name: 'liquid',
        kind: 'service_liquid',
        state: 'open',
        turns: 4.5,
        cap: false,
      }),
      entry(2, 'entry.valve', { name: 'suction', kind: 'service_suction', state: 'mid' }),
      entry(1, 'entry.valve', { name: 'liquid', kind: 'service_liquid', state: 'shut' }),
    ])
    expect(valves.findAll('b').map((one) => one.text())).toEqual(['suction', 'liquid'])
    expect(valves.findAll('.handle').map((one) => numbers(one.attributes('transform'))[0])).toEqual([45, 0])
    expect(valves.text()).toContain('4.5')
  })
  it('leave out what is doubted, another circuit, and what has no name', () => {
    const { board: valves } = board(ValveBoard, 'entry.valve', [
      entry(3, 'entry.valve', { name: 'a', state: 'open' }, { suspect: 'mixed up' }),
      entry(2, 'entry.valve', { name: 'b', state: 'open' }, { subject: 'circuit:B' }),
      entry(1, 'entry.valve', { state: 'open' }),
    ])
    expect(valves.findAll('b')).toHaveLength(0)
  })
  it('take a valve up again as it stands', async () => {
    const { board: valves, draft } = board(ValveBoard, 'entry.valve', [
      entry(1, 'entry.valve', { name: 'liquid', kind: 'service_liquid', state: 'shut' }),
    ])
    await valves.find('button').trigger('click')
    expect(draft.value.values).toMatchObject({ name: 'liquid', kind: 'service_liquid', state: 'shut' })
  })
  it('show a valve open from when the charge was let in through it, and closed when it was closed later', () => {
    const { board: valves } = board(ValveBoard, 'entry.valve', [
      entry(4, 'entry.valve', { name: 'suction', kind: 'service_suction', state: 'shut' }),
      entry(3, 'entry.open_valves', { valves: [{ name: 'liquid', turns: 6 }, { name: 'suction' }] }),
      entry(2, 'entry.valve', { name: 'liquid', kind: 'service_liquid', state: 'shut' }),
    ])
    expect(valves.findAll('b').map((one) => one.text())).toEqual(['liquid', 'suction'])
    expect(valves.findAll('.handle').map((one) => numbers(one.attributes('transform'))[0])).toEqual([0, 90])
    expect(valves.text()).toContain('6 turns')
  })
  it('put a valve once among those that are opened', async () => {
    const { board: valves, draft } = board(ValveBoard, 'entry.open_valves', [
      entry(1, 'entry.valve', { name: 'liquid', kind: 'service_liquid', state: 'shut' }),
    ])
    await valves.find('button').trigger('click')
    await valves.find('button').trigger('click')
    const view = CHECKS.find((one) => one.id === 'entry.open_valves')!
    expect(inputOf(view, {}, draft.value)).toEqual({ valves: [{ name: 'liquid' }] })
  })
  it('put joints in their order, not in the order they were written', () => {
    const { board: joints } = board(JointBoard, 'entry.joint', [
      entry(3, 'entry.joint', { name: 'drier', state: 'open', order: 30 }),
      entry(2, 'entry.joint', {
        name: 'suction',
        state: 'done',
        order: 10,
        seen: true,
        by: ['Mina', 'Rafe'],
      }),
      entry(1, 'entry.joint', { name: 'liquid', state: 'interrupted', order: 20 }),
    ])
    expect(joints.findAll('b').map((one) => one.text())).toEqual(['suction', 'liquid', 'drier'])
    expect(joints.findAll('li').map((one) => one.classes()[0])).toEqual(['done', 'interrupted', 'open'])
    expect(joints.text()).toContain('Mina, Rafe')
  })
  it('offer the usual joints where there are none, to who may record', () => {
    expect(board(JointBoard, 'entry.joint', []).board.find('button').exists()).toBe(true)
    expect(board(JointBoard, 'entry.joint', [], []).board.find('button').exists()).toBe(false)
  })
  it('show the mode of each module, what it lost, and what is off it in the order of the work', async () => {
    const mode = (at: number, input: Record<string, unknown>) =>
      entry(at, 'entry.service_mode', input, { subject: 'machine' })
    const { board: service } = board(ServiceBoard, 'entry.service_mode', [
      mode(4, { module: 'M2', on: false }),
      mode(3, { module: 'M1', on: true, held: ['EEV 1', 'EEV 2'] }),
      mode(2, { module: 'M3', on: true, held: ['EEV 9'] }),
      mode(1, { module: 'M1', on: false }),
    ])
    const out = (id: number, kind: string, what: string) => ({ id, kind, what, closed: false })
    useChecks().putBackKinds = [
      { kind: 'wire_freed', text: 'Wire lifted and capped' },
      { kind: 'cores_out', text: 'Valve cores out, caps off' },
    ] as never
    useMachine().view!.putBack = [
      out(1, 'service_mode', 'Service mode on: M1'),
      out(2, 'held_valve', 'Closed when power went off: M3 EEV 9'),
      out(3, 'wire_freed', 'Wire lifted and capped: U'),
    ] as never
    await service.vm.$nextTick()
    expect(service.findAll('.mode').map((one) => one.classes().includes('on'))).toEqual([
      false,
      true,
      false,
      false,
    ])
    expect(service.findAll('.mode')[1]!.text()).toContain('EEV 1, EEV 2')
    expect(service.find('.lost').text()).toContain('M3 EEV 9')
    expect(service.findAll('li').map((one) => one.attributes('data-kind'))).toEqual([
      'valve_shut',
      'wire_freed',
      'bulb_off',
      'plastics_away',
      'heat_sink',
      'cores_out',
      'drier_spacer',
    ])
    expect(service.find('[data-kind=wire_freed] small').text()).toBe('U')
    const told: string[][] = []
    useMachine().openPutBack = (async (kind: string, where: string) => {
      told.push([kind, where])
      return null
    }) as never
    const form = service.find('[data-kind=cores_out]')
    await form.find('input').setValue('liquid, gas; ')
    await form.find('form').trigger('submit')
    await flushPromises()
    expect(told).toEqual([
      ['cores_out', 'liquid'],
      ['cores_out', 'gas'],
    ])
    expect(form.find('input').element.value).toBe('')
    useMachine().openPutBack = () => Promise.reject(new Error('no signal'))
    await form.find('input').setValue('liquid')
    await form.find('form').trigger('submit')
    await flushPromises()
    expect(service.find('.failure').text()).not.toBe('')
    expect(form.find('input').element.value, 'what was typed stays').toBe('liquid')
  })
  it('move a joint between its new neighbors with one entry', async () => {
    const { board: joints } = board(JointBoard, 'entry.joint', [
      entry(1, 'entry.joint', { name: 'a', state: 'open', order: 10 }),
      entry(2, 'entry.joint', { name: 'b', state: 'open', order: 20 }),
      entry(3, 'entry.joint', { name: 'c', state: 'open', order: 30 }),
    ])
    const written: unknown[] = []
    useMachine().recordTogether = (async (parts: { input: Record<string, unknown> }[]) => {
      written.push(...parts.map((one) => [one.input.name, one.input.order]))
      return null
    }) as never
    const grips = joints.findAll('.grip')
    await grips[2]!.trigger('keydown', { key: 'ArrowUp' })
    await grips[0]!.trigger('keydown', { key: 'ArrowDown' })
    await grips[0]!.trigger('keydown', { key: 'ArrowUp' })
    await grips[2]!.trigger('keydown', { key: 'ArrowDown' })
    expect(written).toEqual([
      ['c', 15],
      ['a', 25],
    ])
  })
})
