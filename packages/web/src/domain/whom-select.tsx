import { useAthletes } from '../api/queries.js';
import { SelectField } from '../ui/field.js';

interface Props {
  value: string | undefined;
  /** What stands there while nobody is chosen. */
  nobody: string;
  choose: (athleteId: string | undefined) => void;
}

/** For whom something is made. */
export function WhomSelect({ value, nobody, choose }: Props) {
  const athletes = useAthletes();
  return (
    <SelectField label="For" value={value ?? ''} onChange={(event) => choose(event.target.value || undefined)}>
      <option value="">{nobody}</option>
      {athletes.data?.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </SelectField>
  );
}
