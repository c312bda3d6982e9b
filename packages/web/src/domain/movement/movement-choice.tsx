import { FAMILIES, type Movement } from '@clay-pot/core';
import { useCallback, useMemo } from 'react';
import { SearchChoice } from '../../ui/search-choice.js';
import { Field } from '../../ui/field.js';
import { findMovements, NO_FILTER } from './movement-filter.js';

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

const optionOf = ({ id, name, family }: Movement) => ({ id, name, note: FAMILIES[family] });

/** One of many movements, found by the words of the movement search. */
export function MovementChoice({ movements, none, ...rest }: Props) {
  const options = useMemo(() => movements.map(optionOf), [movements]);
  const find = useCallback((text: string) => findMovements(movements, { ...NO_FILTER, text }).movements.map(optionOf), [movements]);
  return <SearchChoice options={options} find={find} {...(none !== undefined && { nothing: none })} {...rest} />;
}

/** The same with its label above it. */
export function MovementField({ label, ...rest }: Props) {
  return <Field label={label}>{({ id }) => <MovementChoice label={label} id={id} {...rest} />}</Field>;
}
