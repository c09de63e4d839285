import type { Page } from '@playwright/test';

/** What no person should have to read, by what is wrong with it. Words are looked at piece by piece, figures line by line. */
const IN_WORDS: readonly (readonly [string, RegExp])[] = [
  ['a code', /\b(?!hPa\b|kPa\b|mTorr\b|mL\b|KOH\b)[a-z]+[A-Z][A-Za-z]*\b/],
  ['nothing, as a program says it', /\b(undefined|null|NaN|Infinity)\b|\[object/],
  ['an id', /[0-9a-f]{8}-[0-9a-f]{4}-/],
];
const IN_LINES: readonly (readonly [string, RegExp])[] = [
  ['more digits than anybody reads', /(?<![\d.])(?!0\.0+\d{1,2}(?!\d))\d+\.\d{3,}/],
  ['thousands without a comma', /(?<![\w.,–/-]|ISO )(?!19\d\d\b|20\d\d\b)[1-9]\d{3,}(?![\d:/-])/],
  ['a date as a program writes it', /\d{4}-\d\d-\d\d/],
  ['a power as a program writes it', /\d[eE][+-]?\d/],
  ['one of many', /(?<![\d.,])1 (runs|hours|days|changes|looks|entries|rows|pumps|readings|charges|records|reasons)\b/],
];

/** Raw figures and codes that a page prints, opened as far as it opens. */
export async function rawIn(page: Page): Promise<string[]> {
  const { words, lines } = await page.evaluate(() => {
    for (const details of document.querySelectorAll('details')) details.open = true;
    const main = document.querySelector('main') ?? document.body;
    const walker = document.createTreeWalker(main, NodeFilter.SHOW_TEXT);
    const words: string[] = [];
    while (walker.nextNode()) words.push(walker.currentNode.textContent ?? '');
    for (const named of main.querySelectorAll('[aria-label]')) words.push(named.getAttribute('aria-label') ?? '');
    return { words, lines: main.innerText.split('\n') };
  });
  const found = (texts: readonly string[], rules: typeof IN_WORDS) =>
    // Where a folder or a page lies is said as machines say it.
    rules.flatMap(([what, rule]) =>
      texts.filter((text) => rule.test(text.replace(/\S*\/\S*\/\S*/g, ''))).map((text) => `${what}: ${text.trim()}`),
    );
  return [...found(words, IN_WORDS), ...found(lines, IN_LINES)];
}
