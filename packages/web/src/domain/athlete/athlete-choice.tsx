import { useMemo } from 'react';
import { useAthletes } from '../../api/queries.js';
import { SearchChoice } from '../../ui/search-choice.js';
import { Field } from '../../ui/field.js';

interface Props {
  /** What they are chosen for, for who hears the page. */
  label: string;
  value: string | undefined;
  /** What it says while nobody is chosen. */
  nobody: string;
  choose: (athleteId: string | undefined) => void;
  id?: string;
  className?: string;
}

/** One of the studio’s athletes, found by name or practice. */
export function AthleteChoice({ nobody, choose, value = '', ...rest }: Props) {
  const athletes = useAthletes();
  const options = useMemo(() => (athletes.data ?? []).map(({ id, name, practice }) => ({ id, name, note: practice })), [athletes.data]);
  return <SearchChoice options={options} value={value} nothing={nobody} choose={(id) => choose(id || undefined)} {...rest} />;
}

/** The same with its label above it. */
export function AthleteField({ label, ...rest }: Props) {
  return <Field label={label}>{({ id }) => <AthleteChoice label={label} id={id} {...rest} />}</Field>;
}
