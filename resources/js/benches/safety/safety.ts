import { type BenchSpec, grid, words } from '../spec'

/** Smoke at the detector: the blower stops, and the panel hears what it should. */
export const smoke: BenchSpec = {
  id: 'smoke',
  undrawn: true,
  parts: [{ check: 'safety.smoke', subject: 'machine' }],
  rows: [
    words('fitted'),
    words('method'),
    words('blower_off'),
    grid(['seconds', 'sheet_seconds'], 2),
    words('others_off'),
    words('reset'),
    words('panel'),
    words('told_before'),
    words('signal'),
    words('told_after'),
    words('expected'),
    words('required'),
    grid(['airflow', 'required_above'], 2),
  ],
}

/** A refrigerant leak alarm, tripped and timed. */
export const leakSensor: BenchSpec = {
  id: 'leakSensor',
  undrawn: true,
  parts: [{ check: 'safety.leak_sensor', subject: 'machine' }],
  rows: [
    words('fitted'),
    words('recognised'),
    words('method'),
    words('blower_on'),
    words('compressor_off'),
    words('ignition_off'),
    grid(['seconds', 'run_on_minutes'], 2),
    words('reset'),
    words('restored'),
    grid(['airflow', 'min_airflow'], 2),
    grid(['charge', 'lfl', 'limit_seconds']),
    words('class'),
    words('sheet_requires'),
  ],
}
