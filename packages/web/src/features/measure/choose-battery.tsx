import type { Athlete, StoredReading } from '@clay-pot/contracts';
import {
  BATTERIES,
  type BatteryId,
  batteryMinutes,
  capital,
  dayWords,
  latestReading,
  LED_PROTOCOLS,
  type Protocol,
  protocolOf,
} from '@clay-pot/core';
import { useState } from 'react';
import { beginMeasuring } from '../../store/measuring.js';
import { Button } from '../../ui/button.js';
import { Page, Part } from '../../ui/page.js';

const GROUPS: readonly { title: string; has: (protocol: Protocol) => boolean }[] = [
  { title: 'Active range', has: ({ kind, gauge }) => kind === 'active range' && gauge !== 'ruler' },
  { title: 'Passive range', has: ({ kind }) => kind === 'passive range' },
  { title: 'Fingers and thumb', has: ({ gauge }) => gauge === 'ruler' },
  { title: 'Under load', has: ({ kind }) => kind === 'loaded range' || kind === 'hand load' },
  { title: 'Strength', has: ({ kind }) => kind === 'maximum' },
  { title: 'All-out test', has: ({ kind }) => kind === 'critical force' },
  { title: 'Holds and reps', has: ({ kind }) => kind === 'hold' || kind === 'repetitions' },
];

/** What to measure: a battery, or things one by one. */
export function ChooseBattery({ athlete, readings }: { athlete: Athlete; readings: readonly StoredReading[] }) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const begin = (ids: readonly string[]) => beginMeasuring(athlete.id, ids);
  return (
    <Page
      title="Test"
      lead={
        readings.length
          ? `${athlete.name}, last measured on ${dayWords(
              readings
                .map(({ onDay }) => onDay)
                .sort()
                .at(-1) ?? '',
            )}`
          : `${athlete.name} hasn’t been tested yet, so everything is estimated from norms. The first assessment replaces most estimates.`
      }
    >
      <div className="mb-8 grid gap-3 sm:grid-cols-2">
        {(Object.keys(BATTERIES) as BatteryId[]).map((id) => {
          const { name, protocolIds } = BATTERIES[id];
          return (
            <button
              key={id}
              type="button"
              className="border-l-8 border-ink bg-white px-4 py-3 text-left hover:bg-ground"
              onClick={() => begin(protocolIds)}
            >
              <span className="flex items-baseline justify-between">
                <b className="display text-head">{name}</b>
                <span className="text-lead figures">{batteryMinutes(protocolIds)} min</span>
              </span>
              <span className="text-small text-ink-soft">{protocolIds.map((each) => nameOf(each)).join(' · ')}</span>
            </button>
          );
        })}
      </div>
      <Part
        title="Choose tests"
        aside={
          <Button
            kind="primary"
            className="py-0.5!"
            disabled={chosen.length === 0}
            onClick={() => begin(LED_PROTOCOLS.filter(({ id }) => chosen.includes(id)).map(({ id }) => id))}
          >
            {chosen.length ? `Start ${chosen.length}, about ${batteryMinutes(chosen)} min` : 'Start'}
          </Button>
        }
      >
        <div className="columns-1 gap-10 py-2 sm:columns-2 lg:columns-3">
          {GROUPS.map(({ title, has }) => (
            <fieldset key={title} className="mb-5 break-inside-avoid">
              <legend className="mb-1 text-small font-semibold text-ink-soft">{title}</legend>
              {LED_PROTOCOLS.filter(has).map((protocol) => (
                <label key={protocol.id} className="flex min-h-8 items-center gap-2 border-b border-line py-1">
                  <input
                    type="checkbox"
                    className="size-4 accent-ink"
                    checked={chosen.includes(protocol.id)}
                    onChange={(event) =>
                      setChosen(event.target.checked ? [...chosen, protocol.id] : chosen.filter((id) => id !== protocol.id))
                    }
                  />
                  <span className="flex-1">{nameOf(protocol.id)}</span>
                  <LastOn protocol={protocol} readings={readings} />
                </label>
              ))}
            </fieldset>
          ))}
        </div>
      </Part>
    </Page>
  );
}

const APART: Partial<Record<Protocol['kind'], string>> = {
  'passive range': ', passive',
  'loaded range': ', loaded',
  'hand load': ', weight on each hand',
  'critical force': ', all out',
};

/** Its name, with its kind only where that tells it from another. */
function nameOf(id: string): string {
  const protocol = protocolOf(id);
  return protocol ? `${capital(protocol.of)}${APART[protocol.kind] ?? ''}` : id;
}

function LastOn({ protocol: { kind, of }, readings }: { protocol: Protocol; readings: readonly StoredReading[] }) {
  const last = latestReading(readings, kind, of, 'left') ?? latestReading(readings, kind, of, 'right');
  return last ? <span className="text-fine text-ink-soft">{dayWords(last.onDay).replace(/ \d{4}$/, '')}</span> : null;
}
