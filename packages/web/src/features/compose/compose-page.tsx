import type { Athlete, StoredIntake } from '@clay-pot/contracts';
import { potOf, describePot, type Sequence } from '@clay-pot/core';
import { USUAL_METHOD } from '@clay-pot/core/library';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useAthlete, useAthletes, useIntakes, usePast } from '../../api/queries.js';
import { AnswerHead } from '../../domain/composing/answer-head.js';
import { BeforeIt, BehindIt } from '../../domain/composing/behind-it.js';
import { ComposedRows } from '../../domain/composing/composed-rows.js';
import { swapsBeside } from '../../domain/composing/composer.js';
import { useComposer } from '../../domain/composing/use-composer.js';
import { WantsBars } from '../../domain/composing/wants-bars.js';
import { WishForm } from '../../domain/composing/wish-form.js';
import { firstWishes, useComposeWork, type Wishes } from '../../domain/composing/wishes.js';
import { blockNames } from '../../domain/block-names.js';
import { useGiveSequence } from '../../domain/give-sequence.js';
import { useNewSequence } from '../../domain/new-sequence.js';
import { useSessionView } from '../../domain/session-view.js';
import { PotDrawing } from '../../drawing/pot.js';
import { Button } from '../../ui/button.js';
import { SelectField } from '../../ui/field.js';
import { Empty, Loading, Page } from '../../ui/page.js';

/** A sequence composed for somebody: for whom, for what, in how many minutes, and why so. */
export default function ComposePage() {
  const [params, setParams] = useSearchParams();
  const athleteId = params.get('athlete') ?? undefined;
  const athlete = useAthlete(athleteId);
  const intakes = useIntakes(athleteId);
  const past = usePast(athleteId);
  const athletes = useAthletes();
  const whom = (
    <SelectField
      label="For"
      value={athleteId ?? ''}
      onChange={(event) => setParams(event.target.value ? { athlete: event.target.value } : {}, { replace: true })}
    >
      <option value="">Anybody</option>
      {athletes.data?.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </SelectField>
  );
  const isComing = athleteId !== undefined && (athlete.isPending || intakes.isPending || past.isPending);
  return (
    <Page title="Compose" lead="The machine does the arithmetic and shows its reasons; what becomes of it is yours.">
      {isComing ? (
        <Loading what="the person" />
      ) : (
        <Composer key={athleteId ?? ''} athlete={athlete.data} intakes={intakes.data ?? []} whom={whom} />
      )}
    </Page>
  );
}

interface Props {
  athlete: Athlete | undefined;
  intakes: readonly StoredIntake[];
  whom: React.ReactNode;
}

function Composer({ athlete, intakes, whom }: Props) {
  const [wishes, setWishes] = useState<Wishes>(() => firstWishes(athlete, intakes, USUAL_METHOD.id));
  const [lockedIds, setLockedIds] = useState<ReadonlySet<string>>(new Set());
  const workOf = useComposeWork(athlete);
  const { state, answer, setAnswer, start, stop } = useComposer(workOf(wishes));
  const keep = useKeep(athlete);
  const sequence = answer?.sequence ?? null;
  const locked = sequence?.blocks.filter(({ id }) => lockedIds.has(id)) ?? [];
  const compose = () => start(workOf(wishes, locked.length > 0 ? { locked } : {}));
  const toggleLock = (id: string) =>
    setLockedIds((before) => {
      const after = new Set(before);
      if (!after.delete(id)) after.add(id);
      return after;
    });
  return (
    <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[15rem_minmax(0,1fr)]">
      <form
        aria-label="What is wanted"
        className="grid content-start gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          compose();
        }}
      >
        {whom}
        <WishForm wishes={wishes} change={setWishes} />
        <Button kind="primary" type="submit">
          {sequence ? `Compose anew${locked.length > 0 ? `, keeping ${locked.length}` : ''}` : 'Compose'}
        </Button>
      </form>
      <div className="grid content-start gap-4">
        {state === 'failed' && <p role="alert">It could not be composed: the solver did not load. Try once more.</p>}
        {!answer &&
          (state === 'looking' ? (
            <Loading what="a first answer" />
          ) : (
            <Empty>
              Nothing composed yet. Say what is wanted, then compose: a first answer is there at once, and better ones
              follow until it is proven.
            </Empty>
          ))}
        {answer && <BeforeIt answer={answer} />}
        {answer && sequence && (
          <>
            <AnswerHead answer={answer} state={state} stop={stop} />
            <div className="grid gap-x-6 gap-y-4 xl:grid-cols-[minmax(0,1fr)_15rem]">
              <ComposedRows
                sequence={sequence}
                reasons={answer.reasons}
                lockedIds={lockedIds}
                toggleLock={toggleLock}
                swaps={(blockId) => swapsBeside(workOf(wishes, { from: sequence }), blockId)}
                take={(changed) => {
                  if (state === 'looking') stop();
                  setAnswer({ ...answer, sequence: changed });
                }}
              />
              <div className="grid content-start gap-4">
                <Pot sequence={sequence} athlete={athlete} />
                <WantsBars wants={answer.wants} />
                <BehindIt answer={answer} />
                <Button kind="primary" onClick={() => void keep(sequence)}>
                  {athlete ? `Take it for ${athlete.name.split(' ')[0]}` : 'Take it'}
                </Button>
              </div>
            </div>
          </>
        )}
      </div>
    </div>
  );
}

/** Keeps a composition as a sequence, given to whom it is for, and opens it. */
function useKeep(athlete: Athlete | undefined) {
  const newSequence = useNewSequence();
  const give = useGiveSequence();
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
