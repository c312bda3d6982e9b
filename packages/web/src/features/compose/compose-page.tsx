import { firstName } from '../../ui/format.js';
import type { Athlete, ComposeAnswer, StoredIntake } from '@clay-pot/contracts';
import { potOf, describePot, type Sequence } from '@clay-pot/core';
import { useMemo, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useAthlete, useIntakes, usePast, useSaveAthlete } from '../../api/queries.js';
import { AthleteField } from '../../domain/athlete/athlete-choice.js';
import { AnswerView } from '../../domain/composing/answer-view.js';
import { useComposition } from '../../domain/composing/use-composition.js';
import { WishForm } from '../../domain/composing/wish-form.js';
import type { LeaveOut } from '../../domain/composing/composed-rows.js';
import { firstWishes, type Wishes } from '../../domain/composing/wishes.js';
import { readable } from '../../domain/measuring/units.js';
import { blockNames } from '../../domain/sequence/block-names.js';
import { useAssignSequence } from '../../domain/sequence/assign-sequence.js';
import { useNewSequence } from '../../domain/sequence/new-sequence.js';
import { useSessionView } from '../../domain/sequence/session-view.js';
import { PotDrawing } from '../../drawing/pot.js';
import { Button } from '../../ui/button.js';
import { Empty, Loading, Page } from '../../ui/page.js';
import { LeftOutList } from './left-out-list.js';
import { athleteIn } from '../../domain/athlete/athlete-of-view.js';

/** A sequence composed for somebody: for whom, for what, in how many minutes, and why so. */
export default function ComposePage() {
  const [params, setParams] = useSearchParams();
  const athleteId = athleteIn(params);
  const athlete = useAthlete(athleteId);
  const intakes = useIntakes(athleteId);
  const past = usePast(athleteId);
  const choose = (id: string | undefined) => setParams(id === undefined ? {} : { athlete: id }, { replace: true });
  const athleteChoice = <AthleteField label="Athlete" value={athleteId} nobody="Any athlete" choose={choose} />;
  const isComing = athleteId !== undefined && (athlete.isPending || intakes.isPending || past.isPending);
  return (
    <Page title="Generate sequence" lead="Set a goal and a time. Clay Pot suggests a sequence; you decide.">
      {isComing ? (
        <Loading what="the person" />
      ) : (
        <Composer key={athleteId ?? ''} athlete={athlete.data} intakes={intakes.data ?? []} athleteChoice={athleteChoice} />
      )}
    </Page>
  );
}

interface Props {
  athlete: Athlete | undefined;
  intakes: readonly StoredIntake[];
  athleteChoice: React.ReactNode;
}

function Composer({ athlete, intakes, athleteChoice }: Props) {
  const [wishes, setWishes] = useState<Wishes>(() => firstWishes(athlete, intakes));
  const composition = useComposition(athlete, wishes);
  const { state, answer, locked, compose } = composition;
  const keep = useKeep(athlete);
  const saveAthlete = useSaveAthlete();
  /** What is on an athlete’s record is kept there: everything that is proposed leaves it out. */
  const putLeftOut = (leftOut: readonly string[]) => {
    if (!athlete) return;
    const { id, etag, ...record } = athlete;
    saveAthlete.mutate({ id, etag, input: { ...record, leftOut } });
  };
  const leaveOut: LeaveOut = {
    once: (movementId) => setWishes((now) => ({ ...now, leftOut: [...new Set([...now.leftOut, movementId])] })),
    ...(athlete && {
      always: (movementId) => putLeftOut([...new Set([...(athlete.leftOut ?? []), movementId])]),
      who: firstName(athlete.name),
    }),
  };
  const sequence = answer?.sequence;
  const result = useRef<HTMLDivElement>(null);
  return (
    <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[15rem_minmax(0,1fr)]">
      <form
        aria-label="Settings"
        className="grid content-start gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          compose();
          // On a phone the answer comes below the settings: that is where one looks next.
          const answerTop = result.current?.getBoundingClientRect().top ?? 0;
          if (answerTop > window.innerHeight / 2) result.current?.scrollIntoView({ block: 'start' });
        }}
      >
        {athleteChoice}
        <WishForm wishes={wishes} change={setWishes} />
        <LeftOutList
          once={wishes.leftOut}
          always={athlete?.leftOut ?? []}
          who={athlete && firstName(athlete.name)}
          allowOnce={(movementId) => setWishes((now) => ({ ...now, leftOut: now.leftOut.filter((id) => id !== movementId) }))}
          allowAlways={(movementId) => putLeftOut((athlete?.leftOut ?? []).filter((id) => id !== movementId))}
        />
        <div className="sticky bottom-(--bar,0px) z-10 -mx-1 bg-porcelain px-1 py-2">
          <Button kind="primary" type="submit" className="w-full">
            {sequence ? `Generate again${locked.length > 0 ? `, keeping ${locked.length}` : ''}` : 'Generate'}
          </Button>
        </div>
      </form>
      <div ref={result} className="grid scroll-mt-4 content-start gap-4 max-lg:min-h-[60dvh]">
        {state === 'idle' && <Empty>No sequence yet. Choose the settings, then press Generate.</Empty>}
        <AnswerView
          composition={composition}
          takeLabel={athlete ? `Use this sequence for ${firstName(athlete.name)}` : 'Use this sequence'}
          take={(composed) => void keep(withReasons(composed, answer?.reasons ?? []))}
          leaveOut={leaveOut}
          pot={sequence && <Pot sequence={sequence} athlete={athlete} />}
        />
      </div>
    </div>
  );
}

/** A composition that says of each block why it is there, in the editor too. */
const withReasons = (sequence: Sequence, reasons: ComposeAnswer['reasons']): Sequence => ({
  ...sequence,
  blocks: sequence.blocks.map((block) => {
    const reason = reasons.find(({ blockId }) => blockId === block.id);
    return reason ? { ...block, why: readable(reason.text) } : block;
  }),
});

/** Keeps a composition as a sequence, given to whom it is for, and opens it. */
function useKeep(athlete: Athlete | undefined) {
  const newSequence = useNewSequence();
  const give = useAssignSequence();
  const navigate = useNavigate();
  return async (sequence: Sequence) => {
    const id = await newSequence(sequence.title, sequence);
    if (athlete) await give(athlete.id, id);
    await navigate(`/sequences/${id}${athlete ? `?athlete=${athlete.id}` : ''}`);
  };
}

function Pot({ sequence, athlete }: { sequence: Sequence; athlete: Athlete | undefined }) {
  const { view } = useSessionView(sequence, athlete);
  const pot = useMemo(() => potOf(view, 'effort'), [view]);
  const nameOf = useMemo(() => blockNames(sequence), [sequence]);
  return <PotDrawing pot={pot} description={describePot(pot, nameOf)} nameOf={nameOf} className="block w-full" />;
}
