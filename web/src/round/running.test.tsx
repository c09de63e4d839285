import type { RoundRow } from '@winter-jar/contracts';
import { render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import type { Words } from '../words/words.js';
import { rowLine, Running } from './running.js';

const words = { zone: 'Europe/Lisbon', now: '2031-06-03T10:00:00.000Z' } as Words;
const run = { entryId: 'e1', at: '2031-06-03T05:30:00.000Z', equipmentName: 'Chamber A', overlong: false };
const row = (...running: RoundRow['running']) => ({ pumpId: 'p1', running });

test('a run that goes on says since when; one that goes on too long asks', () => {
  const line = (verdict: RoundRow['verdict'], ...running: RoundRow['running']) =>
    rowLine({ ...row(...running), verdict, reasons: [], nextTask: null } as unknown as RoundRow, words);
  expect(line('runOn')).toBe('Nothing logged yet');
  expect(line('runOn', run)).toBe('Running since today 06:30');
  expect(line('runOn', { ...run, overlong: true })).toBe('Running since today 06:30: did it end?');
  // What speaks against the pump is not hidden by its running.
  expect(line('stop', run)).toBe('Nothing logged yet · running');
});

test('each open run has its own way to end it', () => {
  render(
    <MemoryRouter>
      <Running row={row(run, { ...run, entryId: 'e2', equipmentName: 'Line 1', overlong: true })} words={words} />
    </MemoryRouter>,
  );
  const links = screen.getAllByRole('link', { name: 'End the run' });
  expect(links.map((l) => l.getAttribute('href'))).toEqual(['/pumps/p1/run?correct=e1', '/pumps/p1/run?correct=e2']);
  expect(screen.getAllByText(/did it end, and was its end forgotten/)).toHaveLength(1);
});
