import { type ReadingsAdded, ReadingsInput } from '@clay-pot/contracts';
import { counted, must, READING_KINDS } from '@clay-pot/core';
import {
  DAY_ORDERS,
  type DayOrder,
  type FileReadings,
  guessedMapping,
  READING_COLUMNS,
  type ReadingColumn,
  readingKeys,
  type ReadingsMapping,
  type ReadingsTable,
  readingsIn,
} from '@clay-pot/core/exchange';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { v5 as uuidOf } from 'uuid';
import { refresh } from '../../api/queries.js';
import { request } from '../../api/request.js';
import { SelectField } from '../../ui/field.js';
import { Part } from '../../ui/page.js';
import { requestResolver } from '../../ui/request-resolver.js';
import { isoToday } from '../../ui/today.js';
import { useToast } from '../../ui/toast.js';
import { ImportPreview } from './import-preview.js';

/** What ids of readings from files are made from, so that the same file twice is one. */
const FROM_FILES = '6b1c0f52-5b0a-4e54-9a57-0f5d9c0f7a11';

const COLUMN_NAMES: Record<ReadingColumn, string> = {
  day: 'Day',
  hand: 'Hand',
  kind: 'Test',
  of: 'Measurement',
  value: 'Value',
  unit: 'Unit',
  detail: 'Details',
  trials: 'Trials',
  gauge: 'Device',
};
/** Words that can hold for every row. */
const FIXED: Partial<Record<ReadingColumn, readonly string[]>> = {
  hand: ['left', 'right', 'both'],
  kind: READING_KINDS,
  unit: ['N', 'kg', 'lb', 'N·m', '°', 'cm', 'in', 's'],
};

/** How a table is read, as the form holds it. */
interface Mapped {
  /** A column by its number, a word for all rows behind an equals sign, or nothing. */
  readonly columns: Record<ReadingColumn, string>;
  readonly dayOrder: DayOrder;
  readonly areSure: boolean;
}

const asMapped = ({ columns, fixed, dayOrder }: ReadingsMapping): Mapped => {
  const chosen = (column: ReadingColumn) => (fixed[column] === undefined ? String(columns[column] ?? '') : `=${fixed[column]}`);
  return {
    columns: Object.fromEntries(READING_COLUMNS.map((column) => [column, chosen(column)])) as Mapped['columns'],
    dayOrder,
    areSure: false,
  };
};

function mappingOf({ columns, dayOrder }: Mapped): ReadingsMapping {
  const chosen = Object.entries(columns).filter(([, choice]) => choice !== '');
  const words = chosen.filter(([, choice]) => choice.startsWith('='));
  const numbers = chosen.filter(([, choice]) => !choice.startsWith('='));
  return {
    columns: Object.fromEntries(numbers.map(([column, choice]) => [column, Number(choice)])),
    fixed: Object.fromEntries(words.map(([column, choice]) => [column, choice.slice(1)])),
    dayOrder,
  };
}

/** Readings as they are sent, each under an id of its own. */
function inputOf(athleteId: string, { readings }: FileReadings): ReadingsInput {
  const keys = readingKeys(
    athleteId,
    readings.map(({ reading }) => reading),
  );
  return {
    readings: readings.map(({ reading, doubt }, index) => ({
      id: uuidOf(must(keys[index], 'an import key'), FROM_FILES),
      reading: doubt ? { ...reading, isSure: true } : reading,
    })),
  };
}

/** Says which column is what, shows what comes of it, and records it. */
export function ImportForm({ athleteId, table }: { athleteId: string; table: ReadingsTable }) {
  const navigate = useNavigate();
  const { register, handleSubmit, setError, watch, formState } = useForm<Mapped, unknown, ReadingsInput>({
    resolver: requestResolver<Mapped, ReadingsInput>(ReadingsInput, {
      tidy: (mapped) => inputOf(athleteId, readingsIn(table, mappingOf(mapped), isoToday())),
    }),
    defaultValues: asMapped(guessedMapping(table)),
  });
  const mapped = watch();
  const found = readingsIn(table, mappingOf(mapped), isoToday());
  const { errors, isSubmitting } = formState;

  async function keep(body: ReadingsInput) {
    try {
      const { added, duplicates } = await request<ReadingsAdded>(`/athletes/${athleteId}/readings`, { method: 'POST', body });
      await refresh('readings', 'evidence');
      const again = duplicates > 0 ? ` ${counted(duplicates, 'was', 'were')} already imported.` : '';
      useToast.getState().show({ text: `${counted(added, 'reading')} recorded.${again}` });
      void navigate(`/people/${athleteId}`);
    } catch (error) {
      setError('root', { message: error instanceof Error ? error.message : String(error) });
    }
  }
  return (
    <form onSubmit={(event) => void handleSubmit(keep)(event)} noValidate>
      <Part title="Match the columns" className="mt-6">
        <div className="grid gap-3 py-3 sm:grid-cols-4">
          {READING_COLUMNS.map((column) => (
            <SelectField key={column} label={COLUMN_NAMES[column]} {...register(`columns.${column}`)}>
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
          ))}
          <SelectField label="Date format" {...register('dayOrder')}>
            {DAY_ORDERS.map((order) => (
              <option key={order}>{order}</option>
            ))}
          </SelectField>
        </div>
      </Part>
      <ImportPreview
        found={found}
        rows={table.rows.length}
        areSure={mapped.areSure}
        isBusy={isSubmitting}
        trouble={errors.root?.message}
        sure={register('areSure')}
      />
    </form>
  );
}
