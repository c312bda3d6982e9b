import {
  type Balance,
  DIGITS,
  type HandAccount,
  HANDS,
  kgMinutes,
  type MuscleGroup,
  outOfBand,
  partsOf,
  type Ratio,
  type SessionAccount,
  type SideGroup,
  SIDES_BAND,
  type TermId,
  TERMS,
} from '@clay-pot/core';
import { inUnit, unitOf } from '../../domain/measuring/units.js';
import { Term } from '../../domain/terms/term.js';
import { HandHeads } from '../../ui/marks.js';

/** What a session comes to, hand by hand and muscle by muscle, and how opposites stand to each other. */
export function AccountsPanel({ account, balance, band }: { account: SessionAccount; balance: Balance; band: number }) {
  return (
    <section aria-label="Totals" className="grid gap-3">
      <HandTable account={account} />
      <DoseTable doses={account.doses} />
      <BalanceBars balance={balance} band={band} />
    </section>
  );
}

/** What is summed of each hand: the number that explains it, or its name where that needs no explaining. */
const SUMS: readonly {
  readonly label: TermId | 'Repetitions' | 'Carry distance';
  readonly unit: string;
  readonly read: (hand: HandAccount) => number;
}[] = [
  { label: 'underLoad', unit: 's', read: ({ underLoadS }) => underLoadS },
  { label: 'impulse', unit: 'kg·min', read: ({ impulseNs }) => inUnit('kg·min', kgMinutes(impulseNs)) },
  { label: 'Repetitions', unit: '', read: ({ repetitions }) => repetitions },
  { label: 'Carry distance', unit: 'm', read: ({ carryM }) => carryM },
];

const isTerm = (label: TermId | 'Repetitions' | 'Carry distance'): label is TermId => label in TERMS;

/** Values of both hands side by side. */
export function HandTable({ account: { hands } }: { account: Pick<SessionAccount, 'hands'> }) {
  return (
    <table className="w-full text-small">
      <thead>
        <tr className="border-b border-ink">
          <th className="pb-0.5 text-left font-semibold">Totals</th>
          <HandHeads />
          <td className="w-8" />
        </tr>
      </thead>
      <tbody>
        {SUMS.map(({ label, unit, read }) => (
          <tr key={label} className="border-b border-line">
            <th scope="row" className="py-0.5 text-left font-normal">
              {isTerm(label) ? <Term term={label}>{TERMS[label].plain}</Term> : label}
            </th>
            {HANDS.map((hand) => (
              <td key={hand} className="py-0.5 text-right figures">
                {Math.round(read(hands[hand])).toLocaleString('en')}
              </td>
            ))}
            <td className="py-0.5 pl-1 text-fine text-ink-soft">{unitOf(unit)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Endurance doses of the muscle groups. */
export function DoseTable({ doses }: { doses: ReadonlyMap<SideGroup, number> }) {
  const groups = [...new Set([...doses.keys()].map((key) => partsOf(key).group))];
  const most = (group: MuscleGroup) => Math.max(...HANDS.map((hand) => doses.get(`${hand} ${group}`) ?? 0));
  const sorted = groups.sort((a, b) => most(b) - most(a));
  if (sorted.length === 0) return null;
  return (
    <table className="w-full text-small">
      <thead>
        <tr className="border-b border-ink">
          <th className="pb-0.5 text-left font-semibold">
            <Term term="enduranceDose">Tiring work</Term>
          </th>
          <HandHeads />
        </tr>
      </thead>
      <tbody>
        {sorted.map((group) => (
          <tr key={group} className="border-b border-line">
            <th scope="row" className="py-0.5 text-left font-normal">
              {group}
            </th>
            {HANDS.map((hand) => (
              <td key={hand} className="py-0.5 text-right figures">
                <Term term="enduranceDose" inTable value={doses.get(`${hand} ${group}`) ?? 0}>
                  {(doses.get(`${hand} ${group}`) ?? 0).toFixed(2)}
                </Term>
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Opposites as a beam: the mark moves toward the side that works more, the band between the ticks. */
export function BalanceBars({ balance: { pairs, sides, digits }, band }: { balance: Balance; band: number }) {
  const worked = DIGITS.some((digit) => digits[digit] > 0);
  return (
    <div>
      <h3 className="border-b border-ink text-small font-semibold">
        <Term term="balance">Balance</Term>
      </h3>
      {[...pairs, sides].map((ratio) => (
        <Beam key={ratio.name} ratio={ratio} band={ratio.name === 'left : right' ? SIDES_BAND : band} />
      ))}
      {worked && (
        <p className="mt-1 text-fine text-ink-soft figures">
          Share of the work: {DIGITS.map((digit) => `${digit} ${Math.round(digits[digit] * 100)} %`).join(', ')}.
        </p>
      )}
    </div>
  );
}

/** The position of a ratio between 1 : 10 and 10 : 1, in percent from the left. */
const place = (ratio: number) => 50 - 50 * Math.max(-1, Math.min(1, Math.log10(ratio)));

function Beam({ ratio, band }: { ratio: Ratio; band: number }) {
  const [first, second] = ratio.name.split(' : ');
  const isOut = outOfBand(ratio, band) !== null;
  return (
    <div className="py-0.5 text-small">
      <div className="flex justify-between">
        <span>{first}</span>
        <span className={`figures ${isOut ? 'font-bold text-amber' : 'text-ink-soft'}`}>{ratioText(ratio)}</span>
        <span>{second}</span>
      </div>
      <div className="relative h-2.5 bg-ground" aria-hidden>
        <div className="absolute inset-y-0 bg-celadon-wash" style={{ left: `${place(band)}%`, right: `${100 - place(1 / band)}%` }} />
        {ratio.ratio !== null && (
          <div
            className={`absolute inset-y-0 w-1.5 -translate-x-1/2 ${isOut ? 'bg-load-4' : 'bg-ink'}`}
            style={{ left: `${place(ratio.ratio)}%` }}
          />
        )}
      </div>
    </div>
  );
}

function ratioText({ ratio }: Ratio): string {
  if (ratio === null) return 'not enough data';
  if (!Number.isFinite(ratio) || ratio === 0) return 'one side only';
  return ratio >= 1 ? `${ratio.toFixed(1)} : 1` : `1 : ${(1 / ratio).toFixed(1)}`;
}
