import { renderHook } from '@testing-library/react';
import { useKept } from './use-kept.js';

test('a value is made once for each key, however often it is drawn', () => {
  const made: string[] = [];
  const { result, rerender } = renderHook(
    ({ key }) =>
      useKept(key, () => {
        made.push(key);
        return { of: key };
      }),
    { initialProps: { key: 'a' } },
  );
  const first = result.current;
  rerender({ key: 'a' });
  rerender({ key: 'a' });
  expect(result.current).toBe(first);
  rerender({ key: 'b' });
  expect(result.current).toEqual({ of: 'b' });
  expect(made).toEqual(['a', 'b']);
});
