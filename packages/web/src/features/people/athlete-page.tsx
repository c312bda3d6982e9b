import { firstName } from '../../ui/format.js';
import { type Athlete } from '@clay-pot/contracts';
import { useEffect, useRef } from 'react';
import { NavLink, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { useAthlete } from '../../api/queries.js';
import { useAssignSequence } from '../../domain/sequence/assign-sequence.js';
import { useNewSequence } from '../../domain/sequence/new-sequence.js';
import { MoreMenu } from '../../ui/more-menu.js';
import { Loading, Page, Trouble } from '../../ui/page.js';
import { NextStepButton } from './next-step-button.js';

/** The sections of a person's page, each with its address. */
const SECTIONS = [
  { path: '', name: 'Overview' },
  { path: 'screening', name: 'Check-in' },
  { path: 'range', name: 'Range and strength' },
  { path: 'levels', name: 'Levels' },
  { path: 'plan', name: 'Plan' },
  { path: 'history', name: 'History' },
] as const;

/** One person: the way on, and the sections below it. */
export default function AthletePage() {
  const { id } = useParams();
  const athlete = useAthlete(id);
  const newSequence = useNewSequence();
  const give = useAssignSequence();
  const navigate = useNavigate();
  /** A sequence made from here belongs to this person: it is assigned before it opens. */
  async function designFor(person: Athlete) {
    const sequenceId = await newSequence(`For ${firstName(person.name)}`);
    await give(person.id, sequenceId);
    await navigate(`/sequences/${sequenceId}?athlete=${person.id}`);
  }
  if (athlete.isPending) return <Loading what="the person" />;
  if (!athlete.data) return <Trouble error={athlete.error} retry={() => void athlete.refetch()} />;
  const person = athlete.data;
  const at = `/people/${person.id}`;
  return (
    <Page
      title={person.name}
      lead={person.practice}
      actions={
        <>
          <NextStepButton person={person} />
          <MoreMenu
            items={[
              { name: 'Start check-in', to: `${at}/check-in` },
              { name: 'Test', to: `${at}/measure` },
              { name: 'Target practice', to: `${at}/band` },
              { name: 'Generate sequence', to: `/compose?athlete=${person.id}` },
              { name: 'New sequence', run: () => void designFor(person) },
              { name: 'New programme', to: `/programmes/new?athlete=${person.id}` },
              { name: 'Week', to: `${at}/week` },
              { name: 'Last six weeks', to: `${at}/changes` },
              { name: 'Edit profile', to: `${at}/edit` },
            ]}
          />
        </>
      }
    >
      <Sections at={at} />
      <Outlet context={person} />
    </Page>
  );
}

/** The sections as tabs; on a narrow screen the open one is scrolled into sight. */
function Sections({ at }: { at: string }) {
  const row = useRef<HTMLElement>(null);
  const { pathname } = useLocation();
  useEffect(() => {
    // In braces: newer browsers give a promise back, which React would call as a clean-up.
    row.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [pathname]);
  return (
    <nav ref={row} aria-label="Sections" className="-mt-2 mb-5 overflow-x-auto border-b-2 border-ink">
      <ul className="flex">
        {SECTIONS.map(({ path, name }) => (
          <li key={path} className="shrink-0">
            <NavLink
              end
              to={path === '' ? at : `${at}/${path}`}
              className={({ isActive }) =>
                `block px-3 py-2 ${isActive ? 'bg-ink font-bold text-white' : 'text-ink-soft hover:bg-ground hover:text-ink'}`
              }
            >
              {name}
            </NavLink>
          </li>
        ))}
      </ul>
    </nav>
  );
}
