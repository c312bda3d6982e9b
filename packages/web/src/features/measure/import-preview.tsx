import { readable } from '../../domain/measuring/units.js';
import { counted, dayWords, must, type ReadingKind, readingUnit } from '@clay-pot/core';
import type { FileReadings } from '@clay-pot/core/exchange';
import type { UseFormRegisterReturn } from 'react-hook-form';
import { readingText } from '../../domain/measuring/units.js';
import { Button } from '../../ui/button.js';
import { SideMark } from '../../ui/marks.js';
import { Part } from '../../ui/page.js';

const SHOWN_FAULTS = 12;
const SHOWN_ROWS = 12;

interface Props {
  found: FileReadings;
  rows: number;
  /** Whether unlikely values are said to be right, and the field that says so. */
  areSure: boolean;
  sure: UseFormRegisterReturn;
  isBusy: boolean;
  trouble: string | undefined;
}

/** What comes of a file read so, before anything is recorded. */
export function ImportPreview({ found: { readings, faults }, rows, areSure, sure, isBusy, trouble }: Props) {
  const doubts = readings.filter(({ doubt }) => doubt !== null);
  const isReady = faults.length === 0 && readings.length > 0 && (doubts.length === 0 || areSure);
  return (
    <Part
      title={
        faults.length > 0
          ? `${counted(new Set(faults.map(lineOf)).size, 'row')} of ${rows} can’t be read`
          : counted(readings.length, 'reading')
      }
      className="mt-4"
      aside={
        <Button kind="primary" type="submit" disabled={!isReady || isBusy}>
          Import {readings.length}
        </Button>
      }
    >
      {faults.length > 0 && (
        <ul role="alert" className="border-l-4 border-iron bg-iron-wash px-3 py-2 text-small">
          {faults.slice(0, SHOWN_FAULTS).map(({ pointer, message }, index) => (
            <li key={index}>
              <b className="figures">Line {lineOf({ pointer })}</b>, {pointer.split('/')[2] ?? 'row'}: {message}
            </li>
          ))}
          {faults.length > SHOWN_FAULTS && <li>and {faults.length - SHOWN_FAULTS} more</li>}
          <li className="mt-1 font-semibold">No row is imported until every row can be read.</li>
        </ul>
      )}
      {faults.length === 0 && doubts.length > 0 && (
        <div className="border-l-4 border-load-3 bg-amber-wash px-3 py-2 text-small">
          {doubts.slice(0, SHOWN_FAULTS).map(({ line, doubt }) => (
            <p key={line}>
              <b>Line {line}</b>: {readable(doubt ?? '')}
            </p>
          ))}
          <label className="mt-1 flex items-center gap-2 font-semibold">
            <input type="checkbox" className="size-4 accent-ink" {...sure} />
            {counted(doubts.length, 'value')} checked: import as they are
          </label>
        </div>
      )}
      {trouble !== undefined && (
        <p role="alert" className="mt-2 border-l-4 border-iron bg-iron-wash px-3 py-2">
          {trouble} Nothing was imported.
        </p>
      )}
      {readings.length > 0 && (
        <table className="mt-2 w-full max-w-3xl text-small">
          <caption className="sr-only">Preview</caption>
          <tbody>
            {readings.slice(0, SHOWN_ROWS).map(({ reading: { onDay, hand, kind, of, value, detail } }, index) => (
              <tr key={index} className="border-b border-line">
                <td className="py-1 figures">{dayWords(onDay)}</td>
                <td>
                  <SideMark side={hand} />
                </td>
                <td>
                  {of}, <span className="text-ink-soft">{kind}</span>
                </td>
                <td className="text-right font-semibold figures">{textOf(kind, of, value)}</td>
                <td className="pl-3 text-ink-soft max-sm:hidden">{detail}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {readings.length > SHOWN_ROWS && <p className="text-small text-ink-soft">and {readings.length - SHOWN_ROWS} more</p>}
    </Part>
  );
}

const lineOf = ({ pointer }: { pointer: string }) => pointer.split('/')[1] ?? '';
const textOf = (kind: ReadingKind, of: string, value: number) => readingText(must(readingUnit(kind, of), `a unit of ${of}`), value);
