import { FAMILIES, type Movement } from '@clay-pot/core';
import { useMemo } from 'react';
import { SearchChoice } from '../../ui/search-choice.js';
import { Field } from '../../ui/field.js';

interface Props {
  label: string;
  movements: readonly Movement[];
  value: string;
  /** What choosing none is called; left out where there must be one. */
  none?: string;
  choose: (movementId: string) => void;
  id?: string;
  className?: string;
}

/** One of many movements, found by name or family. */
export function MovementChoice({ movements, none, ...rest }: Props) {
  const options = useMemo(() => movements.map(({ id, name, family }) => ({ id, name, note: FAMILIES[family] })), [movements]);
  return <SearchChoice options={options} {...(none !== undefined && { nothing: none })} {...rest} />;
}

/** The same with its label above it. */
export function MovementField({ label, ...rest }: Props) {
  return <Field label={label}>{({ id }) => <MovementChoice label={label} id={id} {...rest} />}</Field>;
}
