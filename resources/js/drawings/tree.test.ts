// @vitest-environment happy-dom
import { enableAutoUnmount, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { Drawing, MachineView } from '@/api/client'
import { GOING } from '@/benches/correcting'
import { i18n } from '@/i18n'
import { useMachine } from '@/stores/machine'
import DrawnShape from './DrawnShape.vue'
import DrawnTree from './DrawnTree.vue'
import { placed } from './tree'

type Tree = Extract<Drawing, { shape: 'tree' }>
const global = { plugins: [i18n] }
const tree: Tree = {
  shape: 'tree',
  nodes: [
    { id: 'O', kind: 'outdoor', x: 0.5, layer: 0, capacity: '10 kW' },
    { id: 'O2', kind: 'outdoor', x: 2, layer: 0 },
    { id: 'J', kind: 'joint', x: 0.5, layer: 1 },
    {
      id: 'B',
      kind: 'box',
      x: 0,
      layer: 2,
      ports: [
        { port: 1, is: 'used' },
        { port: 2, is: 'open' },
        { port: 3, is: 'capped' },
      ],
    },
    { id: '1', kind: 'indoor', x: 0, layer: 3, room: 'Office', capacity: '2 kW' },
    { id: '2', kind: 'indoor', x: 1, layer: 2 },
  ],
  pipes: [
    { from: 'O', to: 'J', length: '60 ft', gas: '7/8 in.' },
    { from: 'O2', to: 'J', length: '5 ft' },
    { from: 'J', to: 'B', length: '20 ft' },
    { from: 'B', to: '1', length: '10 ft' },
    { from: '2', to: 'J', length: '15 ft' },
    { from: 'J', to: 'nowhere', length: '1 ft' },
  ],
  limits: [
    { name: 'all piping', value: '110 ft', limit: '100 ft', share: 1.1, is: 'stop', path: [] },
    {
      name: 'farthest indoor unit',
      value: '90 ft',
      limit: '180 ft',
      share: 0.5,
      is: 'plain',
      path: ['O', 'J', 'B', '1'],
    },
    {
      name: 'box to indoor unit',
      value: '10 ft',
      limit: '100 ft',
      share: 0.1,
      is: 'plain',
      path: ['B', '1'],
    },
  ],
}

enableAutoUnmount(afterEach)
beforeEach(() => setActivePinia(createPinia()))

describe('where a tree stands', () => {
  it('has a column for each step and a line for each indoor unit', () => {
    const at = new Map(placed(tree).nodes.map((node) => [node.id, node]))
    expect(at.get('O')!.x).toBe(at.get('O2')!.x)
    expect(at.get('1')!.x).toBeGreaterThan(at.get('B')!.x)
    expect(at.get('2')!.y - at.get('1')!.y).toBe(2 * (at.get('O')!.y - at.get('1')!.y))
  })
  it('runs every pipe from the step before it, whichever way it was written; one to nowhere is left out', () => {
    const { pipes, nodes } = placed(tree)
    expect(pipes).toHaveLength(5)
    const joint = nodes.find((node) => node.id === 'J')!
    expect(pipes[4]!.d.startsWith(`M${joint.x + 9} ${joint.y} `)).toBe(true)
    expect(pipes.map((pipe) => pipe.words)).toEqual(['60 ft · 7/8', '5 ft', '20 ft', '10 ft', '15 ft'])
  })
  it('tells how far a pipe goes up or down, seen from its left end', () => {
    const rises = tree.pipes.map((pipe, i) => ({
      ...pipe,
      ...[{ rise: '-6 m' }, { rise: '2 m' }, {}, {}, {}][i],
    }))
    const said = (pipes: unknown) =>
      placed({ ...tree, pipes } as unknown as typeof tree).pipes.map((pipe) => pipe.rise)
    expect(said(rises)).toEqual(['↓ 6 m', '↑ 2 m', '', '', ''])
    const turned = rises.map((pipe) => ({ ...pipe, from: pipe.to, to: pipe.from }))
    expect(said(turned)).toEqual(['↑ 6 m', '↓ 2 m', '', '', ''])
  })
  it('grows to the side where it is deep, and tells the length alone where a step is narrow', () => {
    const chain = (count: number) => ({
      ...tree,
      nodes: Array.from({ length: count + 1 }, (_, i) => ({
        id: String(i),
        kind: i === 0 ? 'outdoor' : 'joint',
        layer: i,
        x: 0,
      })),
      pipes: Array.from({ length: count }, (_, i) => ({
        from: String(i),
        to: String(i + 1),
        length: '10 ft',
        gas: '7/8 in.',
      })),
    })
    const of = (count: number) => placed(chain(count) as unknown as typeof tree)
    // 558 px are parted: five steps of 112, six of 93, seven of 80, then 78 each.
    expect([5, 6, 7, 8, 11].map((count) => of(count).width)).toEqual([720, 720, 720, 786, 1020])
    expect([5, 6].map((count) => of(count).pipes[0]!.words)).toEqual(['10 ft · 7/8', '10 ft'])
    expect(of(11).nodes[11]!.x).toBe(12 + 11 * 78)
  })
  it('grows with its units', () => {
    const one = placed({ ...tree, nodes: tree.nodes.slice(0, 1) })
    expect(placed(tree).height).toBeGreaterThan(one.height)
    expect(placed(tree).width).toBe(one.width)
  })
})

describe('a tree that is drawn', () => {
  it('names every unit with its room and capacity, and shows ports that are open or capped', () => {
    const shape = mount(DrawnShape, { props: { drawing: tree }, global })
    expect(shape.findAll('.node.indoor .name').map((one) => one.text().replace(/\s+/g, ' '))).toEqual([
      '1 Office',
      '2',
    ])
    expect(shape.findAll('.port').map((one) => one.classes())).toEqual([
      ['port', 'open'],
      ['port', 'capped'],
    ])
    expect(shape.find('svg').attributes('aria-label')).toContain('O to J, 60 ft')
  })
  it('draws the path strong that comes nearest to its limit, and another that is pointed at', async () => {
    const drawn = mount(DrawnTree, { props: { drawing: tree }, global })
    const on = () => drawn.findAll('.pipe.on').length
    expect(on()).toBe(3)
    expect(drawn.find('.path').text()).toBe('Nearest to its limit, farthest indoor unit: O › J › B › 1')
    expect(drawn.findAll('tr.shown th').map((one) => one.text())).toEqual(['farthest indoor unit'])
    await drawn.findAll('tr')[2]!.trigger('mouseenter')
    expect(on()).toBe(1)
    await drawn.findAll('tr')[2]!.trigger('mouseleave')
    expect(on()).toBe(3)
  })
  it('tells each limit with what comes nearest to it, over it in the colour of a stop', () => {
    const drawn = mount(DrawnTree, { props: { drawing: tree }, global })
    expect(drawn.findAll('td.figure').map((one) => one.text())).toEqual([
      '110 ft of 100 ft',
      '90 ft of 180 ft',
      '10 ft of 100 ft',
    ])
    expect(drawn.findAll('tr.stop')).toHaveLength(1)
    expect(drawn.findAll('.bar span').map((one) => one.attributes('style'))).toEqual([
      'width: 88%;',
      'width: 40%;',
      'width: 8%;',
    ])
  })
  it('has no limits where the sheet has none', () => {
    const drawn = mount(DrawnTree, { props: { drawing: { ...tree, limits: [] } }, global })
    expect(drawn.find('table').exists()).toBe(false)
    expect(drawn.findAll('.pipe.on')).toHaveLength(0)
  })
  it('shows of each unit what it ran at and what is open, and leads from it to its benches', async () => {
    useMachine().view = {
      tape: [
        { check: 'vrf.run_plan', subject: 'machine', suspect: 'doors off', input: { results: [] } },
        {
          check: 'vrf.run_plan',
          subject: 'machine',
          suspect: '',
          input: {
            results: [
              { step: 'alone:1', passed: true, return_air: '21.5 degC', supply_air: '10.2 degC' },
              { step: 'alone:2', passed: false },
            ],
          },
        },
        { check: 'air.split', subject: 'indoor:1', suspect: '', headline: 'Good: 19 °F across the coil.' },
      ],
      items: [
        { what: 'Ceiling tile back at 1', subject: '', done: '' },
        { what: 'Filter', subject: 'indoor:1', done: '' },
        { what: 'Wall plate', subject: 'indoor:1', done: 'hung' },
        { what: 'Look at 12 again', subject: '', done: '' },
      ],
    } as unknown as MachineView
    const gone: string[] = []
    const drawn = mount(DrawnTree, {
      props: { drawing: tree },
      global: { ...global, provide: { [GOING as symbol]: (check: string) => gone.push(check) } },
    })
    const units = drawn.findAll('.unit')
    expect(units.map((one) => one.attributes('aria-label'))).toEqual([
      '1, Office, 21.5 10.2 – – degC, 2 open',
      '2',
    ])
    expect(units[0]!.find('.ran').text()).toContain('21.5 10.2')
    expect(drawn.find('.at').exists()).toBe(false)
    await units[1]!.trigger('keydown', { key: 'Enter' })
    expect(drawn.find('.at').text()).toContain('Ran alone and failed.')
    await units[0]!.trigger('click')
    expect(drawn.find('.at').text()).toContain('Good: 19 °F across the coil.')
    expect(drawn.findAll('.at li').map((one) => one.text())).toEqual(['Ceiling tile back at 1', 'Filter'])
    for (const way of drawn.findAll('.ways button')) await way.trigger('click')
    expect(gone).toEqual(['vrf.run_plan', 'air.split', 'vrf.crossed_zones'])
    await units[0]!.trigger('keydown', { key: ' ' })
    expect(drawn.find('.at').exists()).toBe(false)
  })
})
