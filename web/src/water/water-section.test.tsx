import { render, screen } from '@testing-library/react';
import type { PumpPage } from '@winter-jar/contracts';
import { printDuration, printQuantity } from '@winter-jar/core';
import { RunsTable } from './water-section.js';

const print = {
  volume: (value: number) => printQuantity({ value, unit: 'mL' }),
  pressure: (value: number) => printQuantity({ value, unit: 'hPa' }),
  temperature: (value: number) => printQuantity({ value, unit: '°C' }),
  flow: (m3h: number) => `${m3h} m³/h`,
  duration: printDuration,
} as const;

test('a run that the ruler keeps no bar of any more bears its material’s name all the same', () => {
  const house = { material: { 'fd-meat': { name: 'Meat or fish' } } };
  // The ruler of this pump shows nothing at all.
  const page = { setUp: { house }, row: { materialNames: {} } } as unknown as PumpPage;
  const water = { ok: false, why: 'trapTempMissing' } as const;
  const run = { entryId: 'a', at: '2031-03-07T08:00:00.000Z', minutes: 600, materialId: 'fd-meat', water };
  render(
    <RunsTable
      story={{ runs: [run] }}
      page={page}
      words={{ print, zone: 'Europe/Lisbon', now: '2031-03-09T12:00:00.000Z' }}
    />,
  );
  expect(screen.getByText(/Meat or fish/)).toBeTruthy();
});
