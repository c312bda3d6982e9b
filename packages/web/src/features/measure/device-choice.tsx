import { DEVICE_FAULTS, type DeviceFault, type Hand, type Protocol } from '@clay-pot/core';
import { readDeviceFile } from '@clay-pot/core/exchange';
import { useState } from 'react';
import type { Device } from '../../domain/devices/device.js';
import { replayDevice } from '../../domain/devices/replay.js';
import { simulatedDevice } from '../../domain/devices/simulated.js';
import { SelectField } from '../../ui/field.js';

/** Where numbers come from. */
export type Source =
  | { readonly kind: 'typed' }
  | { readonly kind: 'simulated'; readonly fault: DeviceFault }
  | { readonly kind: 'file'; readonly device: Device };

/** The device of a source for a hand; null where numbers are typed. */
export function deviceFor(source: Source, protocol: Protocol, hand: Hand, athleteId: string): Device | null {
  if (source.kind === 'typed') return null;
  if (source.kind === 'file') return source.device;
  const kind = protocol.of === 'edge pull' ? 'edge' : 'grip';
  return simulatedDevice({ kind, athleteId, hand, program: 'trial', fault: source.fault });
}

/** Larger files are not even read. */
const MOST_BYTES = 30_000_000;

/** Typed by hand, from a simulated device, or from a recorded file. */
export function DeviceChoice({ source, choose }: { source: Source; choose: (source: Source) => void }) {
  const [trouble, setTrouble] = useState<string | null>(null);
  async function open(file: File | undefined) {
    if (!file) return;
    if (file.size > MOST_BYTES) {
      setTrouble(`${file.name} has ${(file.size / 1e6).toFixed(0)} MB: a recording of a hand has at most 30.`);
      return;
    }
    const { samples, faults } = readDeviceFile(await file.text());
    const [first] = faults;
    setTrouble(first ? `Line ${first.pointer.split('/')[1] ?? ''}: ${first.message}.` : null);
    if (!first) choose({ kind: 'file', device: replayDevice(file.name, samples) });
  }
  return (
    <div className="grid gap-2 sm:grid-cols-2">
      <SelectField
        label="Numbers come from"
        value={source.kind}
        onChange={(event) => {
          const kind = event.target.value;
          if (kind === 'typed') choose({ kind: 'typed' });
          if (kind === 'simulated') choose({ kind: 'simulated', fault: 'none' });
        }}
      >
        <option value="typed">a gauge, typed</option>
        <option value="simulated">a simulated device</option>
        {source.kind === 'file' && <option value="file">{source.device.name}</option>}
      </SelectField>
      {source.kind === 'simulated' ? (
        <SelectField
          label="What it does wrong"
          value={source.fault}
          onChange={(event) => choose({ kind: 'simulated', fault: event.target.value as DeviceFault })}
        >
          {DEVICE_FAULTS.map((fault) => (
            <option key={fault} value={fault}>
              {fault === 'none' ? 'nothing' : fault}
            </option>
          ))}
        </SelectField>
      ) : (
        <label className="block text-small font-semibold">
          or from a recorded file (CSV)
          <input
            type="file"
            accept=".csv,text/csv"
            className="mt-1 block w-full text-small font-normal"
            onChange={(event) => void open(event.target.files?.[0])}
          />
        </label>
      )}
      {trouble && (
        <p role="alert" className="text-small font-semibold text-iron sm:col-span-2">
          {trouble}
        </p>
      )}
    </div>
  );
}
