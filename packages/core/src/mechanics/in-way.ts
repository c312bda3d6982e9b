import type { Movement, Position } from '../model/movement.js';
import { type Action, oppositeAction } from '../vocabulary/actions.js';
import type { Loaded } from './demand.js';

const TURNS: readonly Action[] = ['pronation', 'supination'];

/**
 * A level in the second of its movement's directions: a press that turns the forearm is named for its first direction and turns the other
 * way in the second.
 */
export function inSecondDirection<L extends Loaded>(level: L): L {
  const { load } = level;
  const turned = load.kind === 'press' && TURNS.includes(load.action) ? oppositeAction(load.action) : undefined;
  return turned && load.kind === 'press' ? { ...level, load: { ...load, action: turned } } : level;
}

/** A level in one of its movement's positions: what works there, with which digits. The same level where nothing differs. */
export function inPosition<L extends Loaded>(level: L, { action, digits }: Pick<Position, 'action' | 'digits'>): L {
  const { load } = level;
  const hasAction = load.kind === 'weight' || load.kind === 'press' || load.kind === 'resist';
  const hasDigits = load.kind === 'weight' || load.kind === 'resist' || load.kind === 'lift' || load.kind === 'hang';
  const changes = { ...(action && hasAction && { action }), ...(digits && hasDigits && { digits }) };
  return Object.keys(changes).length > 0 ? { ...level, load: { ...load, ...changes } } : level;
}

/** A level as it is in the position that a piece of work names: “palm up”, or “index, forward” with a direction behind it. */
export function inNamedPosition<L extends Loaded>(level: L, { positions = [] }: Pick<Movement, 'positions'>, way: string | null): L {
  const position = positions.find(({ name }) => name === way?.split(', ')[0]);
  return position ? inPosition(level, position) : level;
}
