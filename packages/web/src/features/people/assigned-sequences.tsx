import type { AssignmentItem } from '@clay-pot/contracts';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAssignments, useSaveAssignment, useSequences } from '../../api/queries.js';
import { useAssignSequence } from '../../domain/sequence/assign-sequence.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { weekdayText } from '../../ui/format.js';
import { Empty, Part } from '../../ui/page.js';
import { useToast } from '../../ui/toast.js';
import { WeekdayPicker } from '../../ui/weekday-picker.js';
import { SearchChoice } from '../../ui/search-choice.js';

/** Which sequences a person is given, on which days. */
export function AssignedSequences({ athleteId }: { athleteId: string }) {
  const assignments = useAssignments();
  const own = assignments.data?.filter((item) => item.athleteId === athleteId) ?? [];
  return (
    <Part title="Assigned sequences">
      {own.length === 0 && <Empty>No sequence assigned yet. Choose one below, or create a new one.</Empty>}
      <ul>
        {own.map((item) => (
          <Assignment key={item.id} item={item} />
        ))}
      </ul>
      <GiveAnother athleteId={athleteId} given={own.map((item) => item.sequenceId)} />
    </Part>
  );
}

function Assignment({ item }: { item: AssignmentItem }) {
  const save = useSaveAssignment();
  const { show } = useToast();
  const { id, athleteName: _name, sequenceTitle, ...input } = item;
  function unassign() {
    save.mutate({ id, input: null });
    show({
      text: `${sequenceTitle} unassigned.`,
      action: { label: 'Undo', run: () => save.mutate({ id, input }) },
    });
  }
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line py-2">
      <div className="min-w-48 flex-1">
        <Link to={`/sequences/${item.sequenceId}?athlete=${item.athleteId}`} className="font-semibold hover:underline">
          {sequenceTitle}
        </Link>
        <div className="text-small text-ink-soft">{weekdayText(item.weekdays)}</div>
      </div>
      <WeekdayPicker
        label={`Days for ${sequenceTitle}`}
        value={item.weekdays}
        onChange={(weekdays) => save.mutate({ id, input: { ...input, weekdays } })}
      />
      <Button kind="quiet" onClick={unassign}>
        Unassign
      </Button>
      <ButtonLink kind="primary" to={`/sequences/${item.sequenceId}/lead?athlete=${item.athleteId}`}>
        Start session
      </ButtonLink>
    </li>
  );
}

function GiveAnother({ athleteId, given }: { athleteId: string; given: readonly string[] }) {
  const sequences = useSequences();
  const give = useAssignSequence();
  const [chosen, setChosen] = useState('');
  const open = sequences.data?.filter((sequence) => !given.includes(sequence.id)) ?? [];
  if (!open.length) return null;
  return (
    <form
      className="mt-3 flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!chosen) return;
        void give(athleteId, chosen);
        setChosen('');
      }}
    >
      <SearchChoice
        label="Sequence to assign"
        className="w-72 max-w-full"
        nothing="Choose a sequence"
        options={open.map(({ id, title, purpose }) => ({ id, name: title, note: purpose }))}
        value={chosen}
        choose={setChosen}
      />
      <Button type="submit" disabled={!chosen}>
        Assign
      </Button>
    </form>
  );
}
