import { DEVICE_FAULTS, type DeviceFault, type TrialSort } from '@clay-pot/core';
import { readDeviceFile } from '@clay-pot/core/exchange';
import { useState } from 'react';
import { recordedPhone, replayDevice } from './replay.js';
import { type Source, type SourceKind, SOURCES } from './sources.js';
import { useDeveloper } from '../../store/developer.js';
import { SelectField } from '../../ui/field.js';

/** Larger files are not even read. */
const MOST_BYTES = 30_000_000;

const SIMULATED: Source = { kind: 'simulated', fault: 'none', speed: 1 };
const KINDS = Object.keys(SOURCES) as SourceKind[];
/** As quick as a hand, or quicker for trying out. */
const SPEEDS = [1, 10, 50] as const;

interface Props {
  /** What is measured: a phone tells angles only. */
  sort: TrialSort;
  /** Whether numbers can be typed instead. */
  isTypable?: boolean;
  source: Source;
  choose: (source: Source) => void;
}

/** Typed by hand, from a simulated device, from the phone itself, or from a recorded file. */
export function DeviceChoice({ sort, isTypable = true, source, choose }: Props) {
  const [trouble, setTrouble] = useState<string | null>(null);
  async function open(file: File | undefined) {
    if (!file) return;
    if (file.size > MOST_BYTES) {
      setTrouble(`${file.name} is ${(file.size / 1e6).toFixed(0)} MB. Recordings can be up to 30 MB.`);
      return;
    }
    const { samples, faults } = readDeviceFile(await file.text());
    const [first] = faults;
    setTrouble(first ? `Line ${first.pointer.split('/')[1] ?? ''}: ${first.message}.` : null);
    if (!first) choose({ kind: 'file', device: replayDevice(file.name, samples) });
  }
  function pick(kind: string) {
    setTrouble(null);
    if (kind === 'typed' || kind === 'phone' || kind === 'photo') choose({ kind });
    if (kind === 'simulated') choose(SIMULATED);
    if (kind === 'recorded phone') {
      recordedPhone().then(
        (device) => choose({ kind: 'file', device }),
        (error: unknown) => setTrouble(error instanceof Error ? error.message : String(error)),
      );
    }
  }
  return (
    <div className="grid gap-2 sm:grid-cols-2">
      <SelectField label="Source" value={source.kind} onChange={(event) => pick(event.target.value)}>
        {KINDS.filter((kind) => SOURCES[kind].offers(sort) && (isTypable || kind !== 'typed')).map((kind) => (
          <option key={kind} value={kind}>
            {SOURCES[kind].label}
          </option>
        ))}
        {sort === 'angle' && <option value="recorded phone">a recorded phone</option>}
        {source.kind === 'file' && <option value="file">{source.device.name}</option>}
      </SelectField>
      {source.kind === 'simulated' && <Simulated source={source} choose={choose} />}
      {(source.kind === 'typed' || source.kind === 'file') && (
        <label className="block text-small font-semibold">
          or from {SOURCES.file.label}
          <input
            type="file"
            accept=".csv,text/csv"
            className="mt-1 block w-full text-small font-normal"
            onChange={(event) => void open(event.target.files?.[0])}
          />
        </label>
      )}
      {source.kind === 'phone' && (
        <p className="text-small text-ink-soft sm:col-span-2">
          Strap the phone to the back of the hand, or hold it in the fist. The phone senses which way is down, so move the hand in an
          upright plane. For side bends, turn the thumb up. Hold straight for a second, move to the end, hold, come back.
        </p>
      )}
      {trouble && (
        <p role="alert" className="text-small font-semibold text-iron sm:col-span-2">
          {trouble}
        </p>
      )}
    </div>
  );
}

function Simulated({ source, choose }: { source: Extract<Source, { kind: 'simulated' }>; choose: Props['choose'] }) {
  const { hasDeviceFaults } = useDeveloper();
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_6rem] gap-2">
      {hasDeviceFaults && (
        <SelectField
          label="Simulated fault"
          value={source.fault}
          onChange={(event) => choose({ ...source, fault: event.target.value as DeviceFault })}
        >
          {DEVICE_FAULTS.map((fault) => (
            <option key={fault} value={fault}>
              {fault}
            </option>
          ))}
        </SelectField>
      )}
      <SelectField label="Speed" value={source.speed} onChange={(event) => choose({ ...source, speed: Number(event.target.value) })}>
        {SPEEDS.map((speed) => (
          <option key={speed} value={speed}>
            {speed === 1 ? 'as recorded' : `${speed} times`}
          </option>
        ))}
      </SelectField>
    </div>
  );
}
