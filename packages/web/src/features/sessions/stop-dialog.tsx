import {
  adviseOnDiscomfort,
  capital,
  complaintWords,
  DISCOMFORT_WORDS,
  forbidsLoading,
  HAND_WORDS,
  must,
  type RecordedCaution,
  type SorePlace,
  STOP_SIGN_IDS,
  STOP_SIGNS,
  WORKING_SIDES,
  type WorkingSide,
} from '@clay-pot/core';
import { type ReactNode, useEffect, useState } from 'react';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { methodFor } from '../../store/library.js';
import { complain, currentBlock, endRun, type Run, setPaused } from '../../store/run.js';
import { Button } from '../../ui/button.js';
import { Dialog } from '../../ui/dialog.js';
import { Segments } from '../../ui/segments.js';
import { EaseChoices } from './ease-choices.js';
import { HarderChoice } from './harder-choice.js';
import { ScoreScale } from '../../ui/score-scale.js';
import { WhereItHurts } from '../../domain/session/where-it-hurts.js';

interface Props {
  run: Run;
  /** The hand that works is the one that is meant unless somebody says otherwise. */
  working: WorkingSide;
  onClose: () => void;
}

/**
 * What is wrong, and in which hand? A stop sign ends the session; anything else is recorded with its place and how much it is, and what
 * follows from that is offered. The clock waits while the question is open.
 */
export function StopDialog({ run, working, onClose }: Props) {
  const [hand, setHand] = useState(working);
  const [other, setOther] = useState(false);
  useEffect(() => setPaused(true), []);
  if (other) return <OtherPain run={run} hand={hand} setHand={setHand} onClose={onClose} />;
  return (
    <Question title="What is it?" onClose={onClose}>
      <p className="mt-1">Any of these ends the session now. Don’t load that hand again until a doctor or hand therapist has seen it.</p>
      <HandChoice hand={hand} choose={setHand} />
      <div className="mt-3 grid gap-2">
        {STOP_SIGN_IDS.map((sign) => (
          <button
            key={sign}
            type="button"
            className="min-h-12 border-2 border-iron px-3 py-2 text-left font-semibold hover:bg-iron-wash"
            onClick={() => {
              endRun('stopped', { sign, hand });
              onClose();
            }}
          >
            {STOP_SIGNS[sign]}
          </button>
        ))}
        <Button className="min-h-12" onClick={() => setOther(true)}>
          None of these: something else hurts
        </Button>
        <Button kind="quiet" className="min-h-12" onClick={onClose}>
          Cancel; stay paused
        </Button>
      </div>
    </Question>
  );
}

interface OtherProps {
  run: Run;
  hand: WorkingSide;
  setHand: (hand: WorkingSide) => void;
  onClose: () => void;
}

/** Where it hurts and how much; once recorded, the possible answers are shown. */
function OtherPain({ run, hand, setHand, onClose }: OtherProps) {
  const [place, setPlace] = useState<SorePlace | null>(null);
  const [discomfort, setDiscomfort] = useState<number | null>(null);
  const [felt, setFelt] = useState<readonly RecordedCaution[] | null>(null);
  const { person } = useSubject(run.athleteId);
  const missing = [place === null && 'where it hurts', discomfort === null && 'how much'].filter(Boolean);
  if (felt !== null && place !== null && discomfort !== null) {
    return <WhatNow {...{ run, felt, onClose }} complaint={{ hand, place, discomfort }} />;
  }
  return (
    <Question title="Where, and how much?" onClose={onClose}>
      <HandChoice hand={hand} choose={setHand} />
      <WhereItHurts hand={hand} place={place} choose={setPlace} />
      <p className="mt-3 mb-1 font-semibold">How much, of 10?</p>
      <ScoreScale name="Discomfort" low="none" high="worst" chosen={discomfort} onChoose={setDiscomfort} />
      <Button
        kind="primary"
        className="mt-3 min-h-12 w-full"
        disabled={missing.length > 0}
        onClick={() => {
          if (place === null || discomfort === null) return;
          setFelt(complain({ hand, place, discomfort }, { ageYears: person.ageYears, sex: person.body.sex }));
        }}
      >
        {missing.length ? `Say ${missing.join(' and ')}` : 'Save'}
      </Button>
      <Button kind="quiet" className="mt-1 min-h-12 w-full" onClick={onClose}>
        Skip; stay paused
      </Button>
    </Question>
  );
}

interface WhatNowProps {
  run: Run;
  complaint: { hand: WorkingSide; place: SorePlace; discomfort: number };
  /** What it leaves behind: it limits all that follows. */
  felt: readonly RecordedCaution[];
  onClose: () => void;
}

/** What follows from the report, by the rule of the method. */
function WhatNow({ run, complaint, felt, onClose }: WhatNowProps) {
  const advice = adviseOnDiscomfort(complaint.discomfort, methodFor(run.sequence).discomfort);
  const isReferred = felt.some(forbidsLoading);
  // The question is about the block at the time of the report, whatever the session goes on to.
  const [blockId] = useState(() => must(currentBlock(run), 'a block of the session'));
  return (
    <Question title={isReferred ? 'Don’t load this hand any more today.' : DISCOMFORT_WORDS[advice]} onClose={onClose}>
      <p className="mt-1">{capital(complaintWords(complaint))}, saved.</p>
      {isReferred && <p className="mt-1 font-semibold">Have it checked by a doctor or hand therapist before it is loaded again.</p>}
      {felt.length > 0 && advice !== 'ease-or-stop' && (
        <EaseChoices {...{ run, blockId, felt }} reason="hurts" onlyForbidden onDone={onClose} />
      )}
      {advice === 'ease-or-stop' && (
        <>
          <EaseChoices {...{ run, blockId, felt }} reason="hurts" onDone={onClose} />
          <Button
            kind="stop"
            className="mt-2 min-h-12 w-full"
            onClick={() => {
              endRun('ended early');
              onClose();
            }}
          >
            End here
          </Button>
        </>
      )}
      <Button kind="quiet" className="mt-1 min-h-12 w-full" onClick={onClose}>
        {advice === 'ease-or-stop' ? 'Not yet; stay paused' : 'Close; stay paused'}
      </Button>
    </Question>
  );
}

/** A gentler form of what is being done, without pain, or a harder one: each answer says what it changes. */
export function EaseDialog({ run, onClose }: { run: Run; onClose: () => void }) {
  useEffect(() => setPaused(true), []);
  const [blockId] = useState(() => must(currentBlock(run), 'a block of the session'));
  return (
    <Question title="Easier or harder from here" calm onClose={onClose}>
      <EaseChoices run={run} blockId={blockId} reason="hard" onDone={onClose} />
      <HarderChoice run={run} blockId={blockId} onDone={onClose} />
      <Button kind="quiet" className="mt-1 min-h-12 w-full" onClick={onClose}>
        Keep it as it is; stay paused
      </Button>
    </Question>
  );
}

interface QuestionProps {
  title: string;
  calm?: boolean;
  onClose: () => void;
  children: ReactNode;
}

function Question({ calm = false, ...rest }: QuestionProps) {
  return <Dialog width="narrow" tone={calm ? 'calm' : 'stop'} {...rest} />;
}

/** Which hand is meant. */
const HandChoice = ({ hand, choose }: { hand: WorkingSide; choose: (hand: WorkingSide) => void }) => (
  <Segments
    label="Which hand"
    options={WORKING_SIDES}
    words={(side) => capital(HAND_WORDS[side])}
    chosen={hand}
    choose={choose}
    className="mt-3"
  />
);
