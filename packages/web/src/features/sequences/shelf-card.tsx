import { doseText } from '../../domain/movement/dose-text.js';
import { asDosed, demandOf, type Dose, handsWorking, type Level, type Movement, type Person, withOwnLoad } from '@clay-pot/core';
import { createPortal } from 'react-dom';
import { DemandLine } from '../../domain/movement/demand-line.js';
import { LevelPicture } from '../../domain/movement/level-picture.js';
import { MovementName } from '../../domain/movement/movement-name.js';
import { possibly } from '../../domain/movement/possibly.js';

/** What is added of a movement. */
export interface Addition {
  readonly movement: Movement;
  readonly level: Level;
  readonly dose: Dose;
}
/** What is looked at on the shelf, and where on the screen its row is. */
export interface Peeked extends Addition {
  readonly box: DOMRect;
}

/** Of the card, pixels: its height for keeping it on the screen, and its distance from the row. */
const CARD = { height: 330, gap: 6 };

/** A movement before it is added: large, at the level and the dose that would be taken, with what they ask of whoever is in view. */
export function ShelfCard({ id, peeked, person, name }: { id: string; peeked: Peeked; person: Person; name: string }) {
  const { movement, level, dose, box } = peeked;
  const demand = possibly(() => demandOf(person, asDosed(person, movement, level, dose)));
  const top = Math.max(CARD.gap, Math.min(box.top, window.innerHeight - CARD.height));
  // The list clips its content, so the card is placed on the page.
  return createPortal(
    <aside
      id={id}
      className="pointer-events-none fixed z-20 w-72 border-2 border-ink bg-white p-2 max-lg:hidden"
      style={{ top, left: box.right + CARD.gap }}
    >
      <LevelPicture silent movement={movement} level={withOwnLoad(level, dose.load)} body={person.body} className="h-36 w-full" />
      <p className="mt-1 leading-tight font-semibold">
        <MovementName movement={movement} />
      </p>
      <p className="text-small">{level.name}</p>
      {demand.value && <DemandLine demand={demand.value} hands={handsWorking(dose.sides)} />}
      {demand.trouble && <p className="text-small text-iron">{demand.trouble}</p>}
      <p className="text-fine text-ink-soft">
        For {name}: {doseText({ movementId: movement.id, levelId: level.id, dose })}
      </p>
    </aside>,
    document.body,
  );
}
