import { ROLES, type Role } from '@winter-jar/core';
import type { IncomingMessage } from 'node:http';
import request from 'supertest';
import { Door } from '../house/door.js';
import { serveHouse, signedIn, type ServedHouse } from '../testing/served-house.js';

/**
 * Who may ask for what, said by hand: o owner, t technician, p operator, r reader, * whoever stands at the door. Every route that the
 * API describes has a row here; one without a row fails.
 */
const MAY: Readonly<Record<string, string>> = {
  'get /api/about': 'otpr',
  'get /api/cases/{caseId}': 'otpr',
  // A phone has to trust it before anybody signs in.
  'get /api/certificate': 'otpr*',
  'get /api/changes': 'otpr',
  'post /api/demo-yard': 'o',
  'get /api/door': 'otpr*',
  'post /api/door/claim': 'otpr*',
  'post /api/door/look-at-code': 'otpr*',
  'post /api/door/pair': 'otpr*',
  'post /api/door/set-password': 'otpr*',
  'post /api/door/sign-in': 'otpr*',
  'post /api/door/step-into': 'otpr*',
  'get /api/door/sessions': 'otpr',
  'post /api/door/sessions/end-others': 'otpr',
  'post /api/door/sessions/{id}/end': 'otpr',
  'post /api/downloads': 'otpr',
  'get /api/downloads/{id}': 'otpr',
  'get /api/downloads/{id}/file': 'otpr',
  'post /api/downloads/{id}/stop': 'otpr',
  'post /api/entries': 'otp',
  'post /api/entries/preview': 'otp',
  'get /api/entries/{entryId}': 'otpr',
  'get /api/equipment/{equipmentId}': 'otpr',
  'get /api/equipment/{equipmentId}/vacuum': 'otpr',
  'post /api/gauge-logs': 'ot',
  'get /api/gauge-logs/{logId}': 'otpr',
  'get /api/imports/{id}': 'ot',
  'post /api/imports/{id}/cancel': 'ot',
  'get /api/imports/{id}/effect': 'ot',
  'get /api/imports/{id}/refused': 'ot',
  'post /api/imports/{id}/undo': 'ot',
  'post /api/imports/{id}/write': 'ot',
  'get /api/instruments': 'otpr',
  // Whoever names an address has this server call it.
  'post /api/instruments/{id}/connect': 'o',
  'post /api/instruments/{id}/disconnect': 'o',
  'get /api/instruments/{id}/readings/{key}': 'otpr',
  'post /api/instruments/{id}/record': 'ot',
  'post /api/journal': 'o',
  'get /api/kept': 'o',
  'post /api/kept/check': 'o',
  'get /api/logs/{log}/contents': 'otpr',
  'post /api/logs/{log}/imports': 'ot',
  'get /api/people': 'o',
  'get /api/people/record': 'o',
  'post /api/people/{personId}/account': 'o',
  'post /api/people/{personId}/account/end': 'o',
  // For a device of one's own; for anybody else it is an owner's, see below.
  'post /api/people/{personId}/code': 'otpr',
  'post /api/photos': 'otp',
  'get /api/photos/{photoId}': 'otpr',
  'get /api/photos/{photoId}/thumb': 'otpr',
  'get /api/pumps/{pumpId}': 'otpr',
  'get /api/pumps/{pumpId}/diagnosis': 'otpr',
  'get /api/pumps/{pumpId}/jobs/{jobId}': 'otpr',
  'get /api/pumps/{pumpId}/journal': 'otpr',
  'get /api/pumps/{pumpId}/oil-story': 'otpr',
  'get /api/pumps/{pumpId}/taken-back': 'otpr',
  'get /api/pumps/{pumpId}/water': 'otpr',
  'post /api/restore': 'o',
  'post /api/restore/check': 'o',
  'get /api/restore/check': 'o',
  'post /api/restore/check/stop': 'o',
  'get /api/round': 'otpr',
  'get /api/service-times': 'otpr',
  'get /api/service-times/{procedure}/{modelId}': 'otpr',
  'get /api/set-up': 'otpr',
  'post /api/set-up': 'ot',
  'get /api/set-up/file': 'otpr',
  // It may bring people, instruments and the house's rules.
  'post /api/set-up/file': 'o',
  'post /api/set-up/file/preview': 'o',
  'post /api/set-up/preview': 'ot',
  'get /api/set-up/preview/{id}': 'ot',
  'get /api/set-up/records/{kind}/{id}': 'otpr',
  'post /api/set-up/remove': 'ot',
  'get /api/set-up/schema.json': 'otpr',
  'get /api/store': 'otpr',
  'get /api/store/containers/{containerId}': 'otpr',
  'get /api/store/containers/{containerId}/trace': 'otpr',
  'get /api/store/cost': 'otpr',
  'get /api/store/waste': 'otpr',
  'get /api/suspects': 'otpr',
  'get /api/unsettled': 'otpr',
  'get /api/untold': 'otpr',
  // Streams, which the document does not describe.
  'get /api/changes/stream': 'otpr',
  'get /api/instruments/stream': 'otpr',
  // Last: it ends what the others ask with.
  'post /api/door/sign-out': 'otpr*',
};
const LETTERS: Readonly<Record<Role, string>> = { owner: 'o', technician: 't', operator: 'p', reader: 'r' };

let served: ServedHouse;
beforeAll(async () => {
  served = await serveHouse();
});
afterAll(() => served.close());

/** Whether the guard lets it by: what the route says to an empty body is another matter. */
async function isLetIn(route: string, cookie: string | null): Promise<boolean> {
  const [method, path] = route.split(' ') as ['get' | 'post', string];
  const asked = request(served.server)[method](path.replace(/\{[^}]+\}/g, 'none'));
  asked.set({ Host: 'localhost', ...(cookie === null ? {} : { Cookie: cookie }) });
  if (method === 'post') asked.set('content-type', 'application/json').send('{}');
  // A stream does not end by itself: its head is enough.
  if (path.endsWith('/stream'))
    asked.buffer(true).parse((answer, done) => {
      (answer as unknown as IncomingMessage).destroy();
      done(null, '');
    });
  const { status, text = '' } = await asked;
  return status !== 401 && (status !== 403 || !text.includes('somebody who may'));
}

test('every route has a row, and every row a route', async () => {
  const owner = await signedIn(served, 'Ada', 'owner');
  const { body } = await served.get('/api/openapi.json').set('Cookie', owner).expect(200);
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
    const cookie = await signedIn(served, names[role], role);
    may.push([route, await isLetIn(route, cookie)]);
  }
  expect(may).toEqual(Object.entries(MAY).map(([route, who]) => [route, who.includes(LETTERS[role])]));
});

test('nobody is let in without a session, with one that was ended, or with one that was made up', async () => {
  const { people } = served.app.get(Door);
  const ended = await signedIn(served, 'Ada', 'owner');
  await people.sessions.end(people.sessions.ofPerson('ada'));
  for (const cookie of [null, ended, `${people.cookie}=made-up`])
    for (const [route, who] of Object.entries(MAY))
      expect([route, await isLetIn(route, cookie)]).toEqual([route, who.includes('*')]);
});
