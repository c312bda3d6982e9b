import type { StoredReading } from '@clay-pot/contracts';
import { READINGS_FILE_MOST_BYTES, type ReadingsTable, readReadingsTable, writeReadingsFile } from '@clay-pot/core/exchange';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useAthlete, useReadings } from '../../api/queries.js';
import { Button } from '../../ui/button.js';
import { Loading, Page, Trouble } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';
import { ImportForm } from './import-form.js';

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
      setTrouble(`${file.name} is ${(file.size / 1e6).toFixed(0)} MB. A file of readings can be up to ${READINGS_FILE_MOST_BYTES / 1e6}.`);
      return;
    }
    const table = readReadingsTable(await file.text());
    const [first] = table.faults;
    if (first) setTrouble(`${first.pointer ? `Line ${first.pointer.slice(1)}` : file.name} ${first.message}.`);
    else setOpened({ name: file.name, table });
  }
  return (
    <Page
      title="Import / export"
      lead={athlete.data.name}
      actions={readings.data?.length ? <Button onClick={() => save(athlete.data.name, readings.data)}>Export readings</Button> : undefined}
    >
      <label className="block max-w-xl text-small font-semibold">
        CSV with column names in the first line, one reading a row
        <input
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className="mt-1 block w-full border border-line bg-white p-2 font-normal"
          onChange={(event) => void open(event.target.files?.[0])}
        />
      </label>
      {trouble && (
        <p role="alert" className="mt-3 max-w-xl border-l-4 border-iron bg-iron-wash px-3 py-2">
          {trouble} Nothing was imported.
        </p>
      )}
      {opened && <ImportForm key={opened.name} athleteId={id} table={opened.table} />}
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
