import { isDiskFull } from './disk-full.js';

test.each([
  [Object.assign(new Error('no space left on device'), { code: 'ENOSPC' }), true],
  [Object.assign(new Error('disk quota exceeded'), { code: 'EDQUOT' }), true],
  [Object.assign(new Error('no such file'), { code: 'ENOENT' }), false],
  [new Error('ENOSPC'), false],
  [null, false],
  ['ENOSPC', false],
])('%p: is the disk full? %p', (error, full) => {
  expect(isDiskFull(error)).toBe(full);
});
