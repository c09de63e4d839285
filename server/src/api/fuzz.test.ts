import type { AddressInfo } from 'node:net';
import type { RestoreCheck } from '@winter-jar/contracts';
import type { SetUpVersion } from '@winter-jar/core';
import { at, changeAt, correctionAt, entryAt, lookAt, runAt, versionsOf } from '@winter-jar/core/testing';
import fc from 'fast-check';
import { v7 as newId } from 'uuid';
import { bent, ODD, valuesOf, type Schema, type Schemas } from '../testing/from-schema.js';
import { Door } from '../house/door.js';
import { download, serveHouse, signedIn, type ServedHouse } from '../testing/served-house.js';
import { rebuiltStates } from '../testing/test-house.js';
import { openApi } from './open-api.js';

/** More with FUZZ_CASES=30000, others with FUZZ_SEED. */
const CASES = Number(process.env.FUZZ_CASES ?? 3000);
const SEED = Number(process.env.FUZZ_SEED ?? 12);
const BATCH = 500;
const PATIENCE_MS = 20_000;

let served: ServedHouse;
let base: string;
beforeEach(async () => {
  served = await serveHouse();
  served.house.write(runAt(10, 20), lookAt(40, { colour: 3 }), changeAt(60), runAt(70, 20));
  await served.app.listen(0, '127.0.0.1');
  base = `http://127.0.0.1:${(served.server.address() as AddressInfo).port}`;
});
afterEach(() => served.close());

interface Call {
  readonly method: string;
  readonly path: string;
  readonly type?: string;
  readonly body?: string | Buffer;
}

/** No address can bear one. */
const LONE_SURROGATE = /\p{Surrogate}/gu;
/** What stands in an address, by its name; other names are given what any text is given. */
const IN_ADDRESS: Readonly<Record<string, readonly string[]>> = {
  pumpId: ['p1', 'b1', 'd1'],
  equipmentId: ['chamber', 'line'],
  log: ['runs', 'looks'],
  kind: ['pump', 'material', 'houseRules'],
  conflicting: ['keep', 'take'],
};
const KNOWN = ['p1', 'b1', 'd1', 'chamber', 'line', 'site', 'house', 'oil', 'oil-a', 'fd-meat', 'vane', 'pump', 'runs'];
const INSTANTS = [at(10), at(61), at(700), at(8000), '2031-02-30T00:00:00.000Z', 'yesterday'];
function strings(field: string): fc.Arbitrary<string> {
  const odd = fc.oneof(fc.string({ maxLength: 12 }), fc.constantFrom(...KNOWN, 'constructor'));
  const usual = /At$|validFrom|^from$|^until$/.test(field)
    ? fc.constantFrom(...INSTANTS)
    : field === 'zone'
      ? fc.constantFrom('Europe/Lisbon', 'Moon/Base')
      : /^(id|actId|targetId|sampleId|entryId|uploadId)$/.test(field)
        ? fc.constant('').map(() => newId())
        : fc.constantFrom(...KNOWN);
  return fc.oneof({ weight: 9, arbitrary: usual }, { weight: 1, arbitrary: odd });
}

/** Entries as people send them; one field of them is bent. */
const soundEntries = () => {
  const run = { ...runAt(100, 20), id: newId() };
  return [
    run,
    { ...correctionAt(120, run, { action: 'replace', body: run.body }), id: newId() },
    { ...lookAt(130, { source: 'sample', particles: 'few', colour: 4 }), id: newId() },
    { ...changeAt(140), id: newId() },
    { ...entryAt(150, 'test', { findings: [{ id: 'haze', state: 'hazy', certainty: 1 }] }), id: newId() },
    { ...entryAt(160, 'takeOver', { oilChangedAt: at(150), runsSince: 3 }), id: newId() },
    { ...entryAt(170, 'meter', { action: 'read', minutes: 600 }), id: newId() },
  ].map((entry) => ({ ...entry, actId: entry.id }));
};
const bentEntries = fc.tuple(fc.nat(6), fc.nat(), ODD).map(([which, place, odd]) => {
  const entry = soundEntries()[which];
  return { entries: [bent(entry, place, odd)] };
});

const bentVersions = fc.tuple(fc.nat(), fc.nat(), fc.nat(3), ODD).map(([which, place, whole, odd]) => {
  const known = versionsOf();
  const version = known[which % known.length] as SetUpVersion;
  const fresh = { ...version, id: newId(), validFrom: place % 2 ? version.validFrom : at(300) };
  return { versions: [whole === 0 ? fresh : bent(fresh, place, odd)] };
});
/** Bodies that are sound but for one field, by the end of the address. */
const BENT: readonly (readonly [address: RegExp, bodies: fc.Arbitrary<unknown>])[] = [
  [/entries(\/preview)?$/, bentEntries],
  [/set-up(\/preview)?$/, bentVersions],
];

const LINES = [
  'pump,started,minutes,material,ballast',
  `p1,${at(200)},600,fd-meat,closed`,
  'p1,,,,',
  '"',
  '\u0000',
  'pump;jar;seen',
  `p1,${at(210)},1e999,=cmd(),open`,
  '{"format":"winter-jar-journal","version":2,"exportedAt":"x"}',
  '{"entry":null}',
  '{"setUp":[]}',
  '{"end":{"entries":-1}}',
  'null',
];
const texts = fc.array(fc.oneof(fc.constantFrom(...LINES), fc.string({ maxLength: 40 })), { maxLength: 6 });

const inAddress = (name: string): fc.Arbitrary<string> => {
  const usual = IN_ADDRESS[name];
  const odd = { weight: 1, arbitrary: ODD.map(String) };
  return fc.oneof({ weight: 5, arbitrary: usual ? fc.constantFrom(...usual) : strings(name) }, odd);
};

/** A call of an operation, as its description says and a little beside it. */
function callsOf(method: string, path: string, operation: Operation, schemas: Schemas): fc.Arbitrary<Call> {
  const [type, content] = Object.entries(operation.requestBody?.content ?? {})[0] ?? [];
  const filled = (operation.parameters ?? []).reduce<fc.Arbitrary<string>>(
    (known, { name, in: place }) =>
      fc.tuple(known, inAddress(name)).map(([so, value]) => {
        const said = encodeURIComponent(value.replace(LONE_SURROGATE, ''));
        if (place === 'path') return so.replace(`{${name}}`, said || '-');
        return place === 'query' ? `${so}${so.includes('?') ? '&' : '?'}${name}=${said}` : so;
      }),
    fc.constant(path),
  );
  const [, sound] = BENT.find(([address]) => address.test(path)) ?? [];
  const body =
    type === undefined
      ? fc.constant(undefined)
      : type === 'application/json'
        ? fc
            .oneof(
              { weight: 3, arbitrary: valuesOf(content?.schema ?? {}, schemas, strings) },
              { weight: sound ? 6 : 0, arbitrary: sound ?? ODD },
              { weight: 1, arbitrary: ODD },
            )
            .map((value) => JSON.stringify(value))
        : texts.map((lines) => lines.join('\n'));
  return fc.tuple(filled, body).map(([to, sent]) => ({
    method,
    path: to,
    ...(type === undefined ? {} : { type, body: sent ?? '' }),
  }));
}

interface Operation {
  readonly parameters?: readonly { readonly name: string; readonly in: string }[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: Schema }>> };
}

const send = ({ method, path, type, body }: Call, cookie = '') =>
  fetch(base + path, {
    method: method.toUpperCase(),
    signal: AbortSignal.timeout(PATIENCE_MS),
    headers: { cookie, ...(method === 'get' ? {} : { 'content-type': type ?? 'application/json' }) },
    ...(method === 'get' ? {} : { body: (body ?? '{}') as BodyInit }),
  });

/** After whatever came: every page answers, and what is stored is what the journal says. */
async function stillStands(): Promise<void> {
  const pumps = ['pumps/p1', 'pumps/b1', 'pumps/d1'].flatMap((p) => [p, `${p}/journal`]);
  const pages = [
    'round',
    ...pumps,
    'pumps/p1/diagnosis',
    'pumps/p1/water',
    'pumps/p1/oil-story',
    'set-up',
    'unsettled',
  ];
  for (const page of pages) expect([page, (await fetch(`${base}/api/${page}`)).status]).toEqual([page, 200]);
  served.house.store.reload(served.house.reading.sql);
  expect(served.house.everyState()).toEqual(rebuiltStates(served.house));
}

/** Calls of all doors. Where one writes is knocked at more often; what costs much answers 429 after a while. */
function calls(numRuns: number): Call[] {
  const { paths, components } = openApi(served.app);
  const doors = Object.entries(paths).flatMap(([path, operations]) =>
    Object.entries(operations as Record<string, Operation>).map(([method, operation]) => ({
      weight: method === 'post' ? 4 : 1,
      arbitrary: callsOf(method, path, operation, components?.schemas as Schemas),
    })),
  );
  expect(doors.length).toBeGreaterThan(40);
  return fc.sample(fc.oneof(...doors), { seed: SEED, numRuns });
}

test('whatever is sent to any door is answered, and changes nothing but what it says', async () => {
  const seen = new Set<number>();
  for (const [n, call] of calls(CASES).entries()) {
    const response = await send(call);
    const text = await response.text();
    seen.add(response.status);
    if (response.status >= 500) throw new Error(`${JSON.stringify(call)}: ${response.status} ${text}`);
    if (n % BATCH === BATCH - 1) await stillStands();
  }
  await stillStands();
  // Some of it was good, some was not.
  expect([...seen]).toEqual(expect.arrayContaining([200, 201, 207, 400, 404]));
}, 600_000);

test('whoever may not write changes nothing, whatever they send: nobody, a reader, a session that was made up', async () => {
  const owner = await signedIn(served, 'Ada', 'owner');
  const { people } = served.app.get(Door);
  const stands = async () => [
    await (await send({ method: 'get', path: '/api/changes' }, owner)).text(),
    people.accounts.all.map(({ name, role, passwordHash }) => [name, role, passwordHash]),
  ];
  const cookies = [
    () => Promise.resolve(''),
    () => Promise.resolve(`${people.cookie}=${'a'.repeat(43)}`),
    // Some of what is sent ends the session it is sent with.
    () => signedIn(served, 'Dov', 'reader'),
  ];
  await signedIn(served, 'Dov', 'reader');
  const before = await stands();
  const seen = new Set<number>();
  for (const [n, call] of calls(CASES / 5).entries()) {
    const response = await send(call, await cookies[n % cookies.length]?.());
    const text = await response.text();
    seen.add(response.status);
    if (response.status >= 500) throw new Error(`${JSON.stringify(call)}: ${response.status} ${text}`);
  }
  expect(await stands()).toEqual(before);
  expect([...seen]).toEqual(expect.arrayContaining([200, 400, 401, 403, 404]));
}, 600_000);

test('of bent backups each is refused with a reason, or leaves a server that serves all pages', async () => {
  const whole = await download(served, 'backup');
  const bends = fc.sample(fc.tuple(fc.nat(whole.length - 1), fc.nat(255), fc.nat(3)), { seed: SEED, numRuns: 24 });
  for (const [place, byte, way] of bends) {
    const sent = Buffer.from(whole);
    if (way === 0) sent[place] = byte;
    const body = way === 1 ? sent.subarray(0, place) : way === 2 ? Buffer.concat([sent, sent.subarray(place)]) : sent;
    const response = await send({ method: 'post', path: '/api/restore/check', type: 'application/gzip', body });
    expect(response.status).toBeLessThan(500);
    const check = (await response.json()) as RestoreCheck;
    if (check.issue) expect(check.issue.right).not.toBe('');
    else {
      const restore = await served.post('/api/restore', { uploadId: check.uploadId });
      expect(restore.status).toBe(200);
      await stillStands();
    }
  }
}, 600_000);
