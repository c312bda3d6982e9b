import { readable } from '../../domain/measuring/units.js';
import {
  CHECKS,
  decidesWords,
  type Finding,
  keyOfFinding,
  type Offer,
  type Sequence,
  SEQUENCE_LIMITS,
  type SessionView,
  type Severity,
  whatToMeasure,
} from '@clay-pot/core';
import { useState } from 'react';
import { carryOut, hover, muteCheck, select } from '../../store/editor.js';
import { INPUT } from '../../ui/field.js';
import { useToast } from '../../ui/toast.js';
import { useOffers } from './use-offers.js';
import { Disclosure } from '../../ui/disclosure.js';

const LOOK: Record<Severity, { edge: string; word: string }> = {
  stop: { edge: 'border-iron bg-iron-wash', word: 'Stop' },
  mend: { edge: 'border-load-4 bg-white', word: 'Fix' },
  look: { edge: 'border-load-2 bg-white', word: 'Check' },
};

/** The checks of a sequence as it is edited: what would answer each is looked for while nobody types. */
export function Checks({ view, ...rest }: { view: SessionView; findings: readonly Finding[]; document: Sequence }) {
  return <ChecksPanel {...rest} offers={useOffers(view, rest.findings)} />;
}

/** What the checks say, the gravest first; each with its reason and what would answer it. */
export function ChecksPanel({
  findings,
  document,
  offers,
}: {
  findings: readonly Finding[];
  document: Sequence;
  offers: ReadonlyMap<string, readonly Offer[]>;
}) {
  const heard = findings.filter(({ muted }) => muted === null);
  const first = heard.find((finding) => offers.get(keyOfFinding(finding))?.length);
  const muted = document.mutes ?? [];
  const measure = whatToMeasure(heard.flatMap(({ doubt }) => doubt ?? []));
  return (
    <section aria-label="Checks" id="checks">
      <h2 className="flex items-baseline justify-between border-b-2 border-ink pb-0.5 text-body">
        Checks
        <span className="font-text text-small font-normal text-ink-soft figures" data-testid="findings">
          {heard.length === 0 ? 'no findings' : `${heard.length} found`}
        </span>
      </h2>
      <p className="sr-only" role="status">
        {heard.length === 0 ? 'The checks find no problems.' : `The checks find ${heard.length}.`}
      </p>
      {measure && <p className="border-b border-line bg-cobalt-wash px-2 py-1 text-small">{decidesWords(measure)}</p>}
      {heard.length === 0 && <p className="py-2 text-small text-ink-soft">All {CHECKS.length} checks passed.</p>}
      <ul>
        {heard.map((finding) => (
          <FindingItem
            key={keyOfFinding(finding)}
            finding={finding}
            document={document}
            offers={offers.get(keyOfFinding(finding))}
            first={finding === first}
          />
        ))}
      </ul>
      {muted.length > 0 && <Muted mutes={muted} />}
    </section>
  );
}

/** Carries an answer out and says so: one undo brings everything back. */
function mend({ label, edits }: Offer): void {
  carryOut(edits);
  useToast.getState().show({ text: `${readable(label)}: done. Press Ctrl Z to undo.` });
}

interface ItemProps {
  finding: Finding;
  document: Sequence;
  /** Undefined while they are looked for. */
  offers: readonly Offer[] | undefined;
  first: boolean;
}

function FindingItem({ finding, document, offers, first }: ItemProps) {
  const { check, text, blockIds } = finding;
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
      <p className="text-small">{readable(text)}</p>
      <Offers offers={offers} first={first} />
      <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
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
        <Disclosure className="text-fine text-ink-soft" title="Why">
          {check.why} Source: {check.source}.
        </Disclosure>
      </div>
      {isMuting && <MuteForm check={check.id} title={check.title} done={() => setMuting(false)} />}
    </li>
  );
}

/** What would answer a finding, the gentlest first; each says exactly what it changes. */
function Offers({ offers, first }: Pick<ItemProps, 'offers' | 'first'>) {
  if (!offers) return <p className="mt-1 text-fine text-ink-soft">Looking for fixes…</p>;
  if (offers.length === 0) {
    return <p className="mt-1 text-fine text-ink-soft">No fix without a new problem. Your decision.</p>;
  }
  return (
    <ul className="mt-1 grid justify-items-start gap-1" aria-label="Possible fixes">
      {offers.map((offer, index) => (
        <li key={readable(offer.label)}>
          <button
            type="button"
            className={`border bg-white px-2 py-0.5 text-left text-small hover:bg-ground ${index === 0 ? 'border-ink/60 font-semibold' : 'border-line'}`}
            {...(first && index === 0 && { 'data-first-fix': true })}
            onClick={() => mend(offer)}
          >
            {readable(offer.label)}
          </button>
        </li>
      ))}
    </ul>
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
        aria-label={`Why “${title}” can be muted here`}
        placeholder="Why it can be muted here"
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
    <Disclosure className="mt-2 text-small" title={<>Muted here: {mutes.length}</>} buttonClassName="text-ink-soft">
      <ul>
        {mutes.map(({ check, reason }) => (
          <li key={check} className="flex items-baseline justify-between gap-2 border-b border-line py-1">
            <span>
              {CHECKS.find(({ id }) => id === check)?.title ?? check}: <i>{reason}</i>
            </span>
            <button type="button" className="text-fine underline underline-offset-2" onClick={() => muteCheck(check, null)}>
              Unmute
            </button>
          </li>
        ))}
      </ul>
    </Disclosure>
  );
}
