// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { i18n } from '@/i18n'
import DrawnScene from './DrawnScene.vue'
import { boundsOf, inUnit, metresOf, type Scene, stepOf, unitOf, withoutPlaces } from './scene'

const INCH = 0.0254
const scene = (x = 0): Scene => ({
  shape: 'scene',
  view: 'plan',
  small: true,
  bodies: [
    {
      id: 'base',
      points: [
        [x, 0],
        [x + 2, 0],
        [x + 2, 1],
        [x, 1],
      ],
      is: 'over',
      closed: true,
      at: 'middle',
      name: 'new base',
    },
  ],
  dims: [],
  marks: [],
  handles: [
    { body: 'base', at: [x, 0.5], x: '-setback', y: '', value: { x: 1, y: 0 }, text: { x: '39"', y: '' } },
  ],
})
const mounted = (more: object = {}) =>
  mount(DrawnScene, { props: { drawing: scene(), ...more }, global: { plugins: [i18n] } })

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  Object.assign(SVGElement.prototype, {
    getScreenCTM: () => ({ inverse: () => ({}) }),
    setPointerCapture: () => undefined,
  })
  vi.stubGlobal(
    'DOMPoint',
    class {
      constructor(
        public x: number,
        public y: number,
      ) {}
      matrixTransform() {
        return this
      }
    },
  )
})

describe('measures on a drawing', () => {
  it('are told and stepped in the unit asked for', () => {
    expect([unitOf(true, 'us'), unitOf(false, 'us')]).toEqual(['in', 'ft'])
    expect(inUnit(12.5 * INCH, 'in')).toBe('12.5')
    expect(metresOf(1, 'ft')).toBeCloseTo(0.3048)
    expect(stepOf('in')).toBeCloseTo(INCH / 4)
    expect(withoutPlaces('steps.3.width')).toBe('steps.width')
  })

  it('bound all there is', () => {
    expect(boundsOf(scene(3))).toEqual({ left: 3, right: 5, bottom: 0, top: 1 })
  })
})

describe('a body that is dragged', () => {
  it('follows at once, tells its measure when the hand rests, and stays until the drawing has come after it', async () => {
    const drawn = mounted()
    const scale = Number(drawn.find('svg').attributes('data-scale'))
    const grip = drawn.find('.handle')
    await grip.trigger('pointerdown', { clientX: 0, clientY: 0, pointerId: 1 })
    await drawn.find('svg').trigger('pointermove', { clientX: 0.25 * scale, clientY: 9 })
    expect(drawn.find('[data-body="base"]').attributes('transform')).toContain(`translate(${0.25 * scale}`)
    expect(drawn.emitted('drag')).toBeUndefined()
    await vi.advanceTimersByTimeAsync(80)
    // The measure runs against the way it is drawn.
    expect(drawn.emitted('drag')).toEqual([['setback', 0.75]])
    await drawn.find('svg').trigger('pointermove', { clientX: 0.5 * scale, clientY: 0 })
    await drawn.find('svg').trigger('pointerup')
    expect(drawn.emitted('drag')?.at(-1)).toEqual(['setback', 0.5])
    expect(drawn.find('[data-body="base"]').attributes('transform')).toContain(`translate(${0.5 * scale}`)
    await drawn.find('svg').trigger('pointermove', { clientX: 0.9 * scale, clientY: 0 })
    await vi.advanceTimersByTimeAsync(600)
    expect(drawn.emitted('drag')?.at(-1)).toEqual(['setback', 0.5])
    await drawn.setProps({ drawing: scene(0.5) })
    expect(drawn.find('[data-body="base"]').attributes('transform')).toBe('')
  })

  it('is nudged by the arrows that its measure has, four times as far with shift', async () => {
    const drawn = mounted()
    const grip = drawn.find('.handle')
    await grip.trigger('keydown', { key: 'ArrowUp' })
    expect(drawn.emitted('drag')).toBeUndefined()
    await grip.trigger('keydown', { key: 'ArrowLeft' })
    await grip.trigger('keydown', { key: 'ArrowLeft', shiftKey: true })
    const [one, four] = (drawn.emitted('drag') ?? []).map(([, metres]) => (metres as number) - 1)
    expect(one).toBeCloseTo(stepOf('in'))
    expect(four).toBeCloseTo(4 * stepOf('in'))
  })

  it('is only looked at where nothing may be changed, and says which measure is wrong', () => {
    const drawn = mounted({ fixed: true, wrong: { field: 'setback', words: 'Setback: measure it again.' } })
    expect(drawn.findAll('.handle')).toHaveLength(0)
    expect(drawn.find('figcaption').text()).toBe('Setback: measure it again.')
  })
})
