import { readable } from '../../domain/measuring/units.js';
import type { ProgrammeView } from '@clay-pot/core';
import { tryOut, type WhatIf } from '../../store/calendar.js';
import { changeProgramme } from '../../store/programme.js';
import { Button } from '../../ui/button.js';

interface Props {
  whatIf: WhatIf;
  /** As it is, and as it would be. */
  before: ProgrammeView;
  after: ProgrammeView;
}

type Finding = ProgrammeView['findings'][number];
const keyOf = ({ rule, text }: Finding) => `${rule} ${readable(text)}`;
const findingKeys = ({ findings }: ProgrammeView) => new Set(findings.map(keyOf));

/** What is tried: what the rules would say that they do not say now, and what no longer. */
export function WhatIfBar({ whatIf, before, after }: Props) {
  const [was, is] = [findingKeys(before), findingKeys(after)];
  const come = after.findings.filter((finding) => !was.has(keyOf(finding)));
  const gone = before.findings.filter((finding) => !is.has(keyOf(finding)));
  return (
    <div role="status" className="mb-4 border-l-4 border-cobalt bg-cobalt-wash px-3 py-2">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <p>
          <b>What if {whatIf.words}?</b> {come.length + gone.length === 0 ? 'The checks find the same as now.' : ''}
        </p>
        <span className="flex gap-2">
          <Button
            kind="primary"
            onClick={() => {
              tryOut(null);
              changeProgramme(whatIf.edits);
            }}
          >
            Apply
          </Button>
          <Button onClick={() => tryOut(null)}>Back to the plan</Button>
        </span>
      </div>
      <ul className="mt-1 text-small">
        {come.map(({ rule, day, week, text }) => (
          <li key={`${rule} ${day} ${readable(text)}`}>
            + Week {week}: {readable(text)}
          </li>
        ))}
        {gone.map(({ rule, day, week, text }) => (
          <li key={`${rule} ${day} ${readable(text)}`} className="text-ink-soft">
            − Week {week}: {readable(text)}
          </li>
        ))}
      </ul>
    </div>
  );
}
