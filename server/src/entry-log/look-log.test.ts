import { bookOf, changeAt, lookAt, runAt, START } from '@winter-jar/core/testing';
import { SERVER } from '../journal/actor.js';
import { exportedLog, importInto, readInto, rowsOf } from '../testing/log-files.js';
import { openHouse, type TestHouse } from '../testing/test-house.js';
import { LOOK_LOG } from './look-log.js';

const house = bookOf().at(START);
const HEADER =
  'pump,looked_at,hours_stood,source,looked_at_ml,free_water_ml,cream_ml,colour,clarity,particles,particle_kinds,smell,water_at_pick_up,jar,remark';
const rowOf = async (row: string) =>
  (
    await rowsOf(
      LOOK_LOG,
      `${HEADER}
${row}`,
      house,
    )
  )[0];

test('a row written by hand is understood, and what is left empty is not said', async () => {
  const read = await rowOf(
    'P-1,2031-03-09T14:05+01:00,20,sample,300,12,4,3.5,hazy,few,black rustRed,sour,,straight-500,odd',
  );
  expect(read).toMatchObject({
    ok: true,
    entry: {
      kind: 'look',
      happenedAt: '2031-03-09T13:05:00.000Z',
      zone: 'Europe/Lisbon',
      subjects: [{ type: 'pump', id: 'p1' }],
    },
  });
  expect(read?.ok && read.entry.body).toEqual({
    sump: 'oil',
    source: 'sample',
    hoursStood: 20,
    lookedAtMl: 300,
    freeWaterMl: 12,
    creamMl: 4,
    colour: 3.5,
    clarity: 'hazy',
    particles: 'few',
    particleKinds: ['black', 'rustRed'],
    smell: 'sour',
    jarShapeId: 'straight-500',
    remark: 'odd',
  });
  const glass = await rowOf('p1,2031-03-09T14:05Z,0,,,,,,bright,,,,,,');
  expect(glass?.ok && glass.entry.body).toEqual({
    sump: 'oil',
    source: 'sightGlass',
    hoursStood: 0,
    clarity: 'bright',
  });
});

test.each([
  ['p1,2031-03-09T14:05Z,,,,,,,bright,,,,,,', 'hours_stood', '', /hours that the oil had stood/],
  ['p1,,8,,,,,,bright,,,,,,', 'looked_at', '', /when the oil was looked at/],
  ['p1,2031-03-09T14:05Z,8,bucket,,,,,bright,,,,,,', 'source', 'bucket', /one of sightGlass, sample/],
  ['p1,2031-03-09T14:05Z,8,sample,,,,,bright,,,,,,', 'looked_at_ml', null, /mL in the jar/],
  ['p1,2031-03-09T14:05Z,8,sample,100,90,20,,,,,,,,', 'cream_ml', 20, /at most what is in the jar, 100 mL/],
  ['p1,2031-03-09T14:05Z,8,,,,,3.3,,,,,,,', 'colour', 3.3, /half step/],
  ['p1,2031-03-09T14:05Z,8,,,,,,,few,sand,,,,', 'particle_kinds', ['sand'], /one of black, brown/],
  ['p1,2031-03-09T14:05Z,8,,,,,,,none,black,,,,', 'particles', 'none', /few or many/],
  ['p1,2031-03-09T14:05Z,8,,,,,,,,,roses,,,', 'smell', 'roses', /one of none, sour/],
  ['p1,2031-03-09T14:05Z,8,,,,,,,,,,maybe,,', 'water_at_pick_up', 'maybe', /yes, no or empty/],
])('%s names its column, the value and what would be right', async (row, field, value, right) => {
  expect(await rowOf(row)).toMatchObject({
    ok: false,
    issues: [{ field, value, right: expect.stringMatching(right) as string }],
  });
});

describe('import and export', () => {
  let first: TestHouse;
  let second: TestHouse;
  beforeEach(async () => {
    first = await openHouse();
    second = await openHouse();
  });
  afterEach(async () => {
    await first.close();
    await second.close();
  });

  test('looks that were exported give equal states where they are imported', async () => {
    const others = [changeAt(1), runAt(10, 20)];
    const looks = [
      lookAt(40, { level: 'low', clarity: 'cloudy', waterAtPickUp: true, foam: 'settles' }),
      lookAt(60, {
        source: 'drained',
        lookedAtMl: 640,
        hoursStood: 30.5,
        jarTempC: 24,
        jarShapeId: 'straight-1000',
        sludgeMl: 3,
        freeWaterMl: 20,
        creamMl: 5,
        hazyMl: 200,
        colour: 3.5,
        particles: 'many',
        particleKinds: ['glitter', 'growth'],
        smell: 'burnt',
        thrownFromExhaust: true,
        photoId: 'ab'.repeat(32),
        remark: '=odd',
      }),
    ];
    // A photograph that is cited must be there when a person writes; a file is taken as it is.
    first.writer.writeTogether(SERVER, [...others, ...looks]);
    second.writer.writeTogether(SERVER, others);
    const text = await exportedLog(first, 'looks');
    expect(await importInto(second, 'looks', text)).toMatchObject({ rows: 2, fresh: 2, written: 2 });
    expect(second.states()).toEqual(first.states());
    expect(await exportedLog(second, 'looks')).toBe(text);
    expect(await importInto(first, 'looks', text)).toMatchObject({ unchanged: 2, written: 0 });
  });

  test('a look into a jar that is too small for it, or not known, is a bad row', async () => {
    const row = (jar: string) => `${HEADER}\np1,2031-03-09T14:05Z,8,sample,300,,,,,,,,,${jar},`;
    const of = async (jar: string) => (await readInto(first, 'looks', row(jar))).answer().firstRefused[0]?.issues[0];
    expect(await of('straight-100')).toMatchObject({
      field: 'looked_at_ml',
      right: 'at most 100 mL, what 100 mL straight holds',
    });
    expect(await of('thimble')).toMatchObject({ field: 'jar', code: 'unknownId' });
  });
});
