import { type BenchSpec, figure, grid, optional, words } from '../spec'

/** The trap against the blower's static, in section. */
export const trap: BenchSpec = {
  id: 'trap',
  indoor: true,
  scaled: true,
  parts: [{ check: 'condensate.trap', subject: 'machine' }],
  rows: [
    figure('static_at_pan'),
    words('arrangement'),
    words('trap'),
    grid(['drop_to_outlet', 'seal'], 2),
    words('primed'),
    figure('slope'),
    optional('vent'),
    optional('drained'),
  ],
}

/** The float tried with water, and the lift pump behind it. */
export const float: BenchSpec = {
  id: 'float',
  indoor: true,
  undrawn: true,
  parts: [{ check: 'condensate.float', subject: 'machine' }],
  rows: [
    words('method'),
    words('stopped'),
    words('returned'),
    words('fault_shown'),
    grid(['seconds', 'sheet_seconds'], 2),
    optional('pump'),
  ],
}
