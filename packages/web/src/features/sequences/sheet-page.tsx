import { readable } from '../../domain/measuring/units.js';
import {
  type Block,
  type CautionId,
  joinSentences,
  cuesFor,
  doseInWords,
  type Method,
  PHASE_NAMES,
  phaseRuns,
  resolveBlock,
  foundKilograms,
  type Person,
  type Sequence,
  type SessionView,
  stopsOf,
  withOwnLoad,
} from '@clay-pot/core';
import { COPIES, type Copy, Foot, Head, NotToHandOut } from './sheet-frame.js';
import { MovementName } from '../../domain/movement/movement-name.js';
import { movementById, studioLibrary } from '../../store/library.js';
import { useLayoutEffect, useRef, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import type { Athlete } from '@clay-pot/contracts';
import { useAthlete, useSequence } from '../../api/queries.js';
import { Button } from '../../ui/button.js';
import { usePageStyle } from '../../ui/print-style.js';
import { Segments } from '../../ui/segments.js';
import { ButtonLink } from '../../ui/button-link.js';
import { useSessionView } from '../../domain/sequence/session-view.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { groupsOf, pausesOf, roundHeading } from '../../domain/sequence/in-order.js';
import { LevelPicture } from '../../domain/movement/level-picture.js';
import { SidePlanMark } from '../../ui/marks.js';
import { Loading, Trouble, useTitle } from '../../ui/page.js';
import { athleteIn } from '../../domain/athlete/athlete-of-view.js';

const PAPERS = {
  A4: { css: '210mm 297mm', width: '190mm', height: '275mm' },
  Letter: { css: '8.5in 11in', width: '7.7in', height: '10.1in' },
} as const;
type Paper = keyof typeof PAPERS;
const PAPER_IDS = Object.keys(PAPERS) as Paper[];
const COPY_IDS = Object.keys(COPIES) as Copy[];

/** The sequence on paper: for the client what to do and how, for the coach also what the checks say. */
export default function SheetPage() {
  const { id } = useParams();
  const [params, setParams] = useSearchParams();
  const paper: Paper = params.get('paper') === 'Letter' ? 'Letter' : 'A4';
  const copy: Copy = params.get('copy') === 'coach' ? 'coach' : 'client';
  const athleteId = athleteIn(params);
  const sequence = useSequence(id);
  const athlete = useAthlete(athleteId);
  useTitle(sequence.data ? `Sheet: ${sequence.data.document.title}` : 'Sheet');
  const { css, width, height } = PAPERS[paper];
  usePageStyle(
    `@page { size: ${css}; margin: 10mm; @bottom-right { content: counter(page) " of " counter(pages); font-size: 8pt; } } @media print { html { background: white; } }`,
  );
  if (sequence.isPending || (athleteId && athlete.isPending)) return <Loading what="the sheet" />;
  if (!sequence.data) return <Trouble error={sequence.error} retry={() => void sequence.refetch()} />;
  const set = (change: { copy?: Copy; paper?: Paper }) =>
    setParams({ ...(athleteId && { athlete: athleteId }), copy, paper, ...change }, { replace: true });
  return (
    <main className="bg-ground py-6 max-sm:px-2 print:bg-white print:py-0">
      <div className="mx-auto mb-4 flex flex-wrap items-center gap-2 print:hidden" style={{ maxWidth: width }}>
        <ButtonLink to={`/sequences/${id}${athleteId ? `?athlete=${athleteId}` : ''}`}>Back to the sequence</ButtonLink>
        <Segments
          label="Copy"
          options={COPY_IDS}
          words={(name) => COPIES[name]}
          chosen={copy}
          choose={(name) => set({ copy: name })}
          className="ml-auto *:px-3"
        />
        <Segments
          label="Paper"
          options={PAPER_IDS}
          words={(name) => name}
          chosen={paper}
          choose={(name) => set({ paper: name })}
          className="*:px-3"
        />
        <Button kind="primary" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <Sheet
        key={`${paper} ${copy} ${sequence.data.etag}`}
        copy={copy}
        document={sequence.data.document}
        athlete={athlete.data}
        width={width}
        height={height}
      />
    </main>
  );
}

const LARGEST_PT = 9.5;
/** What still reads well on paper; a sequence that does not fit one page at this size goes on on the next. */
const SMALLEST_PT = 8;
const STEP_PT = 0.5;
/** The size of what takes several pages. */
const PAGES_PT = 9;
/** Narrower than paper: there is nothing to fit, the screen scrolls. */
const NARROW_PX = 640;

interface SheetProps {
  copy: Copy;
  document: Sequence;
  athlete: Athlete | undefined;
  width: string;
  height: string;
}

/** One page where all of it fits one in a readable size; else as many as it takes, with heading and stop rules on each. */
function Sheet({ copy, document, athlete, width, height }: SheetProps) {
  const { view } = useSessionView(document, athlete);
  const cautions = useStandingCautions(athlete);
  const paper = useRef<HTMLElement>(null);
  const [sizePt, setSizePt] = useState(window.innerWidth < NARROW_PX ? SMALLEST_PT - STEP_PT : LARGEST_PT);
  const fits = sizePt >= SMALLEST_PT;
  useLayoutEffect(() => {
    const { scrollHeight = 0, clientHeight = 0 } = paper.current ?? {};
    if (fits && scrollHeight > clientHeight) setSizePt(sizePt - STEP_PT);
  }, [sizePt, fits, height, document, cautions.length]);
  const head = <Head copy={copy} view={view} athlete={athlete} />;
  const foot = <Foot copy={copy} view={view} cautions={cautions} athlete={athlete} />;
  // Nobody is handed what may not be led.
  const stops = copy === 'client' ? stopsOf(view) : [];
  if (stops.length > 0) return <NotToHandOut stops={stops} width={width} />;
  return (
    <div className="mx-auto box-content max-w-full bg-white p-[8mm] max-[52rem]:box-border max-[52rem]:p-4 print:p-0" style={{ width }}>
      <article
        ref={paper}
        className="flex flex-col max-sm:text-body!"
        style={{ height: fits ? height : 'auto', fontSize: `${fits ? sizePt : PAGES_PT}pt`, lineHeight: 1.32 }}
      >
        {fits && head}
        <table className="w-full border-collapse">
          {!fits && (
            <thead>
              <tr>
                <td colSpan={COLUMNS}>{head}</td>
              </tr>
            </thead>
          )}
          <Rows copy={copy} view={view} restrictions={cautions.map((entry) => entry.caution)} person={athlete ? view.person : null} />
          {!fits && (
            <tfoot>
              <tr>
                <td colSpan={COLUMNS} className="pt-3">
                  {foot}
                </td>
              </tr>
            </tfoot>
          )}
        </table>
        {fits && <div className="mt-auto">{foot}</div>}
      </article>
    </div>
  );
}

const COLUMNS = 4;
/** Pixels of a picture for each of the page’s, so that it is crisp on paper: three hundred an inch. */
const SHEET_DENSITY = 3.2;

interface RowsProps {
  copy: Copy;
  view: SessionView;
  restrictions: readonly CautionId[];
  /** Whose sheet it is: weights that an effort finds are theirs. */
  person: Person | null;
}

function Rows({ copy, view: { sequence, method }, restrictions, person }: RowsProps) {
  return phaseRuns(sequence.blocks).map(({ phase, blocks }, run) => {
    return (
      <tbody key={`${phase} ${run}`}>
        <tr className="break-after-avoid">
          <th colSpan={COLUMNS} className="display border-b border-ink pt-1.5 text-left">
            {PHASE_NAMES[phase]}
          </th>
        </tr>
        {groupsOf(sequence, blocks).flatMap(({ round, members }) => [
          round && (
            <tr key={round.id} className="break-after-avoid">
              <td colSpan={COLUMNS} className="border-l-4 border-ink pt-1 pl-2 font-bold">
                {roundHeading(round)}.
              </td>
            </tr>
          ),
          ...members.map((block) => (
            <SheetRow
              key={block.id}
              block={block}
              inRounds={round !== undefined}
              number={sequence.blocks.indexOf(block) + 1}
              restrictions={restrictions}
              method={method}
              copy={copy}
              person={person}
            />
          )),
        ])}
      </tbody>
    );
  });
}

/** Cues as sentences, whatever they end with. */
const sentences = (cues: readonly string[]) => cues.map((cue) => (/[.?!]$/.test(cue) ? cue : `${cue}.`)).join(' ');

interface SheetRowProps {
  copy: Copy;
  block: Block;
  number: number;
  /** The cautions of whom the sheet is for: a movement's own caution that concerns them goes before its general one. */
  restrictions: readonly CautionId[];
  method: Method;
  inRounds: boolean;
  person: Person | null;
}

function SheetRow({ copy, block, number, restrictions, method, inRounds, person }: SheetRowProps) {
  const { movement, level } = resolveBlock(block, movementById);
  const own = movement.cautions.find((note) => note.concerns.some((id) => restrictions.includes(id)));
  const caution = own ?? (copy === 'coach' ? movement.cautions[0] : undefined);
  const foundKg = person && foundKilograms(person, movement, level, block.dose);
  const { amount, how: ways } = doseInWords(block.dose, movement, level, foundKg, studioLibrary().grades);
  const how = [...ways, ...pausesOf(block)];
  const dose = (
    <>
      <b className="figures">{amount}</b> <SidePlanMark plan={block.dose.sides} />
      {how.length > 0 && <div className="first-letter:uppercase">{readable(joinSentences(how, '; '))}.</div>}
    </>
  );
  return (
    <tr className="break-inside-avoid border-b border-line align-top">
      <td className={`w-6 py-0.5 pr-1 text-right font-bold figures ${inRounds ? 'border-l-4 border-ink' : ''}`}>{number}</td>
      <td className="w-[5.5rem] py-0.5 pl-1">
        <LevelPicture
          movement={movement}
          level={withOwnLoad(level, block.dose.load)}
          density={SHEET_DENSITY}
          eager
          className="h-14 w-full [--figure-line:1.4px]"
        />
      </td>
      <td className="py-0.5 pr-3 pl-1">
        <b>
          <MovementName movement={movement} />
        </b>
        , {level.name}
        <div className="text-ink-soft">
          {sentences(cuesFor(movement, level, method).slice(0, 2))}
          {caution && <i> {caution.text}</i>}
        </div>
        {block.note && <div className="font-semibold">{block.note}</div>}
        <div className="mt-0.5 sm:hidden">{dose}</div>
      </td>
      <td className="w-[30%] py-0.5 text-right max-sm:hidden">{dose}</td>
    </tr>
  );
}
