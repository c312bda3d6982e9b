import Papa from 'papaparse';
import { DEVICE_UNITS, type DeviceSample, type DeviceUnit } from '../measure/device.js';
import type { Fault } from '../vocabulary/fault.js';

/** Columns of a device’s file, in any order: seconds, channel, value, unit. Channel and unit may be left out: “force”, “N”. */
const COLUMNS = ['t_s', 'channel', 'value', 'unit'] as const;
/** Larger files are no recording of a hand. */
export const DEVICE_FILE_MOST_ROWS = 600_000;
const MOST_FAULTS = 5;

/** What a device’s file holds, or what keeps it from being read, line by line. */
export interface DeviceFile {
  readonly samples: readonly DeviceSample[];
  readonly faults: readonly Fault[];
}

/** Reads a recorded file (CSV, comma or semicolon, header row). Nothing is taken of a file with faults. */
export function readDeviceFile(text: string): DeviceFile {
  const { data, meta } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: 'greedy' });
  const missing = (['t_s', 'value'] as const).filter((name) => !meta.fields?.includes(name));
  if (missing.length > 0) {
    return {
      samples: [],
      faults: [{ pointer: '/1', message: `the first line must name the columns ${COLUMNS.join(', ')}; missing: ${missing.join(', ')}` }],
    };
  }
  if (data.length > DEVICE_FILE_MOST_ROWS) {
    return { samples: [], faults: [{ pointer: '', message: `must have at most ${DEVICE_FILE_MOST_ROWS} lines, not ${data.length}` }] };
  }
  const faults: Fault[] = [];
  const samples: DeviceSample[] = [];
  data.forEach((row, index) => {
    if (faults.length >= MOST_FAULTS) return;
    const at = `/${index + 2}`;
    const tS = numberIn(row['t_s'], meta.delimiter);
    const value = numberIn(row['value'], meta.delimiter);
    const unit = (row['unit'] ?? 'N') || 'N';
    if (!Number.isFinite(tS)) faults.push({ pointer: `${at}/t_s`, message: `must be seconds, not “${row['t_s'] ?? ''}”` });
    else if (!Number.isFinite(value)) faults.push({ pointer: `${at}/value`, message: `must be a number, not “${row['value'] ?? ''}”` });
    else if (!isUnit(unit)) faults.push({ pointer: `${at}/unit`, message: `must be one of ${DEVICE_UNITS.join(', ')}, not “${unit}”` });
    else samples.push({ tS, channel: (row['channel'] ?? 'force') || 'force', value, unit });
  });
  return faults.length > 0 ? { samples: [], faults } : { samples, faults };
}

const isUnit = (unit: string): unit is DeviceUnit => (DEVICE_UNITS as readonly string[]).includes(unit);

/** A decimal comma where the columns are not parted by commas. */
const numberIn = (text: string | undefined, delimiter: string): number =>
  text === undefined || text.trim() === '' ? NaN : Number(delimiter === ',' ? text : text.replace(',', '.'));

/** Writes samples as such a file. */
export const writeDeviceFile = (samples: readonly DeviceSample[]): string =>
  Papa.unparse({
    fields: [...COLUMNS],
    data: samples.map(({ tS, channel, value, unit }) => [tS.toFixed(4), channel, value.toFixed(2), unit]),
  });
