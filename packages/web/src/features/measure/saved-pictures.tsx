import type { StoredPicture } from '@clay-pot/contracts';
import { capital, dayWords, type ThreePoints } from '@clay-pot/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { refresh } from '../../api/queries.js';
import { request } from '../../api/request.js';
import { Button } from '../../ui/button.js';
import { Part } from '../../ui/page.js';
import { Arms } from './photo-goniometer.js';

/** Pictures of somebody’s hands that were kept, with who agreed to it; taken back, they are gone. Nothing where there are none. */
export function KeptPictures({ athleteId }: { athleteId: string }) {
  const pictures = useQuery({
    queryKey: ['pictures', athleteId],
    queryFn: () => request<StoredPicture[]>(`/athletes/${athleteId}/pictures`),
  });
  if (!pictures.data?.length) return null;
  return (
    <Part title="Photos" className="mt-8">
      <ul className="grid gap-4 py-3 sm:grid-cols-3">
        {pictures.data.map((picture) => (
          <Kept key={picture.id} athleteId={athleteId} picture={picture} />
        ))}
      </ul>
    </Part>
  );
}

function Kept({
  athleteId,
  picture: { id, of, hand, deg, onDay, points, consentBy, consentOn },
}: {
  athleteId: string;
  picture: StoredPicture;
}) {
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  const [asking, setAsking] = useState(false);
  const [a, b, c] = points;
  const three: ThreePoints | null = a && b && c ? [a, b, c] : null;
  async function remove() {
    await request(`/athletes/${athleteId}/pictures/${id}`, { method: 'DELETE' });
    await refresh('pictures');
  }
  return (
    <li className="text-small">
      <div className="relative bg-ground">
        <img
          src={`/api/athletes/${athleteId}/pictures/${id}`}
          alt={`${capital(hand)} hand, ${of}`}
          className="block w-full"
          onLoad={({ currentTarget: { naturalWidth, naturalHeight } }) => setSize({ width: naturalWidth, height: naturalHeight })}
        />
        {size && three && <Arms points={three} {...size} />}
      </div>
      <b>
        {capital(of)}, {hand}: {deg.toFixed(0)}°
      </b>
      <span className="block text-ink-soft">
        {dayWords(onDay)}; consent by {consentBy} on {dayWords(consentOn)}
      </span>
      {asking ? (
        <span className="mt-1 flex gap-2">
          <Button kind="stop" className="py-0.5!" onClick={() => void remove()}>
            Delete permanently
          </Button>
          <Button className="py-0.5!" onClick={() => setAsking(false)}>
            Keep
          </Button>
        </span>
      ) : (
        <Button kind="quiet" className="px-0! py-0.5!" onClick={() => setAsking(true)}>
          Withdraw consent…
        </Button>
      )}
    </li>
  );
}
