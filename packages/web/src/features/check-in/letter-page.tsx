import { readable } from '../../domain/measuring/units.js';
import { forbidsLoading, referralLetter } from '@clay-pot/core';
import { useParams } from 'react-router';
import { useAthlete, useIntakes, useMe, useReadings } from '../../api/queries.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Loading, Trouble, useTitle } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';

/** A letter to whoever is to look at the hands, to print. */
export default function LetterPage() {
  const { id } = useParams();
  const athlete = useAthlete(id);
  const intakes = useIntakes(id);
  const readings = useReadings(id);
  const me = useMe();
  const cautions = useStandingCautions(athlete.data);
  useTitle(athlete.data ? `Letter about ${athlete.data.name}` : 'Letter');
  if (athlete.isError && !athlete.data) return <Trouble error={athlete.error} retry={() => void athlete.refetch()} />;
  if (!athlete.data || !me.data) return <Loading what="the letter" />;
  const letter = referralLetter({
    athlete: athlete.data,
    cautions,
    intake: intakes.data?.[0]?.answers ?? null,
    readings: readings.data ?? [],
    coach: me.data.name,
    studio: me.data.studio.name,
    today: isoToday(),
  });
  return (
    <div className="mx-auto max-w-3xl px-4 py-6 print:p-0">
      <div className="mb-4 flex flex-wrap items-center gap-2 print:hidden">
        <Button kind="primary" onClick={() => window.print()}>
          Print
        </Button>
        <ButtonLink to={`/people/${id}`}>Back to the athlete</ButtonLink>
        <p className="text-small text-ink-soft">
          {cautions.some(forbidsLoading)
            ? 'Record their answer on the athlete’s page: who cleared it, when, and any limits.'
            : 'No restriction rules out loading at the moment.'}
        </p>
      </div>
      <article className="border border-line bg-white px-6 py-8 sm:px-12 print:border-0 print:p-0">
        <h1 className="text-head">{letter.title}</h1>
        <p className="mt-3">{letter.opening}</p>
        {letter.parts.map(({ heading, lines }) => (
          <section key={readable(heading)} className="mt-5 break-inside-avoid">
            <h2 className="border-b border-ink text-lead">{readable(heading)}</h2>
            <ul className="mt-1">
              {lines.map((line) => (
                <li key={readable(line)} className="py-0.5">
                  {readable(line)}
                </li>
              ))}
            </ul>
          </section>
        ))}
        <section className="mt-6 break-inside-avoid border-2 border-ink p-4">
          <h2 className="text-lead">What I’d like to know</h2>
          <ul>
            {letter.asks.map((line) => (
              <li key={line} className="border-b border-line pt-4 pb-1">
                {line}
              </li>
            ))}
          </ul>
        </section>
        <p className="mt-5 text-small">{readable(letter.closing)}</p>
      </article>
    </div>
  );
}
