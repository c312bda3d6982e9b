import {
  capital,
  type Hand,
  HAND_PLACES,
  type HandPlace,
  handSizeOf,
  HANDS,
  skeletonOf,
  type Symptom,
  SYMPTOM_KIND_IDS,
  SYMPTOM_KINDS,
  bodyOf,
  HAND_PLACE_IDS,
} from '@clay-pot/core';
import { X } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { PointAtHand } from '../../domain/session/point-at-hand.js';
import { hasWebGl } from '../../drawing/hand/shared-stage.js';
import { Button, IconButton } from '../../ui/button.js';
import { SideMark } from '../../ui/marks.js';
import { ScoreScale } from '../../ui/score-scale.js';
import { Segments } from '../../ui/segments.js';
import type { StepProps } from './step-props.js';

/** The places that are felt now: tapped on the hand, one after the other, each with what it feels like and how much. */
export function PlacesStep({ athlete, answers, change }: StepProps) {
  const symptoms = answers.symptoms ?? [];
  const [hand, setHand] = useState<Hand>('left');
  const [place, setPlace] = useState<HandPlace | null>(null);
  const [listed, setListed] = useState(!hasWebGl());
  const giveUp = useCallback(() => setListed(true), []);
  const { statureCm, massKg, sex } = athlete;
  const skeleton = useMemo(() => skeletonOf(handSizeOf(bodyOf({ sex, statureCm, massKg }).body)), [sex, statureCm, massKg]);
  const mine = symptoms.filter((symptom) => symptom.hand === hand);
  const set = (next: Symptom) => change({ symptoms: [...symptoms.filter((each) => !isSamePlace(each, next)), next] });
  const current = place ? mine.find((symptom) => symptom.place === place) : undefined;
  const pick = (next: HandPlace) => {
    setPlace(next);
    if (!mine.some((symptom) => symptom.place === next)) set({ place: next, hand, kind: 'ache' });
  };
  return (
    <div className="grid items-start gap-x-10 gap-y-4 sm:grid-cols-[minmax(0,24rem)_minmax(0,1fr)]">
      <div>
        <Segments
          label="Hand"
          options={HANDS}
          words={(each) => `${capital(each)} hand`}
          chosen={hand}
          className="mb-1"
          choose={(next) => {
            setHand(next);
            setPlace(null);
          }}
        />
        {listed ? (
          <PlaceList chosen={mine.map((symptom) => symptom.place)} pick={pick} />
        ) : (
          <PointAtHand
            skeleton={skeleton}
            hand={hand}
            chosen={mine.map((symptom) => symptom.place)}
            pick={pick}
            label={`Places on the ${hand} hand`}
            className="h-[22rem] sm:h-[26rem]"
            giveUp={giveUp}
          />
        )}
      </div>
      <div className="grid content-start gap-4">
        {current ? (
          <HowItFeels key={`${current.hand} ${current.place}`} symptom={current} set={set} />
        ) : (
          <p className="text-ink-soft">
            {symptoms.length ? 'Tap another place, or continue.' : 'Tap where they feel it. If nowhere, continue.'}
          </p>
        )}
        <Told
          symptoms={symptoms}
          remove={(removed) => change({ symptoms: symptoms.filter((each) => !isSamePlace(each, removed)) })}
          open={(symptom) => {
            setHand(symptom.hand);
            setPlace(symptom.place);
          }}
        />
        {hasWebGl() && (
          <Button kind="quiet" className="justify-self-start text-small!" onClick={() => setListed(!listed)}>
            {listed ? 'Point at it on the hand' : 'Choose from a list'}
          </Button>
        )}
      </div>
    </div>
  );
}

const isSamePlace = (one: Symptom, other: Symptom) => one.place === other.place && one.hand === other.hand;

function HowItFeels({ symptom, set }: { symptom: Symptom; set: (symptom: Symptom) => void }) {
  const where = HAND_PLACES[symptom.place];
  const box = useRef<HTMLDivElement>(null);
  // On a phone the questions about a place are below the hand: they come into sight with the tap.
  useEffect(() => {
    // In braces: newer browsers answer with a promise, which is no way to clean up.
    box.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  return (
    <div ref={box} className="grid scroll-mb-20 gap-2 border-l-4 border-iron bg-white p-3">
      <p className="flex items-center gap-2 font-semibold">
        <SideMark side={symptom.hand} /> {where}
      </p>
      <div role="group" aria-label={`What it feels like: ${where}`} className="flex flex-wrap gap-1">
        {SYMPTOM_KIND_IDS.map((kind) => (
          <button
            key={kind}
            type="button"
            aria-pressed={kind === symptom.kind}
            className={`min-h-11 border border-ink/50 px-3 text-small font-semibold ${kind === symptom.kind ? 'bg-ink text-white' : 'bg-white hover:bg-ground'}`}
            onClick={() => set({ ...symptom, kind })}
          >
            {SYMPTOM_KINDS[kind]}
          </button>
        ))}
      </div>
      <ScoreScale
        name={`How much: ${where}`}
        low="none"
        high="worst"
        chosen={symptom.score ?? null}
        onChoose={(score) => set({ ...symptom, score })}
      />
    </div>
  );
}

interface ToldProps {
  symptoms: readonly Symptom[];
  remove: (symptom: Symptom) => void;
  open: (symptom: Symptom) => void;
}

function Told({ symptoms, remove, open }: ToldProps) {
  if (!symptoms.length) return null;
  return (
    <ul aria-label="Your answers so far" className="border-t border-line">
      {symptoms.map((symptom) => (
        <li key={`${symptom.hand} ${symptom.place}`} className="flex items-center gap-2 border-b border-line">
          <button type="button" className="flex min-h-11 flex-1 items-center gap-2 text-left hover:bg-ground" onClick={() => open(symptom)}>
            <SideMark side={symptom.hand} />
            <span>
              {HAND_PLACES[symptom.place]}: <b>{SYMPTOM_KINDS[symptom.kind]}</b>
              {symptom.score !== undefined && <span className="figures">, {symptom.score} of 10</span>}
            </span>
          </button>
          <IconButton name={`Remove ${HAND_PLACES[symptom.place]}, ${symptom.hand}`} className="size-11!" onClick={() => remove(symptom)}>
            <X size={18} />
          </IconButton>
        </li>
      ))}
    </ul>
  );
}

function PlaceList({ chosen, pick }: { chosen: readonly HandPlace[]; pick: (place: HandPlace) => void }) {
  return (
    <div role="group" aria-label="Places" className="mt-2 grid max-h-96 grid-cols-2 gap-1 overflow-y-auto">
      {HAND_PLACE_IDS.map((place) => (
        <button
          key={place}
          type="button"
          aria-pressed={chosen.includes(place)}
          className={`min-h-11 border border-ink/50 px-2 text-left text-small font-semibold ${chosen.includes(place) ? 'bg-ink text-white' : 'bg-white hover:bg-ground'}`}
          onClick={() => pick(place)}
        >
          {HAND_PLACES[place]}
        </button>
      ))}
    </div>
  );
}
