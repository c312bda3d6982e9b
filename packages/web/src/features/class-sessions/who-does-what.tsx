import type { AthleteListItem } from '@clay-pot/contracts';
import {
  type Block,
  type ClassBlockPlan,
  counted,
  doseSentence,
  classFormWords,
  type MovementLookup,
  resolveBlock,
  type Sequence,
} from '@clay-pot/core';
import { useState } from 'react';
import { readable } from '../../domain/measuring/units.js';
import { MovementName } from '../../domain/movement/movement-name.js';
import { studioLibrary } from '../../store/library.js';
import { INPUT } from '../../ui/field.js';
import { Part } from '../../ui/page.js';
import type { PlanOfOne } from './class-plans.js';

/** What was chosen instead of what was found, by person and block. */
export type Choices = ReadonlyMap<string, ReadonlyMap<string, number>>;

interface Props {
  sequence: Sequence;
  people: readonly AthleteListItem[];
  plans: ReadonlyMap<string, PlanOfOne>;
  choices: Choices;
  setChoices: (choices: Choices) => void;
  lookup: MovementLookup;
}

/** Each block with who does something else in it: the block that is opened shows everybody, with the reasons, and can be changed. */
export function WhoDoesWhat({ sequence, people, plans, choices, setChoices, lookup }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  if (people.length === 0) {
    return (
      <Part title="Who does what">
        <p className="py-4 text-ink-soft">Choose people. You’ll see what each of them does in every block, and why.</p>
      </Part>
    );
  }
  const planOf = (athleteId: string, blockId: string): ClassBlockPlan | undefined => {
    const found = plans.get(athleteId);
    return found && 'plan' in found ? found.plan.blocks.find((block) => block.blockId === blockId) : undefined;
  };
  const chosenOf = (athleteId: string, plan: ClassBlockPlan): number => choices.get(athleteId)?.get(plan.blockId) ?? plan.at;
  const choose = (athleteId: string, blockId: string, at: number) =>
    setChoices(new Map(choices).set(athleteId, new Map(choices.get(athleteId)).set(blockId, at)));
  return (
    <Part title="Who does what">
      <ol>
        {sequence.blocks.map((block, index) => {
          const { movement, level } = resolveBlock(block, lookup);
          const rows = people.flatMap((person) => {
            const plan = planOf(person.id, block.id);
            return plan ? [{ person, plan, at: chosenOf(person.id, plan) }] : [];
          });
          const others = rows.filter(({ plan, at }) => plan.forms[at] !== null);
          const isOpen = open === block.id;
          return (
            <li key={block.id} className="border-b border-line">
              <button
                type="button"
                aria-expanded={isOpen}
                className="flex min-h-12 w-full items-center gap-3 py-1.5 text-left hover:bg-ground"
                onClick={() => setOpen(isOpen ? null : block.id)}
              >
                <span className="w-6 shrink-0 text-right figures text-ink-soft">{index + 1}</span>
                <span className="min-w-0 flex-1">
                  <span className="block leading-tight font-semibold">
                    <MovementName movement={movement} />
                  </span>
                  <span className="block text-small text-ink-soft">
                    {level.name}: {readable(doseSentence(block.dose, movement, level, null, studioLibrary().grades))}
                  </span>
                </span>
                <span className={`shrink-0 text-small ${others.length > 0 ? 'font-semibold' : 'text-ink-soft'}`}>
                  {others.length > 0 ? `${counted(others.length, 'person', 'people')} different` : 'Same for all'}
                </span>
              </button>
              {isOpen && (
                <ul className="mb-2 ml-9 border-l-4 border-ink pl-3" aria-label={`Who does what in block ${index + 1}`}>
                  {rows.toSorted(differentFirst).map(({ person, plan, at }) => (
                    <PersonInBlock
                      key={person.id}
                      {...{ person, plan, at, block, lookup }}
                      choose={(next) => choose(person.id, block.id, next)}
                    />
                  ))}
                </ul>
              )}
            </li>
          );
        })}
      </ol>
    </Part>
  );
}

interface RowOfBlock {
  readonly person: AthleteListItem;
  readonly plan: ClassBlockPlan;
  readonly at: number;
}
/** Those for whom it was made different stand first, and stay there while it is changed. */
const differentFirst = ({ plan: a }: RowOfBlock, { plan: b }: RowOfBlock): number =>
  Number(a.forms[a.at] === null) - Number(b.forms[b.at] === null);

interface PersonProps {
  person: AthleteListItem;
  plan: ClassBlockPlan;
  at: number;
  block: Block;
  lookup: MovementLookup;
  choose: (at: number) => void;
}

function PersonInBlock({ person, plan, at, block, lookup, choose }: PersonProps) {
  return (
    <li className="grid gap-x-4 py-1.5 sm:grid-cols-[10rem_minmax(0,1fr)]">
      <span className="pt-1.5 font-semibold">{person.name}</span>
      <div>
        <select
          aria-label={`What ${person.name} does`}
          className={`${INPUT} w-full`}
          value={at}
          onChange={({ target }) => choose(Number(target.value))}
        >
          {plan.forms.map((form, index) => (
            <option key={index} value={index}>
              {readable(classFormWords(block, form, lookup))}
            </option>
          ))}
          <option value={-1}>Sits this block out</option>
        </select>
        {plan.reasons.map((reason) => (
          <p key={readable(reason)} className="mt-0.5 text-small text-ink-soft">
            {readable(reason)}
          </p>
        ))}
      </div>
    </li>
  );
}
