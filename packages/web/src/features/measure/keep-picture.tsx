import type { Athlete, PictureInput } from '@clay-pot/contracts';
import { type Hand, type RangeMotion, type ThreePoints } from '@clay-pot/core';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { refresh } from '../../api/queries.js';
import { request } from '../../api/request.js';
import { Button } from '../../ui/button.js';
import { TextField } from '../../ui/field.js';
import { isoToday } from '../../ui/today.js';
import { base64Of, type Picture } from './take-picture.js';

interface Props {
  athlete: Athlete;
  motion: RangeMotion;
  hand: Hand;
  picture: Picture;
  points: ThreePoints;
  deg: number;
}

/** Keeps the picture with the studio, on purpose and only with the consent of whose hand it is. */
export function KeepPicture({ athlete, motion, hand, picture, points, deg }: Props) {
  const [by, setBy] = useState(athlete.name);
  const [agreed, setAgreed] = useState(false);
  const [kept, setKept] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  async function keep() {
    setTrouble(null);
    try {
      const today = isoToday();
      const body: PictureInput = {
        ...{ of: motion, hand, onDay: today, deg: Number(deg.toFixed(1)) },
        points: points.map(({ x, y }) => ({ x: Math.round(x), y: Math.round(y) })),
        jpegBase64: await base64Of(picture.jpeg),
        ...{ consentBy: by.trim(), consentOn: today },
      };
      await request(`/athletes/${athlete.id}/pictures/${uuid()}`, { method: 'PUT', body });
      setKept(true);
      await refresh('pictures');
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
    }
  }
  if (kept) return <p className="text-small text-ink-soft">Kept with the studio; it can be taken back on “How it went”.</p>;
  return (
    <details className="text-small">
      <summary className="cursor-pointer font-semibold">Keep the picture</summary>
      <div className="mt-2 grid max-w-md gap-2">
        <TextField label="Agreed by" value={by} onChange={(event) => setBy(event.target.value)} />
        <label className="flex items-start gap-2">
          <input
            type="checkbox"
            className="mt-0.5 size-4 accent-ink"
            checked={agreed}
            onChange={(event) => setAgreed(event.target.checked)}
          />
          They agreed today that this picture of the hand is kept with the studio, until they take that back.
        </label>
        <Button className="justify-self-start" disabled={!agreed || by.trim().length < 2} onClick={() => void keep()}>
          Keep it
        </Button>
        {trouble && (
          <p role="alert" className="font-semibold text-iron">
            {trouble}
          </p>
        )}
      </div>
    </details>
  );
}
