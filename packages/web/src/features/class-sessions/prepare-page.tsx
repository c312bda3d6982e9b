import type { AthleteListItem, StoredSequence } from '@clay-pot/contracts';
import { type ClassMember, CLASS_LIMITS, counted, isSome, minutesText, type Sequence, timelineOf } from '@clay-pot/core';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useAthletes, useSequence } from '../../api/queries.js';
import { useClassLookup } from '../../domain/session/class-moment.js';
import { beginClass, useClassRun } from '../../store/class-run.js';
import { listenToClass } from '../../store/class-stream.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';
import { useClassPlans } from './class-plans.js';
import { PeopleOfClass } from './people-of-class.js';
import { type Choices, WhoDoesWhat } from './who-does-what.js';

/** Fetches the sequence of a class. */
export default function PreparePage() {
  const { id } = useParams();
  const sequence = useSequence(id);
  const athletes = useAthletes();
  if (sequence.data && athletes.data) return <Prepare stored={sequence.data} athletes={athletes.data} />;
  if (sequence.isPending || athletes.isPending) return <Loading what="the class" />;
  return <Trouble error={sequence.error ?? athletes.error} retry={() => void Promise.all([sequence.refetch(), athletes.refetch()])} />;
}

const NOTHING_OWN = { own: [] };

/** Before a class: who comes, what each does in each block, and what is asked of everybody. */
function Prepare({ stored, athletes }: { stored: StoredSequence; athletes: readonly AthleteListItem[] }) {
  const { document: sequence } = stored;
  const lookup = useClassLookup(NOTHING_OWN);
  const navigate = useNavigate();
  const running = useClassRun((state) => state.run);
  const [ids, setIds] = useState<readonly string[]>([]);
  const [late, setLate] = useState<ReadonlySet<string>>(new Set());
  const [choices, setChoices] = useState<Choices>(new Map());
  const [isAsked, setAsked] = useState(false);
  const { plans, retry } = useClassPlans(sequence, ids);
  // The time of the server is known before the class begins, so that every device counts in step from the first second.
  useEffect(() => listenToClass(null), []);
  const people = useMemo(() => ids.flatMap((id) => athletes.find((athlete) => athlete.id === id) ?? []), [ids, athletes]);
  const members = membersOf(people, plans, choices, late);
  const idle = people.find(({ id }) => plans.has(id) && !members.some(({ athleteId }) => athleteId === id));
  const missing = whyNot({ sequence, people, idle, isAsked, isRunning: running !== null, plans });
  function start() {
    if (!isSome(members)) return;
    const [first, ...others] = members;
    beginClass({ sequenceId: stored.id, sequence, members: [first, ...others] });
    void navigate('/class');
  }
  return (
    <Page
      title={`Class: ${sequence.title}`}
      lead={`${minutesText(timelineOf(sequence, lookup).durationMs)}, ${counted(sequence.blocks.length, 'block')}`}
    >
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,4fr)_minmax(0,8fr)]">
        <PeopleOfClass {...{ athletes, ids, setIds, late, setLate, plans, retry }} />
        <div className="grid grid-cols-[minmax(0,1fr)] gap-6">
          <WhoDoesWhat {...{ sequence, people, plans, choices, setChoices, lookup }} />
          <Part title="Before you start">
            <label className="flex min-h-11 items-start gap-3 py-2">
              <input
                type="checkbox"
                className="mt-1 size-5 accent-ink"
                checked={isAsked}
                onChange={({ target }) => setAsked(target.checked)}
              />
              <span>
                I asked everyone today: no numbness or tingling, no swelling, no more pain this morning than after the last session.
              </span>
            </label>
            <div className="mt-2 flex flex-wrap items-center gap-3">
              <Button kind="primary" className="px-6 py-3 text-lead" disabled={missing !== null} onClick={start}>
                Start class
              </Button>
              {running ? (
                <ButtonLink to="/class">Open the running class</ButtonLink>
              ) : (
                <ButtonLink to={`/sequences/${stored.id}`}>View sequence</ButtonLink>
              )}
              <span role="status" className="text-ink-soft">
                {missing}
              </span>
            </div>
          </Part>
        </div>
      </div>
    </Page>
  );
}

type Plans = ReturnType<typeof useClassPlans>['plans'];

/** Everybody whose plan is known and has something to do, as chosen. */
function membersOf(people: readonly AthleteListItem[], plans: Plans, choices: Choices, late: ReadonlySet<string>): ClassMember[] {
  return people.flatMap(({ id: athleteId, name }): ClassMember[] => {
    const found = plans.get(athleteId);
    if (!found || !('plan' in found)) return [];
    const blocks = found.plan.blocks.map(({ reasons: _reasons, ...block }) => ({
      ...block,
      at: choices.get(athleteId)?.get(block.blockId) ?? block.at,
    }));
    if (blocks.every(({ at }) => at < 0)) return [];
    return [{ id: uuid(), athleteId, name, blocks, sore: found.plan.sore, ...(late.has(athleteId) && { late: true as const }) }];
  });
}

interface Readiness {
  sequence: Sequence;
  people: readonly AthleteListItem[];
  /** Chosen, and with nothing to do. */
  idle: AthleteListItem | undefined;
  isAsked: boolean;
  isRunning: boolean;
  plans: Plans;
}

/** What is still missing before a class may begin, in words; null where nothing is. */
function whyNot({ sequence, people, idle, isAsked, isRunning, plans }: Readiness): string | null {
  if (isRunning) return 'Another class is running on this device. End it first.';
  if (sequence.blocks.length === 0) return 'This sequence has no blocks yet.';
  if (people.length === 0) return 'Choose who takes part.';
  if (people.length > CLASS_LIMITS.members) return `A class has at most ${CLASS_LIMITS.members} people.`;
  const left = people.filter(({ id }) => !plans.has(id)).length;
  if (left > 0) return `Checking ${counted(left, 'more person', 'more people')}…`;
  const elsewhere = people.find(({ id }) => isElsewhere(plans, id));
  if (elsewhere) return `${elsewhere.name} is in another class that is still running.`;
  const out = people.find(({ id }) => isTrouble(plans, id));
  if (out) return `${out.name} couldn’t be checked. Try again, or leave them out.`;
  if (idle) return `${idle.name} can’t do any of it today. Leave them out.`;
  return isAsked ? null : 'Ask everyone first, then tick the box.';
}

const isTrouble = (plans: Plans, id: string): boolean => 'trouble' in (plans.get(id) ?? {});
function isElsewhere(plans: Plans, id: string): boolean {
  const found = plans.get(id);
  return found !== undefined && 'plan' in found && found.plan.elsewhere !== null;
}
