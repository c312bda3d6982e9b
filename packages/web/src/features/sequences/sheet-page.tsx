import {
  AFTER_CARE,
  type Block,
  type CautionId,
  cautionAdvice,
  cuesFor,
  DISCOMFORT_RULE,
  type Method,
  minutesText,
  PHASES,
  printDose,
  resolveBlock,
  type Sequence,
  STOP_RULES,
  stopsOf,
} from '@clay-pot/core';
import { knownMovement } from '../../store/library.js';
import { useLayoutEffect, useRef, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import type { Athlete } from '@clay-pot/contracts';
import { useAthlete, useMe, useSequence } from '../../api/queries.js';
import { Button, ButtonLink } from '../../ui/button.js';
import { dayText } from '../../ui/format.js';
import { useSessionView } from '../../domain/session-view.js';
import { useStandingCautions } from '../../domain/standing-cautions.js';
import { LevelPicture } from '../../domain/level-picture.js';
import { SidePlanMark } from '../../ui/marks.js';
import { Loading, Trouble, useTitle } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';

const PAPERS = {
  A4: { css: '210mm 297mm', width: '190mm', height: '275mm' },
  Letter: { css: '8.5in 11in', width: '7.7in', height: '10.1in' },
} as const;
type Paper = keyof typeof PAPERS;

/** The sequence on one page of paper: what to do, what to say, what to mind. */
export default function SheetPage() {
  const { id } = useParams();
  const [params, setParams] = useSearchParams();
  const paper: Paper = params.get('paper') === 'Letter' ? 'Letter' : 'A4';
  const athleteId = params.get('athlete') ?? undefined;
  const sequence = useSequence(id);
  const athlete = useAthlete(athleteId);
  useTitle(sequence.data ? `Sheet: ${sequence.data.document.title}` : 'Sheet');
  if (sequence.isPending || (athleteId && athlete.isPending)) return <Loading what="the sheet" />;
  if (!sequence.data) return <Trouble error={sequence.error} retry={() => void sequence.refetch()} />;
  const { css, width, height } = PAPERS[paper];
  return (
    <main className="bg-ground py-6 print:bg-white print:py-0">
      <style>{`@page { size: ${css}; margin: 10mm; }`}</style>
      <div className="mx-auto mb-4 flex items-center gap-2 print:hidden" style={{ maxWidth: width }}>
        <ButtonLink to={`/sequences/${id}${athleteId ? `?athlete=${athleteId}` : ''}`}>Back to the sequence</ButtonLink>
        <span className="ml-auto flex" role="group" aria-label="Paper">
          {(Object.keys(PAPERS) as Paper[]).map((name) => (
            <Button
              key={name}
              aria-pressed={name === paper}
              kind={name === paper ? 'primary' : 'plain'}
              onClick={() => setParams({ ...(athleteId && { athlete: athleteId }), paper: name }, { replace: true })}
            >
              {name}
            </Button>
          ))}
        </span>
        <Button kind="primary" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <Sheet
        key={`${paper} ${sequence.data.etag}`}
        document={sequence.data.document}
        athlete={athlete.data}
        width={width}
        height={height}
      />
    </main>
  );
}

const LARGEST_PT = 9.5;
const SMALLEST_PT = 5.5;
const STEP_PT = 0.5;
/** Below this the cues are left out, so that the rest stays readable. */
const DENSE_BELOW_PT = 8;

interface SheetProps {
  document: Sequence;
  athlete: Athlete | undefined;
  width: string;
  height: string;
}

function Sheet({ document, athlete, width, height }: SheetProps) {
  const me = useMe();
  const [today] = useState(isoToday);
  const { view } = useSessionView(document, athlete);
  const { method, timeline } = view;
  const cautions = useStandingCautions(athlete);
  const minded = cautions.map((entry) => entry.caution);
  const stops = stopsOf(view);
  // A long sequence still has to fit one page: the text steps down until it does, and cues go before cautions would.
  const paper = useRef<HTMLElement>(null);
  const [sizePt, setSizePt] = useState(LARGEST_PT);
  const dense = sizePt < DENSE_BELOW_PT;
  useLayoutEffect(() => {
    const { scrollHeight = 0, clientHeight = 0 } = paper.current ?? {};
    if (scrollHeight > clientHeight && sizePt > SMALLEST_PT) setSizePt(sizePt - STEP_PT);
  }, [sizePt, height, document, cautions.length]);
  return (
    <div className="mx-auto box-content bg-white p-[8mm] print:p-0" style={{ width }}>
      <article
        ref={paper}
        className="flex flex-col"
        style={{ height: sizePt > SMALLEST_PT ? height : 'auto', fontSize: `${sizePt}pt`, lineHeight: 1.32 }}
      >
        <header className="flex items-end justify-between border-b-2 border-ink pb-1">
          <div>
            <h1 className="leading-tight" style={{ fontSize: '20pt' }}>
              {document.title}
            </h1>
            <p>{document.purpose}</p>
          </div>
          <div className="shrink-0 pl-4 text-right">
            <b>{athlete?.name}</b>
            <br />
            {minutesText(timeline.durationMs)}, {dayText(`${today}T12:00:00`)}
            <br />
            {me.data?.studio.name}
          </div>
        </header>
        {stops.map((stop) => (
          <p key={stop.text} className="mt-2 border-2 border-iron px-2 py-1 font-bold text-iron">
            {stop.text}
          </p>
        ))}
        <table className="mt-1 w-full border-collapse">
          <tbody>
            {PHASES.flatMap((phase) => {
              const blocks = document.blocks.filter((block) => block.phase === phase);
              if (!blocks.length) return [];
              return [
                <tr key={phase}>
                  <th colSpan={4} className="display border-b border-ink pt-1.5 text-left">
                    {phase}
                  </th>
                </tr>,
                ...blocks.map((block) => (
                  <SheetRow
                    key={block.id}
                    block={block}
                    number={document.blocks.indexOf(block) + 1}
                    dense={dense}
                    minded={minded}
                    method={method}
                  />
                )),
              ];
            })}
          </tbody>
        </table>
        <footer className="mt-auto border-t-2 border-ink pt-1.5">
          {cautions.length > 0 && (
            <p className="mb-1">
              <b>For {athlete?.name}: </b>
              {cautions.map(cautionAdvice).join(' ')}
            </p>
          )}
          <p>
            {DISCOMFORT_RULE[method.discomfort]} {AFTER_CARE[method.afterCare]}
          </p>
          <p className="font-bold">{STOP_RULES.join(' ')}</p>
        </footer>
      </article>
    </div>
  );
}

/** Cues as sentences, whatever they end with. */
const sentences = (cues: readonly string[]) => cues.map((cue) => (/[.?!]$/.test(cue) ? cue : `${cue}.`)).join(' ');

interface SheetRowProps {
  block: Block;
  number: number;
  dense: boolean;
  /** The cautions of whom the sheet is for: a movement's own caution that concerns them goes before its general one. */
  minded: readonly CautionId[];
  method: Method;
}

function SheetRow({ block, number, dense, minded, method }: SheetRowProps) {
  const { movement, level } = resolveBlock(block, knownMovement);
  const own = movement.cautions.find((note) => note.concerns.some((id) => minded.includes(id)));
  const caution = own ?? movement.cautions[0];
  return (
    <tr className="border-b border-line align-top">
      <td className="w-6 py-0.5 pr-1 text-right font-bold figures">{number}</td>
      <td className="w-[5.5rem] py-0.5 pl-1">
        {!dense && (
          <LevelPicture
            movement={movement}
            level={level}
            withHand={level.loading !== 'planted'}
            className="h-12 w-full [--figure-line:1.4px]"
          />
        )}
      </td>
      <td className="py-0.5 pr-3 pl-1">
        <b>{movement.name}</b>, {level.name}
        {!dense && (
          <div className="text-ink-soft">
            {sentences(cuesFor(movement, level, method).slice(0, 2))}
            {caution && <i> {caution.text}</i>}
          </div>
        )}
        {block.note && <div className="font-semibold">{block.note}</div>}
      </td>
      <td className="w-[34%] py-0.5 text-right">
        <b className="figures">{printDose(block.dose)}</b> <SidePlanMark plan={block.dose.sides} />
        {movement.directions && block.dose.directions === 'each' && <div>{movement.directions.join(', then ')}</div>}
      </td>
    </tr>
  );
}
