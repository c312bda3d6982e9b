import { type Movement, REFERENCE_BODIES } from '@clay-pot/core';
import { memo } from 'react';
import { Link } from 'react-router';
import { MovementName } from '../../domain/movement/movement-name.js';
import { LevelPicture, middleLevel } from '../../domain/movement/level-picture.js';
import { Empty } from '../../ui/page.js';

/** Every movement as its picture, women and men alternating: for finding what one remembers by sight. */
export function PictureWall({ movements }: { movements: readonly Movement[] }) {
  if (!movements.length) return <Empty>No movement matches. Remove a filter.</Empty>;
  return (
    <ul className="grid grid-cols-2 gap-x-4 gap-y-5 sm:grid-cols-3 lg:grid-cols-5">
      {movements.map((movement, index) => (
        <li key={movement.id} className="border-t-2 border-ink [contain-intrinsic-size:auto_11rem] [content-visibility:auto]">
          <Link to={`/movements/${movement.id}`} className="block hover:bg-ground">
            <Picture movement={movement} woman={index % 2 === 0} />
            <span className="block px-1 pb-1 leading-tight font-semibold">
              <MovementName movement={movement} />
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

const Picture = memo(function Picture({ movement, woman }: { movement: Movement; woman: boolean }) {
  const level = middleLevel(movement);
  const body = woman ? REFERENCE_BODIES.female : REFERENCE_BODIES.male;
  return <LevelPicture movement={movement} level={level} body={body} className="h-40 w-full bg-white [--figure-line:2px]" />;
});
