import { readable } from '../../domain/measuring/units.js';
import type { ProgrammeFinding, Severity } from '@clay-pot/core';
import { choose } from '../../store/calendar.js';
import { changeProgramme } from '../../store/programme.js';
import { Button } from '../../ui/button.js';
import { Empty, Part } from '../../ui/page.js';

const EDGE: Record<Severity, string> = { stop: 'border-iron bg-iron-wash', mend: 'border-iron', look: 'border-amber' };
const WORDS: Record<Severity, string> = { stop: 'Stop', mend: 'Fix', look: 'Check' };

/** What the rules say of the weeks, the gravest first, each with what would mend it. */
export function FindingsList({ findings }: { findings: readonly ProgrammeFinding[] }) {
  return (
    <Part title="Checks" aside={<span className="text-small text-ink-soft figures">{findings.length || ''}</span>}>
      {findings.length === 0 ? (
        <Empty>All good: the rest days are enough, and the weeks grow as the method allows.</Empty>
      ) : (
        <ul className="max-h-96 overflow-y-auto" tabIndex={0} aria-label="Findings">
          {findings.map((finding, index) => {
            const [first] = finding.sessionIds;
            const { fix } = finding;
            return (
              <li
                key={`${finding.rule} ${finding.day} ${index}`}
                className={`border-b border-l-4 border-b-line px-2 py-1.5 text-small ${EDGE[finding.severity]}`}
              >
                <button
                  type="button"
                  className="block w-full text-left hover:underline"
                  onClick={() => choose(first === undefined ? { kind: 'day', day: finding.day } : { kind: 'session', id: first })}
                >
                  <b>
                    Week {finding.week}. {WORDS[finding.severity]}: {finding.title}.
                  </b>{' '}
                  {readable(finding.text)}
                </button>
                {fix && (
                  <Button className="mt-1 px-2! py-0.5! text-small" data-programme-fix onClick={() => changeProgramme(fix.edits)}>
                    {readable(fix.label)}
                  </Button>
                )}
              </li>
            );
          })}
        </ul>
      )}
    </Part>
  );
}
