import { describe, expect, it } from 'vitest'
import { dropRow, freshDraft } from '../entered'
import { feeding, follow, nextKey } from './treeLines'

const node = (key: string, id = key, kind = 'joint') => ({ key, id, kind })
const pipe = (key: string, from: string, to: string) => ({ key, from, to })
const pairs = (...args: Parameters<typeof feeding>) => feeding(...args).map((line) => [line.key, line.pipe])

describe('the lines of a tree', () => {
  it('gives each the pipe that leads to it, whatever their order', () => {
    expect(
      pairs([node('OU1'), node('J1'), node('I1')], [pipe('0', 'J1', 'I1'), pipe('1', 'OU1', 'J1')]),
    ).toEqual([
      ['OU1', '+of OU1'],
      ['J1', '1'],
      ['I1', '0'],
    ])
  })

  it('gives a further outdoor unit the pipe it feeds a joint by', () => {
    const units = [node('OU1', 'OU1', 'outdoor'), node('OU2', 'OU2', 'outdoor'), node('T')]
    expect(
      feeding(units, [pipe('0', 'OU2', 'T'), pipe('1', 'OU1', 'T')]).map((line) => [line.pipe, line.end]),
    ).toEqual([
      ['+of OU1', 'to'],
      ['0', 'from'],
      ['1', 'to'],
    ])
    expect(feeding([node('+2', '', 'outdoor')], [])[0]).toMatchObject({ pipe: '+2', end: 'to' })
    const added = [node('+1', 'OU1', 'outdoor'), node('+2', '', 'outdoor')]
    expect(feeding(added, [pipe('+2', '', 'T')])[1]).toMatchObject({ pipe: '+2', end: 'from' })
    expect(feeding(added, [pipe('+2', 'OU9', 'T')])[1]).toMatchObject({ pipe: '+of +2', end: 'from' })
  })

  it('leaves a second pipe to the same one, and one to nobody, without a line', () => {
    const lines = feeding([node('I1')], [pipe('0', 'J1', 'I1'), pipe('1', 'J2', 'I1'), pipe('2', 'J1', 'I9')])
    expect(lines.map((line) => line.pipe)).toEqual(['0'])
  })

  it('keeps a new one with the pipe of its own key until it has a name', () => {
    expect(pairs([node('+1', ''), node('+2', '')], [])).toEqual([
      ['+1', '+1'],
      ['+2', '+2'],
    ])
    expect(pairs([node('+1', '')], [pipe('+1', 'J1', '')])).toEqual([['+1', '+1']])
    // Lines of a file are numbered by themselves: the key is another one's there.
    expect(pairs([node('+1', 'OU1'), node('+2', 'J1')], [pipe('+1', 'OU1', 'J1')])).toEqual([
      ['+1', '+of +1'],
      ['+2', '+1'],
    ])
    expect(pairs([node('+1', 'OU1')], [pipe('+1', 'OU1', 'J9')])).toEqual([['+1', '+of +1']])
  })

  it('finds a key no row has', () => {
    expect(nextKey([])).toBe('+1')
    expect(nextKey(['+1', 'J1', '+3'])).toBe('+2')
  })

  describe('lets the pipes follow a name that is typed anew', () => {
    const pipes = [pipe('0', 'J1', 'I1'), pipe('+2', 'OU1', 'J1'), pipe('3', 'J1', 'I2')]
    const typed = (...names: string[]) => {
      const [draft, last] = [freshDraft(), new Map()]
      for (const name of ['J1', ...names])
        follow(draft, feeding([node('OU1'), node('+2', name), node('I1')], pipes), pipes, last)
      return draft.values
    }
    const followed = (name: string) => ({
      'pipes.0.from': name,
      'pipes.+2.to': name,
      'pipes.3.from': name,
    })

    it('its own and those it feeds', () => {
      expect(typed('J7')).toEqual(followed('J7'))
      expect(typed()).toEqual({})
    })

    it('not while it is empty or another one, but from there on', () => {
      expect(typed('')).toEqual({})
      expect(typed('', 'J8')).toEqual(followed('J8'))
      expect(typed('I1')).toEqual({})
      expect(typed('I1', 'I10')).toEqual(followed('I10'))
    })

    it('not where a table was read, which names many anew', () => {
      const [draft, last] = [freshDraft(), new Map()]
      follow(draft, feeding([node('+1', 'OU1'), node('+2', 'J1')], pipes), pipes, last)
      follow(draft, feeding([node('+1', 'J1'), node('+2', 'OU1')], pipes), pipes, last)
      expect(draft.values).toEqual({})
    })
  })

  it('takes a row out with what was typed in it, and leaves out one that was recorded', () => {
    const draft = {
      ...freshDraft(),
      values: { 'nodes.+1.id': 'I1', 'nodes.+10.id': 'I2', 'nodes.J1.set': 'tilted' },
      rows: { nodes: ['+1', '+10'] },
    }
    dropRow(draft, 'nodes', '+1')
    expect(draft).toMatchObject({ values: { 'nodes.+10.id': 'I2' }, rows: { nodes: ['+10'] } })
    expect(draft.values).not.toHaveProperty('nodes.+1')
    dropRow(draft, 'nodes', 'J1')
    expect(draft.values).toEqual({ 'nodes.+10.id': 'I2', 'nodes.J1': false })
    dropRow(draft, 'pipes', '0')
    expect(draft.values).toHaveProperty(['pipes.0'], false)
  })
})
