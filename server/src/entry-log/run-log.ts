import { effectiveTrapTempC, equipmentIdOf, type HouseSetUp, type RunBody, type Subject } from '@winter-jar/core';
import type { CellReader } from './csv-table.js';
import { NAME_COLUMNS, SHARED_COLUMNS, type EntryLog } from './entry-log.js';

/** Pumps that ran with it, and what it ran on: the pump's own where nothing is said. */
function subjectsOf(cells: CellReader, house: HouseSetUp, pumpId: string | null): Subject[] {
  const also = cells
    .text('runs_with')
    .split(' ')
    .filter(Boolean)
    .map((cell) => cells.known('runs_with', cell, house.pump, 'a pump'))
    .filter((id) => id !== null);
  const named = cells.text('equipment');
  const equipmentId = named
    ? cells.known('equipment', named, house.equipment, 'an equipment')
    : pumpId
      ? (house.pump[pumpId]?.equipmentId ?? null)
      : null;
  return [
    ...also.map((id): Subject => ({ type: 'pump', id })),
    ...(equipmentId ? [{ type: 'equipment', id: equipmentId } as const] : []),
  ];
}

/** Whole minutes, as they are said or as start and end give them. */
function minutesOf(cells: CellReader, started: string | null): number | null {
  const ended = cells.instant('ended');
  const minutes = cells.number('minutes', 'whole minutes, such as 1230');
  if (!started || !ended) return minutes;
  const span = Math.round((Date.parse(ended) - Date.parse(started)) / 60_000);
  if (span <= 0)
    cells.refuse('ended', cells.text('ended'), 'endsBeforeStart', `after the start, ${cells.text('started')}`);
  else if (minutes !== null && minutes !== span) {
    const right = `${span}, as started and ended say, or leave one of them empty`;
    cells.refuse('minutes', minutes, 'contradicts', right);
  }
  return span;
}

/** A profile goes out as the one temperature that lets as much past. */
const effectiveTrapOf = ({ trapProfile }: RunBody): number | undefined =>
  trapProfile?.length ? Math.round(effectiveTrapTempC(trapProfile) * 10) / 10 : undefined;

export const RUN_LOG: EntryLog<'run'> = {
  kind: 'run',
  columns: {
    all: [
      ...SHARED_COLUMNS.first,
      'runs_with',
      'equipment',
      'equipment_name',
      'started',
      'precision',
      'ended',
      'minutes',
      'cycles',
      'material',
      'material_name',
      'session',
      'ballast',
      'load_kg',
      'trap_temp_c',
      'oil_temp_c',
      'defrosted_before',
      'drain_closed',
      'in_line_filter',
      'first_pressure_pa',
      'lowest_pressure_pa',
      'vented_before_stop',
      ...SHARED_COLUMNS.last,
    ],
    required: ['pump', 'started', 'material'],
    freeText: ['remark', 'who', 'pump', 'runs_with', 'equipment', 'material', ...NAME_COLUMNS],
  },
  when: { column: 'started', missing: 'when the run started, such as 2031-03-09T14:05+01:00' },
  columnOf: {
    'body.minutes': 'minutes',
    'body.cycles': 'cycles',
    'body.session': 'session',
    'body.ballast': 'ballast',
    'body.loadKg': 'load_kg',
    'body.trapTempC': 'trap_temp_c',
    'body.oilTempC': 'oil_temp_c',
    'body.defrostedBefore': 'defrosted_before',
    'body.drainClosed': 'drain_closed',
    'body.inLineFilter': 'in_line_filter',
    'body.firstPressurePa': 'first_pressure_pa',
    'body.lowestPressurePa': 'lowest_pressure_pa',
    'body.ventedBeforeStop': 'vented_before_stop',
  },
  tellsApart: ['minutes', 'cycles', 'materialId'],
  readSubjects: subjectsOf,
  readBody(cells, house, started) {
    const named = cells.text('material');
    const materialId = named ? cells.known('material', named, house.material, 'a material') : null;
    const minutes = minutesOf(cells, started);
    const cycles = cells.number('cycles', 'a whole number of cycles');
    const trapTempC = cells.number('trap_temp_c', 'a temperature in °C, such as -41');
    const lowestPressurePa = cells.number('lowest_pressure_pa', 'a pressure in Pa, such as 4.7');
    const loadKg = cells.number('load_kg', 'kilograms, such as 12.5');
    const oilTempC = cells.number('oil_temp_c', 'a temperature in °C, such as 68');
    const firstPressurePa = cells.number('first_pressure_pa', 'a pressure in Pa, such as 300');
    const said = (column: string, field: string) => (cells.text(column) ? { [field]: cells.text(column) } : {});
    return {
      materialId,
      ...(minutes === null ? {} : { minutes }),
      ...(cycles === null ? {} : { cycles }),
      session: cells.text('session') || 'run',
      ballast: cells.text('ballast') || 'unknown',
      ...(trapTempC === null ? {} : { trapTempC }),
      ...(lowestPressurePa === null ? {} : { lowestPressurePa }),
      ...(loadKg === null ? {} : { loadKg }),
      ...(oilTempC === null ? {} : { oilTempC }),
      ...(firstPressurePa === null ? {} : { firstPressurePa }),
      ...said('defrosted_before', 'defrostedBefore'),
      ...said('drain_closed', 'drainClosed'),
      ...said('in_line_filter', 'inLineFilter'),
      ventedBeforeStop: cells.text('vented_before_stop') || 'unknown',
    };
  },
  write({ subjects, body }) {
    const [, ...also] = subjects.filter((s) => s.type === 'pump').map((s) => s.id);
    return {
      runs_with: also.join(' '),
      equipment: equipmentIdOf({ subjects }),
      minutes: body.minutes,
      cycles: body.cycles,
      material: body.materialId,
      session: body.session,
      ballast: body.ballast,
      load_kg: body.loadKg,
      trap_temp_c: body.trapTempC ?? effectiveTrapOf(body),
      oil_temp_c: body.oilTempC,
      defrosted_before: body.defrostedBefore,
      drain_closed: body.drainClosed,
      in_line_filter: body.inLineFilter,
      first_pressure_pa: body.firstPressurePa,
      lowest_pressure_pa: body.lowestPressurePa,
      vented_before_stop: body.ventedBeforeStop,
    };
  },
};
