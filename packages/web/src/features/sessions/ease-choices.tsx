import { readable } from '../../domain/measuring/units.js';
import {
  affectedBy,
  type BlockEases,
  capital,
  counted,
  easesOfEach,
  type Ease,
  type EaseReason,
  type RecordedCaution,
} from '@clay-pot/core';
import { useEffect, useState } from 'react';
import { changeAhead, currentBlock, type Run } from '../../store/run.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { blockName } from './block-name.js';
import { useRunView } from './run-view.js';

interface Props {
  run: Run;
  /** What hurts or is too hard: what is done now, or a block of before. */
  blockId: string;
  reason: EaseReason;
  /** What a complaint left behind: it concerns every later block that loads the place. */
  felt?: readonly RecordedCaution[];
  /** Only what must not stay as it is: the level is held, and nothing else needs a change. */
  onlyForbidden?: boolean;
  onDone: () => void;
}

const NOTHING_FELT: readonly RecordedCaution[] = [];

/**
 * What can be done about blocks on the spot, each answer saying exactly what it changes. Where it hurts, everything still to come that loads the place is shown
 * with what becomes of it, to be changed one by one; where it is only too hard, the block itself.
 */
export function EaseChoices({ run, blockId, reason, felt = NOTHING_FELT, onlyForbidden = false, onDone }: Props) {
  const view = useRunView(run);
  const [found, setFound] = useState<readonly BlockEases[] | null>(null);
  const current = currentBlock(run);
  useEffect(() => {
    // The question is on screen before its answers are computed.
    const timer = setTimeout(() => {
      const from = view.blocks.findIndex(({ block }) => block.id === current);
      const ahead = new Set(view.blocks.slice(Math.max(0, from)).map(({ block }) => block.id));
      const ids = reason === 'hard' ? [blockId] : affectedBy(view, blockId, felt).filter((id) => ahead.has(id));
      setFound(easesOfEach(view, ids, reason).filter(({ mayStay }) => !onlyForbidden || !mayStay));
    });
    return () => clearTimeout(timer);
  }, [view, blockId, reason, felt, onlyForbidden, current]);
  if (!found) return <p className="mt-2 text-ink-soft">Looking for easier forms…</p>;
  const [only, ...others] = found;
  if (!only) return onlyForbidden ? null : <p className="mt-2">No similar movement follows today.</p>;
  return others.length === 0 ? <OneBlock eases={only.eases} onDone={onDone} /> : <EachBlock run={run} each={found} onDone={onDone} />;
}

/** One block: a press does it. */
function OneBlock({ eases, onDone }: { eases: readonly Ease[]; onDone: () => void }) {
  return (
    <div className="mt-2 grid gap-2">
      {eases.map((ease) => (
        <button
          key={wordsOf(ease)}
          type="button"
          className="min-h-12 border border-ink bg-white px-3 py-2 text-left font-semibold hover:bg-ground"
          onClick={() => {
            changeAhead(ease.edits);
            onDone();
          }}
        >
          {wordsOf(ease)}
        </button>
      ))}
    </div>
  );
}

const AS_IT_IS = -1;

/** Several blocks: what becomes of each is shown before, and can be changed. */
function EachBlock({ run, each, onDone }: { run: Run; each: readonly BlockEases[]; onDone: () => void }) {
  const [chosen, setChosen] = useState<Readonly<Record<string, number>>>({});
  const doneBefore = new Set(run.sets.map(({ blockId }) => blockId));
  const edits = each.flatMap(({ blockId, eases }) => eases[chosen[blockId] ?? 0]?.edits ?? []);
  return (
    <div className="mt-2 grid gap-2">
      <p className="text-small">These blocks load the same place. Check what changes:</p>
      <ul className="grid max-h-[45vh] gap-2 overflow-y-auto">
        {each.map(({ blockId, eases, mayStay }) => (
          <li key={blockId}>
            <label className="grid gap-0.5 text-small">
              <span className="font-semibold">
                {blockName(run, blockId)}
                {doneBefore.has(blockId) && <span className="font-normal text-ink-soft"> (the rest of it)</span>}
              </span>
              <select
                className={`${INPUT} min-h-11 w-full text-small`}
                value={chosen[blockId] ?? 0}
                onChange={(event) => setChosen({ ...chosen, [blockId]: Number(event.target.value) })}
              >
                {eases.map((ease, index) => (
                  <option key={wordsOf(ease)} value={index}>
                    {withoutName(wordsOf(ease), blockName(run, blockId))}
                  </option>
                ))}
                {mayStay && <option value={AS_IT_IS}>Keep it as it is</option>}
              </select>
            </label>
          </li>
        ))}
      </ul>
      <Button
        kind="primary"
        className="min-h-12 w-full"
        onClick={() => {
          changeAhead(edits);
          onDone();
        }}
      >
        Change {counted(each.length, 'block')}
      </Button>
    </div>
  );
}

/** Beside its block a change needs not name it again. @example withoutName('Palm lift → finger lifts', 'Palm lift') → 'Finger lifts' */
function withoutName(words: string, name: string): string {
  if (words.toLowerCase() === `remove ${name.toLowerCase()}`) return 'Remove it';
  const [, rest] = /^(?: →|:) (.*)$/s.exec(words.slice(name.length)) ?? [];
  return words.startsWith(name) && rest !== undefined ? capital(rest) : words;
}

const wordsOf = ({ changes }: Ease): string => changes.map(readable).join('; ');
