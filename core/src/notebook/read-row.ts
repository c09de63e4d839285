import type { Pump, PumpModel } from '../set-up/index.js';
import { readClock, readSpan } from './days-typed.js';
import type { NotebookField } from './fields.js';
import { foldText } from './fold-text.js';
import type { Notebook, NotebookAnswers, UnplacedRow } from './notebook.js';
import { instantOf, nextDay } from './place-rows.js';
import { RowEnds, type RowCells } from './row-cells.js';
import { ballastNamed, clarityNamed, kindNamed, levelNamed, tellsOfAChange, type NotebookKind } from './words-typed.js';

const MINUTE_MS = 60_000;
const DAY_MINUTES = 1440;
/** Rows that show how a template is filled. */
const EXAMPLE = /^example\b/i;

/** When a row happened, as far as it says. */
interface Told {
  readonly zone: string;
  readonly day: string;
  /** Minutes after midnight. */
  readonly from: number | null;
  readonly to: number | null;
}

/** What one row makes: one entry, or a run and the change of oil that its remark tells of. */
export function readRow(cells: RowCells, notebook: Notebook): Omit<UnplacedRow, 'line'>[] {
  const { answers, house } = notebook;
  if (cells.remarks().some((remark) => EXAMPLE.test(remark))) throw new RowEnds('leftOut');
  if (cells.text('pump') === '') cells.fail('pump', 'noPump');
  const pumpId = cells.named('pump', 'pump') ?? '';
  const pump = house.pump[pumpId];
  if (!pump) throw new RowEnds('leftOut');
  const told = toldBy(cells, house.site[pump.siteId]?.zone ?? 'UTC');
  const kind = kindOf(cells, told, answers);
  const { zone, day, from } = told;
  const entry = { pumpId, zone, day, from, minutes: null, who: cells.who() };
  const remark = () => [...cells.remarks(), ...cells.odd()].join('; ');
  const oil = (column: 'in_ml' | 'added_ml') => oilCells(cells, pump, house.pumpModel[pump.modelId], column);

  switch (kind) {
    case 'run': {
      const isFollowed = changeFollows(cells, answers);
      const body = runCells(cells, isFollowed, answers);
      const equipmentId = body.equipment ?? pump.equipmentId;
      const minutes = lengthOf(cells, told, answers) ?? lengthOfCycles(cells, body.cycles, equipmentId, notebook);
      const change = isFollowed ? oil('in_ml') : null;
      const read = meterCells(cells);
      return [
        { ...entry, kind, minutes, cells: body, remark: remark() },
        ...(read ? [{ ...entry, kind: 'meter' as const, cells: read, remark: '', afterThat: true }] : []),
        ...(change ? [{ ...entry, kind: 'change' as const, cells: change, remark: '', afterThat: true }] : []),
      ];
    }
    case 'change':
    case 'topUp': {
      if (kindNamed(cells.text('material')) === null) cells.keep('material');
      const body = oil(kind === 'change' ? 'in_ml' : 'added_ml');
      return [{ ...entry, kind, cells: body, remark: remark() }];
    }
    case 'look': {
      const body = lookCells(cells);
      return [{ ...entry, kind, cells: body, remark: remark() }];
    }
    case 'meter': {
      const read = meterCells(cells);
      return [{ ...entry, kind, cells: read ?? cells.fail('meter', 'notANumber'), remark: remark() }];
    }
    case 'note':
      return [{ ...entry, kind, cells: {}, remark: remark() || cells.text('what') || cells.text('material') }];
  }
}

function toldBy(cells: RowCells, zone: string): Told {
  if (cells.text('date') === '') cells.fail('date', 'noDay');
  const { day, rest } = cells.day('date') ?? cells.fail('date', 'notADay');
  const typed = rest || cells.text('time');
  if (typed === '') return { zone, day, from: null, to: null };
  const [from, to] = readSpan(typed) ?? cells.fail(rest ? 'date' : 'time', 'notATime');
  return { zone, day, from, to };
}

const SAYS_A_LENGTH: readonly NotebookField[] = ['length', 'cycles', 'end'];

/** What is written of runs only. */
const SAYS_A_RUN: readonly NotebookField[] = ['material', 'time', 'ballast', 'loadKg', 'trapTempC', 'pressurePa'];

/** Said by its own column, by the words where the goods or the length would stand, or by what else the row has. */
function kindOf(cells: RowCells, told: Told, answers: NotebookAnswers): NotebookKind {
  const what = cells.text('what');
  if (what !== '') {
    const answer = kindNamed(what) ?? answers.kinds[foldText(what)];
    if (answer === null) throw new RowEnds('leftOut');
    return answer ?? cells.gathered.askFirst(`kind ${foldText(what)}`, { about: 'kind', text: what, rows: 1 });
  }
  const isGoods = cells.isNamed('material', 'material');
  const insteadOf = [isGoods ? '' : cells.text('material'), cells.text('length')].map(kindNamed);
  const other = insteadOf.find((kind) => kind !== null && kind !== 'run');
  if (other) return other;
  if (told.to !== null || SAYS_A_LENGTH.some((field) => cells.text(field) !== '')) return 'run';
  if (cells.remarks().some(tellsOfAChange)) return 'change';
  if (cells.text('inMl') !== '') return cells.text('outMl') === '' ? 'topUp' : 'change';
  if (SAYS_A_RUN.some((field) => cells.text(field) !== '')) return 'run';
  if (cells.text('clarity') !== '' || cells.text('level') !== '') return 'look';
  if (cells.text('meter') !== '') return 'meter';
  return cells.remarks().length > 0 ? 'note' : 'run';
}

/** Minutes; null where cycles say it. */
function lengthOf(cells: RowCells, told: Told, answers: NotebookAnswers): number | null {
  const said = cells.quantity('length', 'notALength');
  const end = endOf(cells, told);
  const started = told.from === null ? null : instantOf(told.day, told.from, told.zone) / MINUTE_MS;
  const between = started === null || end === null ? null : end - started;
  if (said !== null && between !== null) {
    // An end without its day may lie days later: what it says of the hour must agree.
    const off = Math.abs(said - between) % DAY_MINUTES;
    if (Math.min(off, DAY_MINUTES - off) > 1) cells.fail('length', 'contradicts');
  }
  const minutes = said ?? between;
  if (minutes !== null) return Math.max(1, Math.round(minutes));
  if (cells.text('cycles') !== '') return null;
  if (answers.minutesWhereNone !== null) return answers.minutesWhereNone;
  cells.gathered.ask('noLength', { about: 'noLength', rows: 1 });
  return cells.fail('length', 'noLength');
}

/** Null where the equipment's record says how long a cycle takes: the server reckons with that. */
function lengthOfCycles(
  { gathered }: RowCells,
  cycles: string | undefined,
  equipmentId: string,
  { house, answers }: Notebook,
): number | null {
  const equipment = house.equipment[equipmentId];
  if (!cycles || !equipment || equipment.cycleTimeS) return null;
  const seconds = answers.cycleSeconds[equipmentId];
  const { name } = equipment;
  return seconds === undefined
    ? gathered.askFirst(`cycleTime ${equipmentId}`, { about: 'cycleTime', rows: 1, equipmentId, name })
    : Math.max(1, Math.round((Number(cycles) * seconds) / 60));
}

/** In minutes since 1970: on a day that is said, else the next time that the clock shows it. */
function endOf(cells: RowCells, { zone, day, from, to }: Told): number | null {
  const clock = to ?? readClock(cells.text('end'));
  if (clock !== null) return instantOf(from !== null && clock <= from ? nextDay(day) : day, clock, zone) / MINUTE_MS;
  if (cells.text('end') === '') return null;
  const ended = cells.day('end') ?? cells.fail('end', 'notATime');
  const minutes = instantOf(ended.day, readClock(ended.rest) ?? cells.fail('end', 'notATime'), zone) / MINUTE_MS;
  const isBefore = from !== null && minutes <= instantOf(day, from, zone) / MINUTE_MS;
  return isBefore ? cells.fail('end', 'contradicts') : minutes;
}

/** Whether a change of oil follows a run because its remark tells of one: asked, since it may only mean that one is due. */
function changeFollows(cells: RowCells, { changesInRemarks }: NotebookAnswers): boolean {
  const telling = cells.remarks().find(tellsOfAChange);
  if (telling === undefined) return false;
  const question = { about: 'changesInRemarks', text: telling, rows: 1 } as const;
  return changesInRemarks ?? cells.gathered.askFirst('changesInRemarks', question);
}

const numberCell = (column: string, value: number | null): Record<string, string> =>
  value === null ? {} : { [column]: String(value) };
const wordCell = (column: string, value: string | null): Record<string, string> => (value ? { [column]: value } : {});

const LEFT_OF_A_RUN: readonly NotebookField[] = ['level', 'clarity'];
const LEFT_OF_A_RUN_ALONE: readonly NotebookField[] = [...LEFT_OF_A_RUN, 'oil', 'inMl', 'outMl'];

/** No cold trap is as warm as this: the minus was left out, as people do, or it is no trap's temperature. */
const WARM_TRAP_C = 10;

function trapOf(cells: RowCells, { trapsBelowZero }: NotebookAnswers): number | null {
  const tempC = cells.quantity('trapTempC');
  if (tempC === null || tempC <= WARM_TRAP_C) return tempC;
  const question = { about: 'trapSign', rows: 1, text: cells.text('trapTempC') } as const;
  return (trapsBelowZero ?? cells.gathered.askFirst('trapSign', question)) ? -tempC : tempC;
}

function runCells(cells: RowCells, isFollowed: boolean, answers: NotebookAnswers): Record<string, string> {
  const saysRunOnly = kindNamed(cells.text('material')) === 'run' && !cells.isNamed('material', 'material');
  if (saysRunOnly) cells.keep('material');
  const saysGoods = cells.text('material') !== '' && !saysRunOnly;
  const materialId = saysGoods ? cells.named('material', 'material') : null;
  if (materialId === null) cells.gathered.assume('materialNotSaid');
  const equipmentId = cells.text('equipment') === '' ? null : cells.named('equipment', 'equipment');
  const ballast = ballastNamed(cells.text('ballast'));
  if (ballast === null) cells.keep('ballast');
  const cycles = cells.text('cycles').replace(/[\s,.'’](?=\d{3}\b)/g, '');
  if (!/^\d*$/.test(cycles)) cells.fail('cycles', 'notANumber');
  for (const field of isFollowed ? LEFT_OF_A_RUN : LEFT_OF_A_RUN_ALONE) cells.keep(field);
  return {
    ...wordCell('material', materialId),
    ...wordCell('equipment', equipmentId),
    ...wordCell('cycles', cycles),
    ...wordCell('ballast', ballast),
    ...numberCell('load_kg', cells.quantity('loadKg')),
    ...numberCell('trap_temp_c', trapOf(cells, answers)),
    ...numberCell('lowest_pressure_pa', cells.quantity('pressurePa')),
    ...numberCell('oil_temp_c', cells.quantity('oilTempC')),
  };
}

/** Which oil and how much: the pump's own, and for a change its charge, where nobody wrote it. */
function oilCells(
  cells: RowCells,
  pump: Pump,
  model: PumpModel | undefined,
  column: 'in_ml' | 'added_ml',
): Record<string, string> {
  const named = cells.text('oil') === '' ? null : cells.named('oil', 'oilProduct');
  if (named === null) cells.gathered.assume('oilOfPump');
  const said = cells.quantity('inMl', 'notANumber');
  const charge = column === 'in_ml' ? model?.sumps.find(({ key }) => key === 'oil')?.chargeMl : undefined;
  if (said === null && charge !== undefined) cells.gathered.assume('chargeOfPump');
  const level = levelNamed(cells.text('level'));
  if (level === null) cells.keep('level');
  cells.keep('clarity');
  if (column === 'added_ml') cells.keep('outMl');
  return {
    product: named ?? pump.oilProductId ?? cells.fail('oil', 'noOil'),
    [column]: String(said ?? charge ?? cells.fail('inMl', 'noVolume')),
    ...numberCell('out_ml', column === 'in_ml' ? cells.quantity('outMl') : null),
    ...wordCell('level_after', level),
  };
}

/** The hour meter as it was read; null where it was not. */
function meterCells(cells: RowCells): Record<string, string> | null {
  const minutes = cells.quantity('meter');
  return minutes === null ? null : { meter_minutes: String(Math.round(minutes)) };
}

/** In the sight glass of a pump that runs, since nobody wrote that it stood. */
function lookCells(cells: RowCells): Record<string, string> {
  const [level, clarity] = [levelNamed(cells.text('level')), clarityNamed(cells.text('clarity'))];
  if (level === null) cells.keep('level');
  if (clarity === null) cells.keep('clarity');
  if (kindNamed(cells.text('material')) === null) cells.keep('material');
  cells.gathered.assume('pumpRunning');
  return { hours_stood: '0', ...wordCell('level', level), ...wordCell('clarity', clarity) };
}
