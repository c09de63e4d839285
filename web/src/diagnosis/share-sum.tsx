import { number } from '../ui/number.js';
import type { LikelyCause } from '@winter-jar/contracts';
import { causeOf, foundWords, shareWords } from '../words/diagnosis-words.js';

/** A step that moves a share by less stands with the others that do. */
const LEAST_MOVE = 0.005;

const timesWords = (factor: number): string =>
  factor >= 1 ? `× ${number(factor, factor < 10 ? 1 : 0)}` : `÷ ${number(1 / factor, 1 / factor < 10 ? 1 : 0)}`;
const odds = (share: number): number => share / Math.max(1 - share, 1e-9);

/** The sum behind a share: what held before anything was found, and what each finding made of it. */
export function ShareSum({ cause }: { cause: LikelyCause }) {
  const [start, ...found] = cause.steps;
  const rows = found.map((step, i) => ({ ...step, from: cause.steps[i]?.probability ?? 0 }));
  const moving = rows.filter((r) => Math.abs(r.probability - r.from) >= LEAST_MOVE);
  const because = (finding: string | null) => cause.contributions.find((s) => s.finding === finding)?.because ?? null;
  return (
    <div className="mt-3">
      <p className="text-[15px]">{causeOf(cause.id)?.looksLike}</p>
      <table className="mt-2 w-full text-[14px]">
        <caption className="sr-only">The sum behind the share</caption>
        <thead>
          <tr className="border-b border-rule text-left text-ink-2">
            <th className="py-1 font-normal">Known</th>
            <th className="py-1 text-right font-normal">Odds</th>
            <th className="py-1 pl-3 text-right font-normal whitespace-nowrap">Share then</th>
          </tr>
        </thead>
        <tbody>
          <tr className="border-b border-rule-soft">
            <td className="py-1">Before anything was found, in this process</td>
            <td />
            <td className="figure py-1 pl-3 text-right whitespace-nowrap">{shareWords(start?.probability ?? 0)}</td>
          </tr>
          {moving.map((r) => (
            <tr key={r.finding} className="border-b border-rule-soft align-top">
              <td className="py-1">
                {foundWords(r.finding ?? '', r.state ?? '')}
                {because(r.finding) && <span className="text-ink-2">: {because(r.finding)}</span>}
              </td>
              <td className="figure py-1 text-right whitespace-nowrap">
                {timesWords(odds(r.probability) / odds(r.from))}
              </td>
              <td className="figure py-1 pl-3 text-right whitespace-nowrap">{shareWords(r.probability)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-ink-2">
        {rows.length - moving.length > 0 &&
          `${rows.length - moving.length} more moved it by less than half a percent. `}
        A finding without a reason of its own speaks through other causes: what explains it better, or worse.
      </p>
    </div>
  );
}
