import type { VerdictLevel } from '@winter-jar/core';

const COLOURS: Readonly<Record<VerdictLevel, string>> = {
  runOn: 'text-run-on',
  lookSooner: 'text-look-sooner',
  beforeNextRun: 'text-before-next-run',
  stop: 'text-stop',
};

/** Ring, diamond, triangle, octagon: shape and colour always come with the word. */
export function VerdictShape({ level, size = 16 }: { level: VerdictLevel; size?: number }) {
  const shapes: Readonly<Record<VerdictLevel, React.ReactNode>> = {
    runOn: <circle cx="8" cy="8" r="5.5" fill="none" stroke="currentColor" strokeWidth="2.5" />,
    lookSooner: <path d="M8 1.5 14.5 8 8 14.5 1.5 8Z" fill="none" stroke="currentColor" strokeWidth="2" />,
    beforeNextRun: <path d="M8 1.5 15.5 14.5H.5Z" fill="currentColor" />,
    stop: <path d="M5 .8h6L15.2 5v6L11 15.2H5L.8 11V5Z" fill="currentColor" />,
  };
  return (
    <svg width={size} height={size} viewBox="0 0 16 16" className={`shrink-0 ${COLOURS[level]}`} aria-hidden="true">
      {shapes[level]}
    </svg>
  );
}

export function Verdict({
  level,
  words,
  size = 'small',
}: {
  level: VerdictLevel;
  words: string;
  size?: 'small' | 'large';
}) {
  return (
    <span
      className={`inline-flex items-center gap-2 font-semibold ${COLOURS[level]} ${size === 'large' ? 'font-head text-[22px] leading-7' : ''}`}
    >
      <VerdictShape level={level} size={size === 'large' ? 20 : 16} />
      <span>{words}</span>
    </span>
  );
}
