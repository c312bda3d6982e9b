import type { FormTick } from '../../model/session.js';
import type { Level, Movement } from '../../model/movement.js';
import type { Contact } from '../../vocabulary/contacts.js';
import { FAULTS_EVERYWHERE, FORM } from '../../vocabulary/form-faults.js';
import type { Hand } from '../../vocabulary/hands.js';
import { groupedBy, lastOf } from '../../vocabulary/lists.js';
import { lowered } from '../../vocabulary/text.js';

/** Contacts in which the hand is set up on the floor by the form checklist. */
const SET_UP: readonly Contact[] = ['open palm', 'raised palm'];

/**
 * The faults of form to watch for at a level: its own, those of a palm’s set-up where one carries weight, and those named everywhere.
 * @example faultsToWatch({ faults: ['Racing'] }, { contact: 'fist' }) → ['Racing', 'Held breath']
 */
export const faultsToWatch = ({ faults }: Pick<Movement, 'faults'>, { contact }: Pick<Level, 'contact'>): string[] => [
  ...new Set([...faults, ...(SET_UP.includes(contact) ? Object.values(FORM) : []), ...FAULTS_EVERYWHERE]),
];

/** What a tick is about. */
type Ticked = Pick<FormTick, 'blockId' | 'hand' | 'fault' | 'seen' | 'at'>;

/** The faults that stand of one hand in one block, in the order in which they were seen: of each its latest tick counts. */
export function formFaultsOf(ticks: readonly Ticked[], blockId: string, hand: Hand): string[] {
  const mine = ticks.filter((tick) => tick.blockId === blockId && tick.hand === hand);
  const byFault = groupedBy(
    mine.toSorted((a, b) => a.at.localeCompare(b.at)),
    ({ fault }) => fault,
  );
  return [...byFault].flatMap(([fault, all]) => (lastOf(all).seen ? [fault] : []));
}

/** Faults of form in a line. @example formWords(['Index knuckle lifts', 'Held breath']) → 'index knuckle lifts, held breath' */
export const formWords = (faults: readonly string[]): string => faults.map(lowered).join(', ');
