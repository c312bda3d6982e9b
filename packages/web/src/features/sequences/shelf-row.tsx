import { FAMILIES, type Movement } from '@clay-pot/core';
import { Star } from 'lucide-react';
import { memo } from 'react';
import { LevelPicture, middleLevel } from '../../domain/movement/level-picture.js';
import { MovementName } from '../../domain/movement/movement-name.js';
import { toggleFavourite } from '../../store/shelf-habits.js';

interface Props {
  movement: Movement;
  withCare: boolean;
  isFavourite: boolean;
  /** The card that tells more of it, while it is shown. */
  describedBy: string | undefined;
  add: (movement: Movement) => void;
  /** Looked at, by the pointer or by the keys; null when no longer. */
  peek: (movement: Movement, at: Element | null) => void;
}

/** A movement on the shelf: its picture and name add it, its star keeps it at the top. */
export const ShelfRow = memo(function ShelfRow({ movement, withCare, isFavourite, describedBy, add, peek }: Props) {
  return (
    <li
      className="flex border-b border-line hover:bg-ground"
      onPointerEnter={(event) => peek(movement, event.currentTarget)}
      onPointerLeave={() => peek(movement, null)}
    >
      <button
        type="button"
        className="grid min-w-0 flex-1 grid-cols-[3.25rem_minmax(0,1fr)] items-center gap-x-2 py-1 text-left"
        onClick={() => add(movement)}
        onFocus={(event) => peek(movement, event.currentTarget.closest('li'))}
        onBlur={() => peek(movement, null)}
        aria-describedby={describedBy}
      >
        <LevelPicture silent movement={movement} level={middleLevel(movement)} handOnly className="h-11 w-full" />
        <span className="min-w-0">
          <span className="block leading-tight font-semibold">
            <span className="sr-only">Add </span>
            <MovementName movement={movement} />
          </span>{' '}
          <span className="text-fine text-ink-soft">{FAMILIES[movement.family]}</span>
          {withCare && <span className="ml-2 bg-amber-wash px-1 text-fine text-amber">with care</span>}
        </span>
      </button>
      <button
        type="button"
        className="grid w-7 shrink-0 place-items-center text-ash hover:text-ink"
        aria-pressed={isFavourite}
        aria-label={`${movement.name} among the favourites`}
        onClick={() => toggleFavourite(movement.id)}
      >
        <Star size={15} fill={isFavourite ? 'currentColor' : 'none'} className={isFavourite ? 'text-ink' : ''} aria-hidden />
      </button>
    </li>
  );
});
