import type { RunRuler as Ruler } from '@winter-jar/core';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Chips } from './chips.js';
import { ColourScale } from './colour-scale.js';
import { Jar } from './jar.js';
import { D1500_STEPS, oilColourWord, oilTint } from './oil-colour.js';
import { RunRuler } from './run-ruler.js';
import { Verdict } from './verdict.js';

const bar = (n: number, more: Partial<Ruler['bars'][number]> = {}): Ruler['bars'][number] => ({
  entryId: `run-${n}`,
  at: '2031-03-07T08:00:00.000Z',
  load: 'wet',
  materialId: 'm',
  carriedOver: false,
  bled: false,
  looked: false,
  minutes: 600,
  weight: 1,
  ...more,
});
const ruler: Ruler = {
  collapsed: { runs: 78, weight: 81 },
  bars: [bar(1, { looked: true }), bar(2, { load: 'fumes', bled: true }), bar(3, { carriedOver: true })],
  expected: [{ weight: 1, inDays: 3 }],
  flag: { atWeight: 83, measure: 'hours', limit: 750, reached: true },
  usedWeight: 84,
};

describe('the jar', () => {
  test('is named for a screen reader and draws a layer for each that is there', () => {
    const { container } = render(
      <Jar
        width={100}
        label="free water 31 mL, hazy oil 292 mL"
        layers={[
          { kind: 'water', ml: 31, tint: 'var(--water-fill)' },
          { kind: 'cream', ml: 0, tint: '#eee' },
          { kind: 'hazy', ml: 292, tint: '#dc8' },
        ]}
      />,
    );
    expect(screen.getByRole('img', { name: 'free water 31 mL, hazy oil 292 mL' })).not.toBeNull();
    expect(container.querySelectorAll('line')).toHaveLength(2);
    expect(container.querySelectorAll('rect[fill="url(#haze)"]')).toHaveLength(1);
  });
});

describe('the run ruler', () => {
  test('draws bars with their hatches, the collapsed piece, dashes, the flag with its unit, and the marks', () => {
    const { container } = render(
      <RunRuler ruler={ruler} width={600} label="K: 81 runs" wordsOf={(b) => b.entryId} flagText="750 h" />,
    );
    expect(screen.getByRole('img', { name: 'K: 81 runs' })).not.toBeNull();
    expect(container.querySelectorAll('rect[fill="url(#load-wet)"]')).toHaveLength(2);
    expect(container.querySelectorAll('rect[fill="url(#load-fumes)"]')).toHaveLength(1);
    expect(screen.getByText('+78 runs')).not.toBeNull();
    expect(screen.getByText('750 h')).not.toBeNull();
    expect(container.querySelectorAll('rect[stroke-dasharray]')).toHaveLength(1);
    expect(container.querySelectorAll('circle')).toHaveLength(1);
    expect(container.querySelectorAll('path[fill="var(--water)"]')).toHaveLength(1);
    expect(container.querySelectorAll('path[stroke="var(--stop)"]')).toHaveLength(1);
    expect([...container.querySelectorAll('title')].map((t) => t.textContent)).toEqual(['run-1', 'run-2', 'run-3']);
  });

  test('large, each run is a button that can be chosen by pointer or focus', async () => {
    const chosen: string[] = [];
    render(
      <RunRuler
        ruler={ruler}
        width={600}
        label="K"
        wordsOf={(b) => `Run ${b.entryId}`}
        large
        selectedId="run-2"
        onSelect={(id) => chosen.push(id)}
      />,
    );
    expect(screen.getByRole('group', { name: 'K' })).not.toBeNull();
    expect(screen.getByRole('button', { name: 'Run run-2' }).getAttribute('aria-pressed')).toBe('true');
    await userEvent.tab();
    await userEvent.click(screen.getByRole('button', { name: 'Run run-3' }));
    expect(chosen[0]).toBe('run-1');
    expect(chosen.at(-1)).toBe('run-3');
  });
});

test.each([
  ['runOn', 'circle'],
  ['lookSooner', 'path[fill="none"]'],
  ['beforeNextRun', 'path[fill="currentColor"]'],
  ['stop', 'path[fill="currentColor"]'],
] as const)('%s has a shape beside its word', (level, shape) => {
  const { container } = render(<Verdict level={level} words="Some words" />);
  expect(container.querySelectorAll(shape)).toHaveLength(1);
  expect(screen.getByText('Some words')).not.toBeNull();
});

describe('chips', () => {
  function Ballast() {
    const [value, setValue] = useState<'open' | 'closed' | null>(null);
    return (
      <Chips
        label="Gas ballast"
        chips={[
          { value: 'open', words: 'open' },
          { value: 'closed', words: 'closed' },
        ]}
        value={value}
        onChange={setValue}
        error={value ? undefined : 'Choose one.'}
      />
    );
  }

  test('one of a few by a tap; the chosen one carries a tick and cannot be taken away', async () => {
    render(<Ballast />);
    expect(screen.getByRole('alert').textContent).toBe('Choose one.');
    const closed = screen.getByRole('radio', { name: 'closed' });
    await userEvent.click(closed);
    expect(closed.getAttribute('aria-checked')).toBe('true');
    expect(closed.querySelector('svg')).not.toBeNull();
    expect(screen.queryByRole('alert')).toBeNull();
    await userEvent.click(closed);
    expect(closed.getAttribute('aria-checked')).toBe('true');
  });
});

describe('the colour scale', () => {
  test('has all sixteen half steps, numbered and named, and says that it is a memory aid', async () => {
    const chosen: number[] = [];
    render(<ColourScale value={3} last={7.5} onChange={(c) => chosen.push(c)} />);
    expect(screen.getAllByRole('radio').map((r) => r.getAttribute('aria-label'))).toHaveLength(16);
    expect(screen.getByRole('radio', { name: '3, honey' }).getAttribute('aria-checked')).toBe('true');
    expect(screen.getByText(/screens are not calibrated/)).not.toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /^darker/ }));
    await userEvent.click(screen.getByRole('button', { name: /^lighter/ }));
    await userEvent.click(screen.getByRole('button', { name: /^same/ }));
    await userEvent.click(screen.getByRole('radio', { name: '0.5, straw' }));
    expect(chosen).toEqual([8, 7, 7.5, 0.5]);
  });

  test('every step is darker than the one before', () => {
    const brightness = (hex: string) => [1, 3, 5].reduce((sum, i) => sum + parseInt(hex.slice(i, i + 2), 16), 0);
    const values = D1500_STEPS.map((s) => brightness(oilTint(s)));
    expect(values).toEqual([...values].sort((a, b) => b - a));
    expect(oilColourWord(8)).toBe('black');
    expect(oilTint(null)).toMatch(/^#/);
  });
});
