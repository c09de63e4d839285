import { ROLES, type Role } from '@winter-jar/core';
import type { IncomingMessage } from 'node:http';
import request from 'supertest';
import { Door } from '../house/door.js';
import { addOtherSite } from '../testing/other-site.js';
import { serveHouse, signedIn, type ServedHouse } from '../testing/served-house.js';

/**
 * Who may ask for what, said by hand: o owner, t technician, p operator, r reader, * whoever stands at the door. Then how somebody of
 * these is served who is bound to some sites: = as all others, s with what is theirs (see sites.test.ts), 1 where what it is about stands
 * there, - not at all. Every route that the API describes has a row here; one without a row fails.
 */
const MAY: Readonly<Record<string, string>> = {
  'get /api/about': 'otpr =',
  'get /api/cases/{caseId}': 'otpr s',
  // A phone has to trust it before anybody signs in.
  'get /api/certificate': 'otpr* =',
  'get /api/changes': 'otpr s',
  'post /api/demo-yard': 'o -',
  'get /api/door': 'otpr* =',
  'post /api/door/claim': 'otpr* =',
  'post /api/door/look-at-code': 'otpr* =',
  'post /api/door/pair': 'otpr* =',
  'post /api/door/set-password': 'otpr* =',
  'post /api/door/sign-in': 'otpr* =',
  'post /api/door/step-into': 'otpr* =',
  'post /api/door/write-as': 'otpr* =',
  // Of one's own, see below.
  'post /api/door/pin': 'otpr =',
  'get /api/door/sessions': 'otpr =',
  'post /api/door/sessions/end-others': 'otpr =',
  'post /api/door/sessions/{id}/end': 'otpr =',
  'post /api/downloads': 'otpr s',
  'get /api/downloads/{id}': 'otpr s',
  'get /api/downloads/{id}/file': 'otpr s',
  'post /api/downloads/{id}/stop': 'otpr s',
  'post /api/entries': 'otp s',
  'post /api/entries/preview': 'otp s',
  'get /api/entries/{entryId}': 'otpr s',
  'get /api/equipment/{equipmentId}': 'otpr 1',
  'get /api/equipment/{equipmentId}/vacuum': 'otpr 1',
  'post /api/gauge-logs': 'ot s',
  'get /api/gauge-logs/{logId}': 'otpr s',
  'get /api/imports/{id}': 'ot -',
  'post /api/imports/{id}/cancel': 'ot -',
  'get /api/imports/{id}/effect': 'ot -',
  'get /api/imports/{id}/refused': 'ot -',
  'post /api/imports/{id}/undo': 'ot -',
  'post /api/imports/{id}/write': 'ot -',
  'get /api/instruments': 'otpr s',
  // Whoever names an address has this server call it.
  'post /api/instruments/{id}/connect': 'o -',
  'post /api/instruments/{id}/disconnect': 'o -',
  'get /api/instruments/{id}/readings/{key}': 'otpr 1',
  'post /api/instruments/{id}/record': 'ot 1',
  'post /api/journal': 'o -',
  'get /api/kept': 'o -',
  'post /api/kept/check': 'o -',
  'get /api/logs/{log}/contents': 'otpr s',
  'post /api/logs/{log}/imports': 'ot -',
  'get /api/people': 'o -',
  'get /api/people/record': 'o -',
  'post /api/people/tablet-code': 'o -',
  'post /api/people/{personId}/account': 'o -',
  'post /api/people/{personId}/account/end': 'o -',
  // For a device of one's own; for anybody else it is an owner's, see below.
  'post /api/people/{personId}/code': 'otpr =',
  'post /api/photos': 'otp s',
  'get /api/photos/{photoId}': 'otpr s',
  'get /api/photos/{photoId}/thumb': 'otpr s',
  'get /api/pumps/{pumpId}': 'otpr 1',
  'get /api/pumps/{pumpId}/diagnosis': 'otpr 1',
  'get /api/pumps/{pumpId}/jobs/{jobId}': 'otpr 1',
  'get /api/pumps/{pumpId}/journal': 'otpr 1',
  'get /api/pumps/{pumpId}/oil-story': 'otpr 1',
  'get /api/pumps/{pumpId}/taken-back': 'otpr 1',
  'get /api/pumps/{pumpId}/water': 'otpr 1',
  'post /api/restore': 'o -',
  'post /api/restore/check': 'o -',
  'get /api/restore/check': 'o -',
  'post /api/restore/check/stop': 'o -',
  'get /api/round': 'otpr s',
  'get /api/service-times': 'otpr =',
  'get /api/service-times/{procedure}/{modelId}': 'otpr =',
  'get /api/set-up': 'otpr s',
  'post /api/set-up': 'ot s',
  'get /api/set-up/file': 'otpr -',
  // It may bring people, instruments and the house's rules.
  'post /api/set-up/file': 'o -',
  'post /api/set-up/file/preview': 'o -',
  'post /api/set-up/preview': 'ot s',
  'get /api/set-up/preview/{id}': 'ot =',
  'get /api/set-up/records/{kind}/{id}': 'otpr s',
  'post /api/set-up/remove': 'ot s',
  'get /api/set-up/schema.json': 'otpr =',
  'get /api/store': 'otpr s',
  'get /api/store/containers/{containerId}': 'otpr 1',
  'get /api/store/containers/{containerId}/trace': 'otpr -',
  'get /api/store/cost': 'otpr -',
  'get /api/store/waste': 'otpr s',
  'get /api/suspects': 'otpr s',
  'get /api/unsettled': 'otpr s',
  'get /api/untold': 'otpr s',
  // Streams, which the document does not describe.
  'get /api/changes/stream': 'otpr s',
  'get /api/instruments/stream': 'otpr s',
  // Last: it ends what the others ask with.
  'post /api/door/sign-out': 'otpr* =',
};
const LETTERS: Readonly<Record<Role, string>> = { owner: 'o', technician: 't', operator: 'p', reader: 'r' };

let house: ServedHouse;
beforeAll(async () => {
  house = await serveHouse();
  addOtherSite(house);
});
afterAll(() => house.close());

const who = (said: string): string => said.split(' ')[0] ?? '';
const forSome = (said: string): string => said.split(' ')[1] ?? '';

async function asked(route: string, cookie: string | null, ids: Readonly<Record<string, string>> = {}) {
  const [method, path] = route.split(' ') as ['get' | 'post', string];
  const said = path.replace(/\{([^}]+)\}/g, (_, param: string) => ids[param] ?? 'none');
  const asked = request(house.server)[method](said);
  asked.set({ Host: 'localhost', ...(cookie === null ? {} : { Cookie: cookie }) });
  if (method === 'post') asked.set('content-type', 'application/json').send('{}');
  // A stream does not end by itself: its head is enough.
  if (path.endsWith('/stream'))
    asked.buffer(true).parse((answer, done) => {
      (answer as unknown as IncomingMessage).destroy();
      done(null, '');
    });
  const { status, text = '' } = await asked;
  return { status, text };
}

/** Whether the guard lets it by: what the route says to an empty body is another matter. */
async function isLetIn(route: string, cookie: string | null): Promise<boolean> {
  const { status, text } = await asked(route, cookie);
  return status !== 401 && (status !== 403 || !text.includes('somebody who may'));
}

test('every route has a row, and every row a route', async () => {
  const owner = await signedIn(house, 'Ada', 'owner');
  const { body } = await house.get('/api/openapi.json').set('Cookie', owner).expect(200);
  const { paths } = body as { paths: Record<string, object> };
  const routes = Object.entries(paths).flatMap(([path, methods]) => Object.keys(methods).map((m) => `${m} ${path}`));
  expect(
    Object.keys(MAY)
      .filter((route) => !route.endsWith('/stream'))
      .sort(),
  ).toEqual(routes.sort());
});

test.each(ROLES)('an %s is let in where the table says so, and nowhere else', async (role) => {
  const names: Readonly<Record<Role, string>> = { owner: 'Ada', technician: 'Ben', operator: 'Cleo', reader: 'Dov' };
  const may: [string, boolean][] = [];
  for (const route of Object.keys(MAY)) {
    // A fresh one for each: some routes end what they are asked with.
    const cookie = await signedIn(house, names[role], role);
    may.push([route, await isLetIn(route, cookie)]);
  }
  expect(may).toEqual(Object.entries(MAY).map(([route, said]) => [route, who(said).includes(LETTERS[role])]));
});

test('nobody is let in without a session, with one that was ended, or with one that was made up', async () => {
  const { people } = house.app.get(Door);
  const ended = await signedIn(house, 'Ada', 'owner');
  await people.sessions.end(people.sessions.ofPerson('ada'));
  for (const cookie of [null, ended, `${people.cookie}=made-up`])
    for (const [route, said] of Object.entries(MAY))
      expect([route, await isLetIn(route, cookie)]).toEqual([route, who(said).includes('*')]);
});

test.each(['technician', 'operator', 'reader'] as const)(
  'an %s who is bound to some sites is served so',
  async (role) => {
    const names = { technician: 'Ben', operator: 'Cleo', reader: 'Dov' } as const;
    const own = { pumpId: 'p1', equipmentId: 'chamber', containerId: 'own-jar', id: 'own-gauge' };
    const others = { pumpId: 'n1', equipmentId: 'n-line', containerId: 'n-jar', id: 'n-gauge' };
    const theirs = Object.entries(MAY).filter(([, said]) => who(said).includes(LETTERS[role]));
    const served: [string, string][] = [];
    for (const [route, said] of theirs) {
      const cookie = async () => signedIn(house, names[role], role, ['site']);
      const isRefused = ({ status, text }: { status: number; text: string }) =>
        status === 403 && text.includes('see every site');
      if (forSome(said) !== '1') {
        served.push([route, isRefused(await asked(route, await cookie())) ? '-' : forSome(said)]);
        continue;
      }
      const answers = [];
      for (const ids of [own, others, {}]) answers.push(await asked(route, await cookie(), ids));
      const [here, there, nowhere] = answers;
      const isHidden =
        there?.status === 404 && there.text.replace(/n1|n-line|n-jar|n-gauge/g, 'none') === nowhere?.text;
      // What it says to an empty body, or of a service that is not there, is another matter.
      const isOwn = here !== undefined && !isRefused(here) && !/in the set-up/.test(here.text);
      served.push([route, isHidden && isOwn ? '1' : JSON.stringify(answers)]);
    }
    expect(served).toEqual(theirs.map(([route, said]) => [route, forSome(said)]));
  },
);

test('a tablet of a site, while nobody has said who they are, looks as a reader does who is bound to it', async () => {
  const { people } = house.app.get(Door);
  const own = { personId: '', siteId: 'site', kind: 'tablet', name: 'Plant room', address: '' } as const;
  for (const [route, said] of Object.entries(MAY)) {
    const { token } = await people.sessions.begin(own);
    const may = who(said).includes('*') || (who(said).includes('r') && forSome(said) !== '-');
    expect([route, await isLetIn(route, `${people.cookie}=${token}`)]).toEqual([route, may]);
  }
});
