import { firstName } from '../../ui/format.js';
import type { Athlete, StoredIntake } from '@clay-pot/contracts';
import { checkIntake, forbidsLoading, healthOf, type HealthQuestion, type Intake, screen, screenedOn, withPerson } from '@clay-pot/core';
import { type ComponentType, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useAthlete, useIntakes } from '../../api/queries.js';
import { answer, beginIntake, dropIntake, goToStep, type IntakeDraft, keepIntake, useIntakeDrafts } from '../../store/intake-drafts.js';
import { Button } from '../../ui/button.js';
import { Loading, Trouble, useTitle } from '../../ui/page.js';
import { STEP_PAGE, StepBar } from '../../ui/step-bar.js';
import { isoToday } from '../../ui/today.js';
import { useToast } from '../../ui/toast.js';
import { GoalsStep, PersonStep, TimeStep } from './about-steps.js';
import { HistoryStep, SignsStep } from './health-steps.js';
import { PlacesStep } from './places-step.js';
import type { StepProps } from './step-props.js';
import { TimesStep } from './times-step.js';
import { VerdictStep } from './verdict-step.js';

interface Step {
  readonly name: string;
  readonly asks: string;
  readonly Body: ComponentType<StepProps>;
  /** Fields that are asked here, as the beginnings of their pointers. */
  readonly fields: readonly string[];
  /** What is asked of everybody before loading. */
  readonly question?: HealthQuestion;
}

const STEPS: readonly Step[] = [
  { name: 'Warning signs', asks: 'Do any of these apply?', Body: SignsStep, fields: ['/signs'], question: 'signs' },
  { name: 'Places', asks: 'Where do they feel it now?', Body: PlacesStep, fields: ['/symptoms'], question: 'symptoms' },
  { name: 'When', asks: 'How much, and when?', Body: TimesStep, fields: ['/discomfort', '/path'] },
  { name: 'History', asks: 'Injuries and conditions', Body: HistoryStep, fields: ['/history'], question: 'history' },
  { name: 'Goals', asks: 'What are the goals?', Body: GoalsStep, fields: ['/goals', '/discipline'] },
  { name: 'Profile', asks: 'Who is it?', Body: PersonStep, fields: ['/person', '/handHours', '/trainingYears'] },
  { name: 'Time', asks: 'How much time, and what equipment?', Body: TimeStep, fields: ['/minutes', '/daysPerWeek'] },
];
const LAST = STEPS.length;

/** The questions before training, one after the other; what they lead to at the end. */
export default function CheckInPage() {
  const { id } = useParams();
  const athlete = useAthlete(id);
  const before = useIntakes(id);
  const draft = useIntakeDrafts(({ drafts }) => (id ? drafts[id] : undefined));
  const isKnown = before.data !== undefined || before.isError;
  // Once: recording the answers ends them, and what comes of it must not begin others.
  const begun = useRef(false);
  useEffect(() => {
    if (begun.current || !athlete.data || !isKnown) return;
    begun.current = true;
    beginIntake(athlete.data, before.data?.[0]?.answers ?? null);
  }, [athlete.data, before.data, isKnown]);
  if (athlete.isError && !athlete.data) return <Trouble error={athlete.error} retry={() => void athlete.refetch()} />;
  if (!athlete.data || !draft) return <Loading what="the questions" />;
  return <Asking athlete={athlete.data} draft={draft} newest={before.data?.[0] ?? null} />;
}

function Asking({ athlete, draft, newest }: { athlete: Athlete; draft: IntakeDraft; newest: StoredIntake | null }) {
  useTitle(`Asking ${athlete.name}`);
  const navigate = useNavigate();
  const { answers, step } = draft;
  const today = isoToday();
  const faults = useMemo(() => checkIntake({ ...answers, onDay: today }, today), [answers, today]);
  const [shownFor, setShownFor] = useState<number | null>(null);
  const top = useRef<HTMLHeadingElement>(null);
  const screening = useMemo(() => screened(athlete, answers, draft.id, today), [athlete, answers, draft.id, today]);
  const current = STEPS[step];
  const mine = faults.filter(({ pointer }) => current?.fields.some((field) => pointer.startsWith(field)));
  const show = (to: number) => {
    goToStep(athlete.id, to);
    setShownFor(null);
    top.current?.focus();
    window.scrollTo({ top: 0 });
  };
  function discard() {
    const putBack = dropIntake(athlete.id);
    const goBack = () => {
      putBack();
      void navigate(`/people/${athlete.id}/ask`);
    };
    useToast.getState().show({ text: 'Answers discarded.', action: { label: 'Undo', run: goBack } });
    void navigate(`/people/${athlete.id}`);
  }
  function next() {
    if (mine.length > 0) {
      setShownFor(step);
      return;
    }
    // Going on without an answer says that nothing of it applies; a step that was jumped over was not asked.
    const question = current?.question;
    if (question && answers[question] === undefined) answer(athlete.id, { [question]: [] });
    show(step + 1);
  }
  const faulty = STEPS.findIndex(({ fields }) => faults.some(({ pointer }) => fields.some((field) => pointer.startsWith(field))));
  function keep() {
    keepIntake(athlete, screening, newest);
    const isReferred = screening.cautions.some(forbidsLoading);
    useToast.getState().show({ text: `Check-in for ${firstName(athlete.name)} saved.` });
    void navigate(isReferred ? `/people/${athlete.id}/letter` : `/people/${athlete.id}`, { replace: true });
  }
  return (
    <div className={`${STEP_PAGE} max-w-4xl`}>
      <header className="mb-4">
        <p className="text-small text-ink-soft">Check-in: {athlete.name}</p>
        <h1 ref={top} tabIndex={-1} className="text-head outline-none sm:text-title">
          {current?.asks ?? 'Result'}
        </h1>
        <StepRail step={step} faulty={faulty} go={show} />
      </header>
      <div className="pb-8">
        {current ? (
          <current.Body
            athlete={athlete}
            answers={answers}
            change={(change) => answer(athlete.id, change)}
            faultAt={(pointer) => (shownFor === step ? faults.find((fault) => fault.pointer === pointer)?.message : undefined)}
          />
        ) : (
          <VerdictStep athlete={athlete} answers={answers} screening={screening} />
        )}
      </div>
      <StepBar at={step} go={show} away={{ name: 'Discard', run: discard }}>
        <span className="flex-1 text-center text-small text-ink-soft" role="status">
          {shownFor === step ? 'Some answers need a correction' : 'Saved on this device'}
        </span>
        {current ? (
          <Button kind="primary" className="min-h-11 min-w-28" onClick={next}>
            {nextWords(current.name, answers)}
          </Button>
        ) : (
          <Button kind="primary" className="min-h-11 min-w-28" onClick={() => (faulty >= 0 ? show(faulty) : keep())}>
            {faulty >= 0 ? `Check “${STEPS[faulty]?.name}”` : 'Save'}
          </Button>
        )}
      </StepBar>
    </div>
  );
}

/** With nothing entered the button says what going on means. */
function nextWords(name: string, { signs, symptoms, history }: Intake): string {
  const isEmpty = (list: readonly unknown[] | undefined) => !list || list.length === 0;
  if (name === 'Warning signs' && isEmpty(signs)) return 'None of these';
  if (name === 'Places' && isEmpty(symptoms)) return 'No complaints';
  if (name === 'History' && isEmpty(history)) return 'None of these';
  return 'Next';
}

const screened = (athlete: Athlete, answers: Intake, intakeId: string, today: string) =>
  screen(healthOf(answers), screenedOn(withPerson(athlete, answers), today, intakeId));

/** How far it has come; each step can be gone to. */
function StepRail({ step, faulty, go }: { step: number; faulty: number; go: (step: number) => void }) {
  const names = [...STEPS.map(({ name }) => name), 'Result'];
  return (
    <nav aria-label="Steps" className="mt-3">
      <ol className="grid auto-cols-fr grid-flow-col gap-1">
        {names.map((name, index) => (
          <li key={name}>
            <button
              type="button"
              aria-current={index === step ? 'step' : undefined}
              aria-label={name}
              className="group block w-full pt-1 pb-2 text-left text-fine"
              onClick={() => go(index)}
            >
              <span
                aria-hidden
                className={`block h-1.5 ${index === faulty && index < LAST ? 'bg-iron' : index <= step ? 'bg-ink' : 'bg-line group-hover:bg-ash'}`}
              />
              <span className={`max-sm:sr-only ${index === step ? 'font-bold' : 'text-ink-soft'}`}>{name}</span>
            </button>
          </li>
        ))}
      </ol>
    </nav>
  );
}
