import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PhotoKept } from '@winter-jar/contracts';
import { changeAt, lookAt } from '@winter-jar/core/testing';
import sharp from 'sharp';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { serveHouse, type ServedHouse } from '../testing/served-house.js';
import { keptFile } from '../files/kept-files.js';
import { PhotoStore } from './photo-store.js';
import { writeDurably } from '../files/write-durably.js';

let served: ServedHouse;
beforeEach(async () => {
  served = await serveHouse();
});
afterEach(() => served.close());

const picture = (width = 300, height = 200) => sharp({ create: { width, height, channels: 3, background: '#c27a12' } });
const post = (bytes: Buffer, type = 'image/jpeg') =>
  request(served.server).post('/api/photos').set({ Host: 'localhost', 'content-type': type }).send(bytes);
const keep = async (bytes: Buffer): Promise<PhotoKept> => (await post(bytes).expect(201)).body as PhotoKept;
const kept = () =>
  existsSync(join(served.house.folder, 'photos'))
    ? readdirSync(join(served.house.folder, 'photos'), { recursive: true }).filter((f) => String(f).endsWith('.jpg'))
    : [];

test('a photograph is kept by its content, upright, and without what its camera wrote beside it', async () => {
  const withPlace = await picture()
    .withExif({
      IFD0: { Orientation: '6', Make: 'Made-up' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' },
    })
    .jpeg()
    .toBuffer();
  expect((await sharp(withPlace).metadata()).exif).toBeDefined();
  const photo = await keep(withPlace);
  const again = await keep(withPlace);
  expect(again).toEqual(photo);
  expect(kept()).toHaveLength(1);
  const bytes = readFileSync(keptFile(served.house.folder, 'photo', photo.photoId));
  const { exif, orientation, width, height } = await sharp(bytes).metadata();
  expect([exif, orientation]).toEqual([undefined, undefined]);
  expect([width, height]).toEqual([photo.width, photo.height]);
  expect(bytes.includes('Made-up')).toBe(false);
});

test('40 megapixels are made smaller, and the small picture is small', async () => {
  const { photoId, width, height } = await keep(await picture(7300, 5480).jpeg({ quality: 40 }).toBuffer());
  expect([width, height]).toEqual([2000, 1501]);
  const thumb = await served.get(`/api/photos/${photoId}/thumb`).expect(200);
  expect((await sharp(thumb.body as Buffer).metadata()).width).toBe(320);
  const whole = await served.get(`/api/photos/${photoId}`).expect(200);
  expect(whole.headers['cache-control']).toContain('immutable');
  expect((await sharp(whole.body as Buffer).metadata()).width).toBe(2000);
});

const whole = () => picture(900, 900).jpeg().toBuffer();

test.each<[string, () => Promise<Buffer> | Buffer, RegExp]>([
  ['zero bytes', () => Buffer.alloc(0), /empty/],
  ['a text that calls itself a picture', () => Buffer.from('<html>not a picture</html>'), /JPEG, PNG or WebP/],
  [
    'a drawing',
    () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
    /JPEG, PNG or WebP/,
  ],
  ['a picture that breaks off', async () => (await whole()).subarray(0, 1500), /breaks off or is damaged/],
])('%s is refused with what would be right, and nothing is kept', async (_what, bytes, right) => {
  const { body } = await post(await bytes()).expect(400);
  expect(body).toMatchObject({ code: 'badRequest', right: expect.stringMatching(right) as string });
  expect(kept()).toEqual([]);
});

test('another type, and a file that is too large, are refused unread', async () => {
  await post(Buffer.from('%PDF'), 'application/pdf').expect(415);
  const { body } = await post(Buffer.alloc(30_000_001)).expect(413);
  expect(body).toMatchObject({ code: 'tooLarge', right: 'at most 30,000,000 bytes' });
  expect(kept()).toEqual([]);
});

test.each([
  '..%2f..%2fwinter-jar.sqlite',
  '../../winter-jar.sqlite',
  'a'.repeat(63),
  `${'a'.repeat(62)}/x`,
  'A'.repeat(64),
])('the name %s leads to no file', async (name) => {
  const response = await served.get(`/api/photos/${name}`);
  expect(response.status).toBe(404);
});

test('a full disk is said, and leaves nothing half-written', async () => {
  const noSpace = Object.assign(new Error('no space left on device'), { code: 'ENOSPC' });
  Object.assign(served.app.get(PhotoStore), { write: () => Promise.reject(noSpace) });
  const { body } = await post(await whole()).expect(507);
  expect(body).toMatchObject({ code: 'diskFull', right: expect.stringContaining('nothing was kept') as string });
  expect(kept()).toEqual([]);
});

test('pictures stop before the disk is full, so that entries can still be written', async () => {
  Object.assign(served.app.get(PhotoStore), { free: () => 499_999_999 });
  await post(await whole()).expect(507);
  expect(kept()).toEqual([]);
  Object.assign(served.app.get(PhotoStore), { free: () => 500_000_000 });
  await post(await whole()).expect(201);
});

test('what cannot be written whole leaves no half file behind', async () => {
  const folder = served.house.folder;
  await expect(writeDurably(join(folder, 'winter-jar.sqlite', 'x.jpg'), Buffer.from('x'))).rejects.toThrow();
  await writeDurably(join(folder, 'photos/aa/x.jpg'), Buffer.from('x'));
  expect(readdirSync(join(folder, 'photos/aa'))).toEqual(['x.jpg']);
});

test('a look may cite a photograph only once it is kept', async () => {
  const cite = async (photoId: string) => {
    const entries = [changeAt(1), lookAt(20, { clarity: 'bright', photoId })];
    const { body } = await served.post('/api/entries', { entries });
    return (body as { answers: { status: string; issues?: { field: string; right: string }[] }[] }).answers[1];
  };
  expect(await cite('a'.repeat(64))).toMatchObject({
    status: 'refused',
    issues: [{ field: 'body.photoId', right: expect.stringContaining('kept here') as string }],
  });
  const { photoId } = await keep(await whole());
  expect(await cite(photoId)).toMatchObject({ status: 'written' });
});

test('a correction that cites what is no photograph is refused like any other', async () => {
  const look = { ...lookAt(20, { clarity: 'bright' }), actId: newId() };
  await served.post('/api/entries', { entries: [look] }).expect(201);
  for (const photoId of ['../../winter-jar.sqlite', 7, 'b'.repeat(64)]) {
    const id = newId();
    const body = { targetId: look.id, supersedes: null, saw: [], action: 'replace', body: { ...look.body, photoId } };
    const correction = { ...look, id, actId: id, kind: 'correction', body };
    const { body: answered } = await served.post('/api/entries', { entries: [correction] });
    expect((answered as { answers: object[] }).answers[0]).toMatchObject({
      status: 'refused',
      issues: [{ field: expect.stringMatching(/photoId$/) as string }],
    });
  }
});
