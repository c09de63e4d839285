import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Contrast by WCAG 2.2, relative luminance of sRGB. */
const css = readFileSync(join(process.cwd(), 'web/src/app/theme.css'), 'utf8');
function tokens(selector: string): Record<string, string> {
  const block = css.slice(css.indexOf(selector)).split('}')[0] ?? '';
  return Object.fromEntries([...block.matchAll(/--([\w-]+): (#[0-9a-f]{6});/g)].map((m) => [m[1] ?? '', m[2] ?? '']));
}
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
const contrast = (a: string, b: string): number => {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
};

test('the contrast of black on white is 21', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
});

describe.each([
  ['light', ':root {'],
  ['dark', "[data-theme='dark'] {"],
])('%s', (_name, selector) => {
  const token = tokens(selector);
  const value = (name: string): string => {
    const hex = token[name];
    if (!hex) throw new Error(`no token --${name}`);
    return hex;
  };

  test.each(['ink', 'ink-2', 'run-on', 'look-sooner', 'before-next-run', 'stop'])(
    'text in %s has 4.5:1 on ground and sheet',
    (name) => {
      expect(contrast(value(name), value('ground'))).toBeGreaterThanOrEqual(4.5);
      expect(contrast(value(name), value('sheet'))).toBeGreaterThanOrEqual(4.5);
    },
  );

  test('text on the large button has 4.5:1', () => {
    expect(contrast(value('on-ink'), value('ink'))).toBeGreaterThanOrEqual(4.5);
  });

  test.each(['edge', 'oil', 'water', 'solids', 'fumes'])(
    '%s, which carries meaning, has 3:1 on ground and sheet',
    (name) => {
      expect(contrast(value(name), value('ground'))).toBeGreaterThanOrEqual(3);
      expect(contrast(value(name), value('sheet'))).toBeGreaterThanOrEqual(3);
    },
  );
});

test('both themes have every token', () => {
  expect(Object.keys(tokens("[data-theme='dark'] {")).sort()).toEqual(Object.keys(tokens(':root {')).sort());
});
