import { markRaw } from 'vue'
import WindingsSketch from '@/drawings/WindingsSketch.vue'
import { type BenchSpec, figure, words } from '../spec'

/** Three resistances of one compressor, even and near the sheet. */
export const windings: BenchSpec = {
  id: 'windings',
  parts: [{ check: 'compressor.windings', subject: 'compressor' }],
  sketch: markRaw(WindingsSketch),
  rows: [
    figure('ohms_ab'),
    figure('ohms_bc'),
    figure('ohms_ca'),
    figure('at_temperature'),
    words('meter'),
    figure('lead_ohms'),
  ],
}

/** One compressor to ground. */
export const insulation: BenchSpec = {
  id: 'insulation',
  parts: [{ check: 'compressor.insulation', subject: 'compressor' }],
  rows: [
    words('instrument'),
    words('system_state'),
    words('drive_connected'),
    figure('megohms'),
    figure('winding_temperature'),
    words('warmed'),
    figure('previous_megohms'),
  ],
}

/** What killed the compressor, by its oil. */
export const acid: BenchSpec = {
  id: 'acid',
  undrawn: true,
  parts: [{ check: 'compressor.acid', subject: 'machine' }],
  rows: [
    words('failure'),
    words('oil_acid'),
    words('oil_colour'),
    words('oil_type'),
    words('lines_reused'),
    figure('open_time'),
  ],
}
