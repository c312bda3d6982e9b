import { CHECKS, editsOf, type Finding, type Fix, type Sequence, SEQUENCE_LIMITS, type Severity } from '@clay-pot/core';
import { useState } from 'react';
import { carryOut, hover, muteCheck, select } from '../../store/editor.js';
import { INPUT } from '../../ui/field.js';
import { useToast } from '../../ui/toast.js';

const LOOK: Record<Severity, { edge: string; word: string }> = {
  stop: { edge: 'border-iron bg-iron-wash', word: 'Stop' },
  mend: { edge: 'border-load-4 bg-white', word: 'Mend' },
  look: { edge: 'border-load-2 bg-white', word: 'Look' },
};

/** What the checks say, the gravest first; each with its reason and the edit that answers it. */
export function ChecksPanel({ findings, document }: { findings: readonly Finding[]; document: Sequence }) {
  const heard = findings.filter(({ muted }) => muted === null);
  const muted = document.mutes ?? [];
  return (
    <section aria-label="Checks" id="checks">
      <h2 className="flex items-baseline justify-between border-b-2 border-ink pb-0.5 text-body">
        Checks
        <span className="font-text text-small font-normal text-ink-soft figures" data-testid="findings">
          {heard.length === 0 ? 'nothing found' : `${heard.length} found`}
        </span>
      </h2>
      <p className="sr-only" role="status">
        {heard.length === 0 ? 'The checks find nothing.' : `The checks find ${heard.length}.`}
      </p>
      {heard.length === 0 && <p className="py-2 text-small text-ink-soft">All {CHECKS.length} checks are silent.</p>}
      <ul>
        {heard.map((finding, index) => (
          <FindingItem
            key={`${finding.check.id} ${finding.text}`}
            finding={finding}
            document={document}
            first={index === 0}
          />
        ))}
      </ul>
      {muted.length > 0 && <Muted mutes={muted} />}
    </section>
  );
}

/** Carries a fix out and says so: one undo brings everything back. */
export function mend(fix: Fix): void {
  const edits = editsOf(fix);
  if (edits.length === 0) {
    useToast
      .getState()
      .show({ text: 'Nothing on the shelf would do here. Widen what is at hand, or change it yourself.' });
    return;
  }
  carryOut(edits);
  useToast.getState().show({ text: `${fix.label}: done. Ctrl Z brings it back.` });
}

function FindingItem({ finding, document, first }: { finding: Finding; document: Sequence; first: boolean }) {
  const { check, text, fix, blockIds } = finding;
  const [isMuting, setMuting] = useState(false);
  const { edge, word } = LOOK[check.severity];
  const numbers = blockIds.map((id) => document.blocks.findIndex((block) => block.id === id) + 1);
  const [target] = blockIds;
  return (
    <li
      className={`border-b border-l-4 border-b-line px-2 py-1.5 ${edge}`}
      onPointerEnter={() => target && hover(target)}
      onPointerLeave={() => hover(null)}
    >
      <p className="flex items-baseline justify-between gap-2 text-small font-semibold">
        <span>
          <span className={check.severity === 'stop' ? 'text-iron' : 'sr-only'}>{word}: </span>
          {check.title}
        </span>
        {target && (
          <button
            type="button"
            className="shrink-0 text-fine font-normal whitespace-nowrap text-ink-soft underline underline-offset-2 figures"
            aria-label={`Show block ${numbers[0]}`}
            onClick={() => show(target)}
          >
            {numbers.slice(0, 3).join(', ')}
            {numbers.length > 3 && ' …'}
          </button>
        )}
      </p>
      <p className="text-small">{text}</p>
      <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
        {fix && (
          <button
            type="button"
            className="border border-ink/60 bg-white px-2 py-0.5 text-small font-semibold hover:bg-ground"
            {...(first && { 'data-first-fix': true })}
            onClick={() => mend(fix)}
          >
            {fix.label}
          </button>
        )}
        {!check.stopRule && (
          <button
            type="button"
            className="text-fine text-ink-soft underline underline-offset-2"
            aria-expanded={isMuting}
            onClick={() => setMuting(!isMuting)}
          >
            Mute
          </button>
        )}
        <details className="text-fine text-ink-soft">
          <summary className="cursor-pointer">Why</summary>
          {check.why} Source: {check.source}.
        </details>
      </div>
      {isMuting && <MuteForm check={check.id} title={check.title} done={() => setMuting(false)} />}
    </li>
  );
}

function show(blockId: string): void {
  select(blockId);
  requestAnimationFrame(() => {
    const row = document.getElementById(`block-${blockId}`);
    row?.scrollIntoView({ block: 'nearest' });
    row?.focus({ preventScroll: true });
  });
}

/** A check is muted for this sequence with a reason, or not at all. */
function MuteForm({ check, title, done }: { check: string; title: string; done: () => void }) {
  const [reason, setReason] = useState('');
  return (
    <form
      className="mt-1 flex gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (!reason.trim()) return;
        muteCheck(check, reason.trim());
        done();
      }}
    >
      <input
        aria-label={`Why “${title}” may be unheeded here`}
        placeholder="Why it may be unheeded here"
        className={`${INPUT} text-small`}
        required
        autoFocus
        maxLength={SEQUENCE_LIMITS.muteReasonLength}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && done()}
      />
      <button type="submit" className="border border-ink/60 bg-white px-2 text-small font-semibold hover:bg-ground">
        Mute
      </button>
    </form>
  );
}

function Muted({ mutes }: { mutes: NonNullable<Sequence['mutes']> }) {
  return (
    <details className="mt-2 text-small">
      <summary className="cursor-pointer text-ink-soft">Muted here: {mutes.length}</summary>
      <ul>
        {mutes.map(({ check, reason }) => (
          <li key={check} className="flex items-baseline justify-between gap-2 border-b border-line py-1">
            <span>
              {CHECKS.find(({ id }) => id === check)?.title ?? check}: <i>{reason}</i>
            </span>
            <button
              type="button"
              className="text-fine underline underline-offset-2"
              onClick={() => muteCheck(check, null)}
            >
              Hear again
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
