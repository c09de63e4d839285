import { equipmentIdOf, type Entry } from '@winter-jar/core';
import Papa from 'papaparse';

/** The yard's runs as the run log file that docs/formats.md describes. */
export function runLogText(runs: readonly Entry[]): string {
  return Papa.unparse(
    runs.flatMap((entry) => {
      if (entry.kind !== 'run') return [];
      const [pump, ...also] = entry.subjects.filter((s) => s.type === 'pump').map((s) => s.id);
      const { body } = entry;
      return [
        {
          id: entry.id,
          pump,
          runs_with: also.join(' '),
          equipment: equipmentIdOf(entry) ?? '',
          started: entry.happenedAt,
          minutes: body.minutes ?? '',
          cycles: body.cycles ?? '',
          material: body.materialId,
          session: body.session,
          ballast: body.ballast,
          trap_temp_c: body.trapTempC ?? '',
          lowest_pressure_pa: body.lowestPressurePa ?? '',
          vented_before_stop: body.ventedBeforeStop,
          recorded_at: entry.recordedAt,
        },
      ];
    }),
  );
}
