import { findLevel, MOST_N_CM2, type Movement, type Person, rangeWithHelpDeg } from '@clay-pot/core';
import { useState } from 'react';
import { LOAD_COLOURS } from '../../drawing/load-colours.js';
import { MovingPicture } from '../../domain/movement/moving-picture.js';
import { BenchDrawing, plantedView } from './bench-drawing.js';
import { postureOfSubject, type Refusal, type Subject } from '../../domain/movement/subject.js';

interface LaidProps {
  person: Person;
  subject: Subject;
  movement: Movement | undefined;
  levelId: string | undefined;
  setNumber: (name: string, value: number) => void;
  refusal: Refusal | null;
}

/** What the colours under the hands mean. */
function PressureScale() {
  return (
    <p className="flex flex-wrap items-center gap-x-1 text-fine text-ink-soft">
      Pressure under the hands, from low
      {LOAD_COLOURS.map((colour) => (
        <span key={colour} className="inline-block size-2.5 border border-ink/40" style={{ background: colour }} />
      ))}
      to {MOST_N_CM2} N/cm² and more
    </p>
  );
}

/** The picture, with handles where a body can be moved by them. */
export function Laid({ person, subject, movement, levelId, setNumber, refusal }: LaidProps) {
  const posture = postureOfSubject(subject);
  const [view] = useState(plantedView);
  return (
    <div className="grid content-start gap-2">
      {posture ? (
        <>
          <BenchDrawing
            body={person.body}
            posture={posture}
            planted={view}
            set={setNumber}
            rangeDeg={{
              extension: rangeWithHelpDeg(person, 'wrist extension', 'left').deg,
              flexion: rangeWithHelpDeg(person, 'wrist flexion', 'left').deg,
            }}
          />
          <PressureScale />
        </>
      ) : (
        movement &&
        levelId && (
          <MovingPicture
            movement={movement}
            level={{ ...(findLevel(movement, levelId) ?? movement.ladder[0]), ...subject }}
            body={person.body}
            moving
            className="h-80 w-full border border-line bg-white"
          />
        )
      )}
      <p role="status" className="min-h-5 text-small font-semibold text-iron">
        {refusal && `${refusal.message}${refusal.took === undefined ? '' : ' Set to the nearest possible posture.'}`}
      </p>
    </div>
  );
}
