// docs/trade.md: the text of scripts/trade.md with its tables of defaults from core, so that they cannot say anything else.
const table = (head, rows) =>
  [head, head.map(() => '---'), ...rows].map((cells) => `| ${cells.join(' | ')} |`).join('\n');

const limitsOf = (limits) =>
  Object.entries(limits)
    .map(
      ([task, by]) =>
        `${task}: ${Object.entries(by)
          .map(([measure, n]) => `${n} ${measure}`)
          .join(', ')}`,
    )
    .join(' · ');

/** @param text with {{name}} where each table or number goes @throws on a name that is not known, or one that is left over */
export function tradePage(core, text) {
  const { LIMIT_LEVELS, OIL_LIMITS, OIL_SIGNS, OIL_STEPS, WATER_DEFAULTS, WEIGHT_DEFAULTS } = core;
  const { perPoint, hoursFactor, cyclesPerRun } = WEIGHT_DEFAULTS;
  const parts = {
    schools: table(
      ['School', 'Limits', 'Why', 'What it costs'],
      Object.values(core.SCHOOLS).map(({ id, limits, why, cost }) => [id, limitsOf(limits), why, cost]),
    ),
    houseLimits: table(
      ['Task', 'Limit'],
      Object.entries(core.HOUSE_LIMITS).map(([task, limit]) => [
        task,
        limitsOf({ [task]: limit }).replace(`${task}: `, ''),
      ]),
    ),
    calendar: `${core.CALENDAR_LIMIT_DAYS.dry} days, ${core.CALENDAR_LIMIT_DAYS.wet} in wet work`,
    runningIn: core.RUNNING_IN_HOURS,
    hoursFactor: `${hoursFactor.min} to ${hoursFactor.max}`,
    perPoint: Object.entries(perPoint)
      .map(([rating, n]) => `${n} ${rating}`)
      .join(', '),
    cyclesPerRun: cyclesPerRun.toLocaleString('en-GB'),
    water: table(['Assumed', 'Value'], Object.entries(WATER_DEFAULTS)),
    materials: table(
      ['Class', 'Work', 'Moisture', 'Fat', 'Fines', 'Solvent', 'Acid', 'Note'],
      Object.values(core.MATERIAL_LIBRARY).map((m) => [
        m.name,
        m.process,
        ...['moisture', 'fat', 'fines', 'solvent', 'acid'].map((r) => m[r]),
        m.note ?? '',
      ]),
    ),
    droplet: core.SETTLING.dropletUm,
    leastHours: core.SETTLING.leastHours,
    glassHours: core.SETTLING.sightGlassHours,
    readingSd: core.READING_SD_ML,
    oilLimits: table(
      ['Reading', ...LIMIT_LEVELS, 'The limit itself'],
      OIL_STEPS.map(({ id, over }) => [
        id,
        ...LIMIT_LEVELS.map((level) => OIL_LIMITS[`${id}.${level}`] ?? '-'),
        over ? 'is still good' : 'is reached',
      ]),
    ),
    usual: table(
      ['Entry', 'Reading', 'Usual'],
      Object.entries(core.USUAL_RANGES).flatMap(([kind, ranges]) =>
        Object.entries(ranges).map(([field, { least, most }]) => [
          kind,
          field,
          `${least} to ${most.toLocaleString('en-GB')}`,
        ]),
      ),
    ),
    cautions: table(['Caution', 'Words'], Object.entries(core.CAUTIONS)),
    oilSigns: table(
      ['Sign', 'Verdict'],
      OIL_SIGNS.map((sign) => [sign, OIL_LIMITS[sign]]),
    ),
  };
  const known = (name) => {
    if (!(name in parts)) throw new Error(`scripts/trade.md names {{${name}}}, which trade.mjs does not know`);
    return String(parts[name]);
  };
  return `<!-- Made by \`npm run knowledge\`; the text stands in scripts/trade.md, the tables in core. -->\n\n${text.replace(/\{\{(\w+)\}\}/g, (_, name) => known(name))}`;
}
