import type { OilAccount } from '@winter-jar/core';
import type { Print } from '../device/use-print.js';

const TOP = 12;
const BAND = 132;
const LEFT = 92;
const BAR = 18;
const GAP = 10;
/** Room for the words on the right. */
const LABELS = 236;
const LEAST_PX = 3;

interface Branch {
  readonly words: string;
  readonly uL: number;
  readonly fill: string;
}

/** Where what went into the pumps is now, each as thick as its share. */
export function branchesOf(account: OilAccount): Branch[] {
  const into = account.newUL + account.usedUL;
  const out = account.keptUL + account.wastedUL + account.unsaidUL + account.exhaustUL;
  return [
    { words: 'still in the pumps', uL: Math.max(0, into - out), fill: 'var(--oil)' },
    { words: 'drained and kept', uL: account.keptUL, fill: 'var(--oil)' },
    { words: 'drained to waste', uL: account.wastedUL, fill: 'var(--solids)' },
    { words: 'drained, not said where to', uL: account.unsaidUL, fill: 'var(--edge)' },
    { words: 'gone with the exhaust', uL: account.exhaustUL, fill: 'var(--edge)' },
  ].filter(({ uL }) => uL >= 1000);
}

/** A drawing of it: new oil and oil that came back on the left, what became of both on the right. */
export function LitreFlow({ account, print, width }: { account: OilAccount; print: Print; width: number }) {
  const right = Math.max(LEFT + 60, width - LABELS);
  // On a phone each says its volume and its words in two lines.
  const narrow = width - right < LABELS;
  const into = account.newUL + account.usedUL;
  const branches = branchesOf(account);
  const out = branches.reduce((sum, b) => sum + b.uL, 0);
  if (into <= 0 || out <= 0) return null;
  const px = (uL: number) => Math.max(LEAST_PX, (uL / Math.max(into, out)) * BAND);
  let y = TOP;
  let source = TOP;
  const drawn = branches.map((branch) => {
    const high = px(branch.uL);
    const at = { ...branch, high, from: source, to: y };
    y += Math.max(high, narrow ? 34 : 20) + GAP;
    source += high;
    return at;
  });
  const newHigh = px(account.newUL);
  const usedHigh = account.usedUL > 0 ? px(account.usedUL) : 0;
  const height = Math.max(y, TOP + newHigh + usedHigh) + (usedHigh > 0 ? usedHigh + 30 : 8);
  const kept = drawn.find((b) => b.words === 'drained and kept');
  const volume = (uL: number) => print.volume(uL / 1000);
  const words = [
    `${volume(account.newUL)} new`,
    ...(account.usedUL > 0 ? [`${volume(account.usedUL)} used before`] : []),
    ...branches.map((b) => `${volume(b.uL)} ${b.words}`),
  ];
  const middle = (LEFT + BAR + right) / 2;
  return (
    <svg width={width} height={height} role="img" aria-label={`Into the pumps: ${words.join(', ')}`}>
      <rect x={LEFT} y={TOP} width={BAR} height={newHigh} fill="var(--oil)" opacity={0.55} stroke="var(--ink)" />
      <text x={LEFT - 8} y={TOP + newHigh / 2 + 5} textAnchor="end" fontSize={14} fill="var(--ink)">
        new
      </text>
      {usedHigh > 0 && (
        <>
          <rect x={LEFT} y={TOP + newHigh} width={BAR} height={usedHigh} fill="var(--oil)" stroke="var(--ink)" />
          <text x={LEFT - 8} y={TOP + newHigh + usedHigh / 2 + 5} textAnchor="end" fontSize={14} fill="var(--ink)">
            back again
          </text>
        </>
      )}
      {drawn.map((b) => (
        <g key={b.words}>
          <path
            d={`M${LEFT + BAR} ${b.from}C${middle} ${b.from} ${middle} ${b.to} ${right} ${b.to}V${b.to + b.high}C${middle} ${b.to + b.high} ${middle} ${b.from + b.high} ${LEFT + BAR} ${b.from + b.high}Z`}
            fill={b.fill}
            opacity={0.45}
          />
          <rect x={right} y={b.to} width={4} height={b.high} fill="var(--ink)" />
          <text x={right + 12} y={b.to + Math.max(b.high / 2 + (narrow ? -4 : 5), 12)} fontSize={14} fill="var(--ink)">
            {volume(b.uL)} <tspan {...(narrow ? { x: right + 12, dy: 18 } : {})}>{b.words}</tspan>
          </text>
        </g>
      ))}
      {usedHigh > 0 && kept && (
        <path
          d={`M${right - 40} ${kept.to + kept.high}C${right} ${height - usedHigh / 2 - 4} ${middle} ${height - usedHigh / 2 - 4} ${LEFT + 90} ${height - usedHigh / 2 - 4}C${LEFT - 20} ${height - usedHigh / 2 - 4} ${LEFT + 2} ${TOP + newHigh + usedHigh + 24} ${LEFT + BAR / 2} ${TOP + newHigh + usedHigh}`}
          fill="none"
          stroke="var(--oil)"
          strokeWidth={Math.min(usedHigh, 22)}
          opacity={0.4}
        />
      )}
    </svg>
  );
}
