import { readable } from '../measuring/units.js';
import {
  type Hand,
  HAND_WORDS,
  HANDS,
  HEALTH_QUESTIONS,
  type HealthQuestion,
  NOT_ASKED,
  type OffTheTable,
  type Screening,
  type Verdict,
  VERDICT_NAMES,
  VERDICT_WORDS,
  capital,
} from '@clay-pot/core';
import { SideMark } from '../../ui/marks.js';

const LOOK: Record<Verdict, string> = {
  go: 'border-celadon bg-celadon-wash',
  adapt: 'border-load-3 bg-amber-wash',
  'refer first': 'border-iron bg-iron-wash',
  'stop now': 'border-iron bg-iron text-white',
};

interface HandVerdictsProps {
  hands: Readonly<Record<Hand, Verdict>>;
  /** What was not asked yet: until it is, nobody is clear to train. */
  unasked: readonly HealthQuestion[];
}

/** What answers lead to, hand by hand, in a word and a sentence. */
export function HandVerdicts({ hands, unasked }: HandVerdictsProps) {
  const shown = hands.left === hands.right ? (['both'] as const) : HANDS;
  return (
    <div className={`grid gap-2 ${shown.length > 1 ? 'sm:grid-cols-2' : ''}`}>
      {shown.map((hand) => {
        const verdict = hands[hand === 'both' ? 'left' : hand];
        const isOpen = verdict === 'go' && unasked.length > 0;
        return (
          <div key={hand} className={`border-l-8 px-3 py-2 ${isOpen ? 'border-ash bg-ground' : LOOK[verdict]}`}>
            <p className="flex items-center gap-2">
              <SideMark side={hand} />
              <b className="display text-head">{isOpen ? NOT_ASKED.name : VERDICT_NAMES[verdict]}</b>
            </p>
            <p>
              <span className="sr-only">{capital(HAND_WORDS[hand])}: </span>
              {isOpen ? NOT_ASKED.words : VERDICT_WORDS[verdict]}
              {isOpen && unasked.length < ALL_QUESTIONS && ` Still to ask: ${unasked.map((each) => HEALTH_QUESTIONS[each]).join(', ')}.`}
            </p>
          </div>
        );
      })}
    </div>
  );
}

const ALL_QUESTIONS = Object.keys(HEALTH_QUESTIONS).length;

/** Each answer that weighs and what it asks for, the gravest first. */
export function ScreenReasons({ reasons }: Pick<Screening, 'reasons'>) {
  if (!reasons.length) return null;
  return (
    <ul aria-label="Why" className="border-t border-line">
      {reasons.map(({ verdict, hand, answer, from, said, text }) => (
        <li
          key={`${from} ${answer} ${hand} ${readable(text)}`}
          className="grid grid-cols-[2.5rem_minmax(0,1fr)] border-b border-line py-1.5"
        >
          <span className="pt-0.5">
            <SideMark side={hand} />
          </span>
          <span>
            <b className={verdict === 'adapt' ? '' : 'text-iron'}>{said}</b>
            <span className="block text-small">
              {verdict !== 'adapt' && <b>{VERDICT_NAMES[verdict]}. </b>}
              {readable(text)}
            </span>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What is off or capped, in a line each. */
export function OffList({ off }: { off: readonly OffTheTable[] }) {
  const limited = off.filter(({ allows }) => allows !== 'with care');
  if (!limited.length) return null;
  return (
    <table className="w-full text-small">
      <caption className="mb-1 text-left text-ink-soft">Restrictions for everything planned or led</caption>
      <tbody>
        {limited.map(({ hand, because, allows, text }) => (
          <tr key={`${because} ${readable(text)}`} className="border-t border-line align-top">
            <td className="w-10 py-1.5">
              <SideMark side={hand} />
            </td>
            <td className="py-1.5 pr-3">{because}</td>
            <td className={`py-1.5 font-semibold ${allows === 'with limits' ? '' : 'text-iron'}`}>{readable(text)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
