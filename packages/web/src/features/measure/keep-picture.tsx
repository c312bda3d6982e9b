import { type Athlete, PictureConsent, type PictureInput } from '@clay-pot/contracts';
import { type Hand, type RangeMotion, type ThreePoints } from '@clay-pot/core';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { refresh } from '../../api/queries.js';
import { request } from '../../api/request.js';
import { Button } from '../../ui/button.js';
import { TextField } from '../../ui/field.js';
import { requestResolver } from '../../ui/request-resolver.js';
import { isoToday } from '../../ui/today.js';
import { base64Of, type Picture } from './take-picture.js';
import { Disclosure } from '../../ui/disclosure.js';

interface Props {
  athlete: Athlete;
  motion: RangeMotion;
  hand: Hand;
  picture: Picture;
  points: ThreePoints;
  deg: number;
}

interface Consent {
  consentBy: string;
  agreed: boolean;
}

/** Keeps the picture with the studio, on purpose and only with the consent of whose hand it is. */
export function KeepPicture({ athlete, motion, hand, picture, points, deg }: Props) {
  const [kept, setKept] = useState(false);
  const { register, handleSubmit, setError, control, formState } = useForm<Consent, unknown, PictureConsent>({
    resolver: requestResolver(PictureConsent, { tidy: ({ consentBy }) => ({ consentBy: consentBy.trim(), consentOn: isoToday() }) }),
    defaultValues: { consentBy: athlete.name, agreed: false },
  });
  const agreed = useWatch({ control, name: 'agreed' });
  const { errors, isSubmitting } = formState;

  async function keep(consent: PictureConsent) {
    try {
      const body: PictureInput = {
        ...{ of: motion, hand, onDay: consent.consentOn, deg: Number(deg.toFixed(1)) },
        points: points.map(({ x, y }) => ({ x: Math.round(x), y: Math.round(y) })),
        jpegBase64: await base64Of(picture.jpeg),
        ...consent,
      };
      await request(`/athletes/${athlete.id}/pictures/${uuid()}`, { method: 'PUT', body });
      setKept(true);
      await refresh('pictures');
    } catch (error) {
      setError('root', { message: error instanceof Error ? error.message : String(error) });
    }
  }
  if (kept) return <p className="text-small text-ink-soft">Saved in the studio. You can delete it under Trends.</p>;
  return (
    <Disclosure className="text-small" title="Save the photo" buttonClassName="font-semibold">
      <form className="mt-2 grid max-w-md gap-2" onSubmit={(event) => void handleSubmit(keep)(event)} noValidate>
        <TextField label="Consent given by" error={errors.consentBy?.message} {...register('consentBy')} />
        <label className="flex items-start gap-2">
          <input type="checkbox" className="mt-0.5 size-4 accent-ink" {...register('agreed')} />
          They agreed today that the studio keeps this photo of the hand until they withdraw consent.
        </label>
        <Button type="submit" className="justify-self-start" disabled={!agreed || isSubmitting}>
          Save photo
        </Button>
        {errors.root && (
          <p role="alert" className="font-semibold text-iron">
            {errors.root.message}
          </p>
        )}
      </form>
    </Disclosure>
  );
}
