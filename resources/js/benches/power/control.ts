import { type BenchSpec, figure, words } from '../spec'

/** The control transformer: which tap, and what its secondary gives. */
export const control: BenchSpec = {
  id: 'control',
  parts: [{ check: 'power.control_voltage', subject: 'machine' }],
  rows: [figure('supply_average'), words('tap', 'taps'), figure('secondary_measured')],
}
