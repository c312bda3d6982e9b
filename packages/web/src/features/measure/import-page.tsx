import type { ReadingsAdded, ReadingsInput, StoredReading } from '@clay-pot/contracts';
import { counted, dayWords, must, READING_KINDS, type ReadingKind, readingUnit } from '@clay-pot/core';
import {
  DAY_ORDERS,
  type DayOrder,
  type FileReadings,
  guessedMapping,
  READING_COLUMNS,
  type ReadingColumn,
  readingKeys,
  READINGS_FILE_MOST_BYTES,
  type ReadingsMapping,
  type ReadingsTable,
  readingsIn,
  readReadingsTable,
  writeReadingsFile,
} from '@clay-pot/core/exchange';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { v5 as uuidOf } from 'uuid';
import { refresh, useAthlete, useReadings } from '../../api/queries.js';
import { request } from '../../api/request.js';
import { readingText, told } from '../../domain/units.js';
import { Button } from '../../ui/button.js';
import { SelectField } from '../../ui/field.js';
import { SideMark } from '../../ui/marks.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';
import { useToast } from '../../ui/toast.js';

/** What ids of readings from files are made from, so that the same file twice is one. */
const FROM_FILES = '6b1c0f52-5b0a-4e54-9a57-0f5d9c0f7a11';

/** Readings out of a file and into one. */
export default function ImportPage() {
  const { id } = useParams();
  const athlete = useAthlete(id);
  const readings = useReadings(id);
  const [opened, setOpened] = useState<{ name: string; table: ReadingsTable } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  if (athlete.isError && !athlete.data) return <Trouble error={athlete.error} retry={() => void athlete.refetch()} />;
  if (!athlete.data || !id) return <Loading what="readings" />;
  async function open(file: File | undefined) {
    if (!file) return;
    setOpened(null);
    setTrouble(null);
    if (file.size > READINGS_FILE_MOST_BYTES) {
      setTrouble(
        `${file.name} has ${(file.size / 1e6).toFixed(0)} MB: a file of one person’s readings has at most ${READINGS_FILE_MOST_BYTES / 1e6}.`,
      );
      return;
    }
    const table = readReadingsTable(await file.text());
    const [first] = table.faults;
    if (first) setTrouble(`${first.pointer ? `Line ${first.pointer.slice(1)}` : file.name} ${first.message}.`);
    else setOpened({ name: file.name, table });
  }
  return (
    <Page
      title="Readings from a file"
      lead={athlete.data.name}
      actions={
        readings.data?.length ? <Button onClick={() => save(athlete.data.name, readings.data)}>Save readings as a file</Button> : undefined
      }
    >
      <label className="block max-w-xl text-small font-semibold">
        A table with names in its first line (CSV), one reading a row
        <input
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className="mt-1 block w-full border border-line bg-white p-2 font-normal"
          onChange={(event) => void open(event.target.files?.[0])}
        />
      </label>
      {trouble && (
        <p role="alert" className="mt-3 max-w-xl border-l-4 border-iron bg-iron-wash px-3 py-2">
          {trouble} Nothing was taken.
        </p>
      )}
      {opened && <Mapping key={opened.name} athleteId={id} table={opened.table} />}
    </Page>
  );
}

/** What was measured of rested hands, as a file that is read in again as it is. */
function save(name: string, readings: readonly StoredReading[]): void {
  const url = URL.createObjectURL(new Blob([writeReadingsFile(readings)], { type: 'text/csv' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `${name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-')}-readings-${isoToday()}.csv`;
  link.click();
  URL.revokeObjectURL(url);
}

const COLUMN_NAMES: Record<ReadingColumn, string> = {
  day: 'Day',
  hand: 'Hand',
  kind: 'How it was measured',
  of: 'What was measured',
  value: 'Value',
  unit: 'Unit',
  detail: 'What else belongs to it',
  trials: 'Its trials',
  gauge: 'Measured with',
};
/** Words that can hold for every row. */
const FIXED: Partial<Record<ReadingColumn, readonly string[]>> = {
  hand: ['left', 'right', 'both'],
  kind: READING_KINDS,
  unit: ['N', 'kg', 'lb', 'N·m', '°', 'cm', 'in', 's'],
};

function Mapping({ athleteId, table }: { athleteId: string; table: ReadingsTable }) {
  const [mapping, setMapping] = useState<ReadingsMapping>(() => guessedMapping(table));
  const found = useMemo(() => readingsIn(table, mapping, isoToday()), [table, mapping]);
  /** A column by its number, a word for all rows behind an equals sign, or nothing. */
  const choose = (column: ReadingColumn, chosen: string) => {
    const { [column]: _index, ...columns } = mapping.columns;
    const { [column]: _word, ...fixed } = mapping.fixed;
    if (chosen.startsWith('=')) setMapping({ ...mapping, columns, fixed: { ...fixed, [column]: chosen.slice(1) } });
    else setMapping({ ...mapping, fixed, columns: chosen === '' ? columns : { ...columns, [column]: Number(chosen) } });
  };
  return (
    <>
      <Part title="Which column is what" className="mt-6">
        <div className="grid gap-3 py-3 sm:grid-cols-4">
          {READING_COLUMNS.map((column) => {
            const word = mapping.fixed[column];
            return (
              <SelectField
                key={column}
                label={COLUMN_NAMES[column]}
                value={word === undefined ? String(mapping.columns[column] ?? '') : `=${word}`}
                onChange={(event) => choose(column, event.target.value)}
              >
                <option value="">not in the file</option>
                {table.columns.map((name, index) => (
                  <option key={name} value={index}>
                    {name}: {table.rows[0]?.[index]}
                  </option>
                ))}
                {(FIXED[column] ?? []).map((each) => (
                  <option key={each} value={`=${each}`}>
                    {each}, in every row
                  </option>
                ))}
              </SelectField>
            );
          })}
          <SelectField
            label="Days are written"
            value={mapping.dayOrder}
            onChange={(event) => setMapping({ ...mapping, dayOrder: event.target.value as DayOrder })}
          >
            {DAY_ORDERS.map((order) => (
              <option key={order}>{order}</option>
            ))}
          </SelectField>
        </div>
      </Part>
      <Preview athleteId={athleteId} found={found} rows={table.rows.length} />
    </>
  );
}

const SHOWN_FAULTS = 12;
const SHOWN_ROWS = 12;

function Preview({ athleteId, found: { readings, faults }, rows }: { athleteId: string; found: FileReadings; rows: number }) {
  const navigate = useNavigate();
  const [areSure, setSure] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const doubts = readings.filter(({ doubt }) => doubt !== null);
  const isReady = faults.length === 0 && readings.length > 0 && (doubts.length === 0 || areSure);
  async function keep() {
    setTrouble(null);
    try {
      const keys = readingKeys(
        athleteId,
        readings.map(({ reading }) => reading),
      );
      const body: ReadingsInput = {
        readings: readings.map(({ reading, doubt }, index) => ({
          id: uuidOf(must(keys[index], 'a key of a reading'), FROM_FILES),
          reading: doubt ? { ...reading, isSure: true } : reading,
        })),
      };
      const { added, known } = await request<ReadingsAdded>(`/athletes/${athleteId}/readings`, {
        method: 'POST',
        body,
      });
      await refresh('readings', 'evidence');
      const again = known > 0 ? ` ${counted(known, 'was', 'were')} there already.` : '';
      useToast.getState().show({ text: `${counted(added, 'reading')} recorded.${again}` });
      void navigate(`/people/${athleteId}`);
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
    }
  }
  return (
    <Part
      title={
        faults.length > 0
          ? `${counted(new Set(faults.map(lineOf)).size, 'row')} of ${rows} cannot be read`
          : counted(readings.length, 'reading')
      }
      className="mt-4"
      aside={
        <Button kind="primary" disabled={!isReady} onClick={() => void keep()}>
          Record {readings.length}
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
          <li className="mt-1 font-semibold">Nothing is recorded before all rows can be read.</li>
        </ul>
      )}
      {faults.length === 0 && doubts.length > 0 && (
        <div className="border-l-4 border-load-3 bg-amber-wash px-3 py-2 text-small">
          {doubts.slice(0, SHOWN_FAULTS).map(({ line, doubt }) => (
            <p key={line}>
              <b>Line {line}</b>: {told(doubt ?? undefined)}
            </p>
          ))}
          <label className="mt-1 flex items-center gap-2 font-semibold">
            <input type="checkbox" className="size-4 accent-ink" checked={areSure} onChange={(event) => setSure(event.target.checked)} />
            {counted(doubts.length, 'value')} as they stand are right
          </label>
        </div>
      )}
      {trouble && (
        <p role="alert" className="mt-2 border-l-4 border-iron bg-iron-wash px-3 py-2">
          {trouble} Nothing was recorded.
        </p>
      )}
      {readings.length > 0 && (
        <table className="mt-2 w-full max-w-3xl text-small">
          <caption className="sr-only">The first readings, as they will be recorded</caption>
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
