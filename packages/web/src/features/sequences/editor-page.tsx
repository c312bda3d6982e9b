import { advicesOf, findingsOf, gapsOf, SEQUENCE_LIMITS, type Sequence } from '@clay-pot/core';
import { Redo2, Undo2 } from 'lucide-react';
import { lazy, memo, Suspense, useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useStore } from 'zustand';
import type { Athlete, StoredSequence } from '@clay-pot/contracts';
import { useAthlete, useSequence } from '../../api/queries.js';
import { useConnection } from '../../api/connection.js';
import { readCopy } from '../../store/autosave.js';
import { changeSequence, redo, undo, useEditor } from '../../store/editor.js';
import { Button, IconButton } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Loading, Trouble, useTitle } from '../../ui/page.js';
import { BlockList } from './block-list.js';
import { SaveNotice } from '../../domain/sequence/save-notice.js';
import { Shelf } from './shelf.js';
import { SummaryPanel } from './summary-panel.js';
import { TextPanel, usePastedText } from './text-panel.js';
import { useAutosave } from './use-autosave.js';
import { useEditorCommands } from './use-editor-commands.js';
import { useSessionView } from '../../domain/sequence/session-view.js';
import { AthleteChoice } from '../../domain/athlete/athlete-choice.js';
import { MoreMenu } from '../../ui/more-menu.js';
import { athleteIn } from '../../domain/athlete/athlete-of-view.js';

/** Loaded when somebody refits a sequence: the editor itself carries no generator. */
const FitPanel = lazy(async () => ({ default: (await import('./fit-panel.js')).FitPanel }));

/** What may stand in the place of the rows. */
type Instead = 'text' | 'fit';
const insteadIn = (params: URLSearchParams): Instead | null => {
  const view = params.get('view');
  return view === 'text' || view === 'fit' ? view : null;
};

/** Fetches the sequence, then opens it in the editor. */
export default function EditorPage() {
  const { id } = useParams();
  return id === undefined ? null : <Opening key={id} id={id} />;
}

/** What the editor begins with. */
function Opening({ id }: { id: string }) {
  const sequence = useSequence(id);
  const away = useConnection((state) => state.away);
  const [{ kept, atMs }] = useState(() => ({ kept: readCopy<Sequence>(id), atMs: Date.now() }));
  // What is kept on this device goes first: it is newer, or its version tells the server that it is not.
  if (kept) return <Editor stored={{ id, ...kept }} />;
  // A version of some time ago is begun with only where nobody can tell of a newer one.
  const isFresh = sequence.dataUpdatedAt >= atMs;
  if (sequence.data && (isFresh || away)) return <Editor key={String(isFresh)} stored={sequence.data} />;
  if (sequence.error) return <Trouble error={sequence.error} retry={() => void sequence.refetch()} />;
  return <Loading what="the sequence" />;
}

function Editor({ stored }: { stored: Pick<StoredSequence, 'id' | 'document' | 'etag'> }) {
  const { state, settle, saveNow } = useAutosave(stored);
  const document = useEditor((editor) => editor.document);
  const [params, setParams] = useSearchParams();
  const athleteId = athleteIn(params);
  const athlete = useAthlete(athleteId);
  const search = useRef<HTMLInputElement>(null);
  const chooseAthlete = useCallback(
    (chosen: string) =>
      setParams(
        (before) => {
          if (chosen) before.set('athlete', chosen);
          else before.delete('athlete');
          return before;
        },
        { replace: true },
      ),
    [setParams],
  );
  const [pasted, setPasted] = useState<string | null>(null);
  const instead = insteadIn(params);
  const show = useCallback(
    (view: Instead | null, text: string | null = null) => {
      setPasted(text);
      setParams(
        (before) => {
          if (view) before.set('view', view);
          else before.delete('view');
          return before;
        },
        { replace: true },
      );
    },
    [setParams],
  );
  usePastedText(useCallback((text: string) => show('text', text), [show]));
  useEditorCommands(search, saveNow);
  useTitle(document?.title ?? 'Sequence');
  if (!document) return null;
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <header className="relative flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink px-5 pt-4 pb-3">
        <Heading document={document} />
        <SaveNotice state={state} settle={settle} />
        <Tools id={stored.id} athleteId={athleteId} chooseAthlete={chooseAthlete} instead={instead} show={show} />
      </header>
      <Columns
        document={document}
        athlete={athlete.data}
        search={search}
        instead={
          instead &&
          (instead === 'text' ? (
            <TextPanel key={pasted} document={document} pasted={pasted} onClose={() => show(null)} />
          ) : (
            <Suspense fallback={<Loading what="the composer" />}>
              <FitPanel key={athleteId} document={document} athlete={athlete.data} onClose={() => show(null)} />
            </Suspense>
          ))
        }
      />
    </div>
  );
}

const Columns = memo(function Columns({
  document,
  athlete,
  search,
  instead,
}: {
  document: Sequence;
  athlete: Athlete | undefined;
  search: React.RefObject<HTMLInputElement | null>;
  /** Shown in place of the rows. */
  instead: React.ReactNode;
}) {
  // The row under the hand is drawn at once; what the whole comes to follows with the next frame.
  const settled = useDeferredValue(document);
  const seen = useSessionView(settled, athlete);
  const { view } = seen;
  const findings = useMemo(() => findingsOf(view), [view]);
  const gaps = useMemo(
    () =>
      gapsOf(
        view.coverage,
        view.blocks.map(({ movement }) => movement),
      ),
    [view],
  );
  const advices = useMemo(() => advicesOf(view.athlete?.cautions ?? []), [view.athlete]);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] gap-x-5 gap-y-6 px-5 lg:grid-cols-[12.5rem_minmax(0,1fr)_18.5rem]">
      <div className="flex max-h-96 min-h-0 flex-col pt-4 lg:max-h-none lg:pb-4 lg:[contain:strict]">
        <Shelf
          athlete={athlete}
          subject={seen.subject}
          search={search}
          weaker={view.weaker}
          method={view.method}
          gaps={gaps}
          past={view.past}
          now={view.now}
        />
      </div>
      <div className="min-h-0 lg:overflow-y-auto lg:pt-1 lg:pb-24 lg:[contain:strict]">
        {instead || <BlockList document={document} seen={seen} findings={findings} athlete={athlete} />}
      </div>
      <div className="min-h-0 pt-4 pb-8 lg:overflow-y-auto lg:[contain:strict]">
        <SummaryPanel document={settled} seen={seen} findings={findings} advices={advices} />
      </div>
    </div>
  );
});

/** Title and purpose, edited where they stand. A title cannot be empty: leaving it so brings the old one back. */
function Heading({ document }: { document: Sequence }) {
  return (
    <div className="min-w-64 flex-1">
      <h1 className="sr-only">{document.title}</h1>
      <input
        aria-label="Title"
        className="display w-full bg-transparent text-head font-bold tracking-tight"
        maxLength={SEQUENCE_LIMITS.titleLength}
        key={document.title}
        defaultValue={document.title}
        onBlur={(event) => {
          const title = event.target.value.trim();
          if (!title) event.target.value = document.title;
          else if (title !== document.title) changeSequence({ title });
        }}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      <input
        aria-label="Purpose"
        placeholder="Purpose"
        className="w-full bg-transparent text-small text-ellipsis text-ink-soft placeholder:text-ash"
        maxLength={SEQUENCE_LIMITS.purposeLength}
        key={`purpose ${document.purpose}`}
        defaultValue={document.purpose}
        onBlur={(event) => event.target.value !== document.purpose && changeSequence({ purpose: event.target.value })}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
    </div>
  );
}

interface ToolsProps {
  id: string;
  athleteId: string | undefined;
  chooseAthlete: (id: string) => void;
  instead: Instead | null;
  show: (view: Instead | null) => void;
}

/** An edit changes nothing here but whether there is a step to undo: it isn’t rendered with each. */
const Tools = memo(function Tools({ id, athleteId, chooseAthlete, instead, show }: ToolsProps) {
  const canUndo = useStore(useEditor.temporal, ({ pastStates }) => pastStates.length > 0);
  const canRedo = useStore(useEditor.temporal, ({ futureStates }) => futureStates.length > 0);
  const query = athleteId ? `?athlete=${athleteId}` : '';
  return (
    <div className="flex flex-wrap items-center gap-1.5 max-sm:w-full">
      <IconButton name="Undo" disabled={!canUndo} onClick={() => undo()}>
        <Undo2 size={18} />
      </IconButton>
      <IconButton name="Redo" disabled={!canRedo} onClick={() => redo()}>
        <Redo2 size={18} />
      </IconButton>
      <AthleteChoice
        label="Athlete"
        className="w-44 max-sm:order-last max-sm:w-full"
        nobody="Any athlete"
        value={athleteId}
        choose={(chosen) => chooseAthlete(chosen ?? '')}
      />
      <Button aria-pressed={instead === 'fit'} onClick={() => show(instead === 'fit' ? null : 'fit')}>
        Fit
      </Button>
      <ButtonLink kind="primary" to={`/sequences/${id}/lead${query}`}>
        Start session
      </ButtonLink>
      <MoreMenu
        items={[
          { name: instead === 'text' ? 'Rows' : 'Text', run: () => show(instead === 'text' ? null : 'text') },
          { name: 'Lead a class', to: `/sequences/${id}/class` },
          { name: 'Compare', to: `/sequences/${id}/compare${query}` },
          { name: 'Sheet', to: `/sequences/${id}/sheet${query}` },
          { name: 'Export', download: `/api/sequences/${id}/export` },
        ]}
      />
    </div>
  );
});
