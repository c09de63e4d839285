import { serviceAt, serviceOfJob, type ProcedureId } from '@winter-jar/core';
import type { Page } from '@playwright/test';
import { v7 as newId } from 'uuid';
import { answerOf, entriesOfJob, startOf, type Answer, type JobDraft } from '../web/src/service/job-entries.js';
import { expect, letPass, open, type ReadYard } from './yard.js';

/** Answers from the warm oil to the closed plug. @param outMl what came out; null where nobody measured it */
export const drained = (outMl: number | null): readonly Answer[] =>
  [{}, {}, {}, {}, {}, {}, {}, { value: outMl }, {}, {}] satisfies Answer[];

/** One dot, as a camera gives it. */
export const PICTURE = {
  name: 'p.png',
  mimeType: 'image/png',
  buffer: Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  ),
};

const OTHER_PHONE = { device: 'another-phone', acknowledged: [], bodyVersion: 1 };

/** What leads up to the steps that a test is about, written as the guide writes it, without a browser. */
async function post(
  yard: ReadYard,
  job: { pumpId: string; jobId: string; who: string | null },
  drafts: readonly JobDraft[],
) {
  const { pumpId, jobId, who } = job;
  const { row } = await yard.pump(pumpId);
  const of = { jobId, pumpId, zone: row.zone, now: drafts.at(-1)?.happenedAt ?? '', shared: { ...OTHER_PHONE, who } };
  const entries = entriesOfJob(drafts, of);
  const answer = await fetch(`${yard.address}/api/entries`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ entries }),
  });
  expect(await answer.json()).toMatchObject({ answers: entries.map(() => ({ status: 'written' })) });
}

/** Answers the next steps of the job under way. */
export async function say(
  yard: ReadYard,
  pumpId: string,
  answers: readonly Answer[],
  who: string | null = null,
): Promise<void> {
  for (const answer of answers) {
    const { state, setUp } = await yard.pump(pumpId);
    if (!state.job) throw new Error(`no job is under way on ${pumpId}`);
    const { model } = setUp;
    const productOf = (key: string) => state.sumps.find((sump) => sump.key === key)?.charge.productId ?? null;
    const of = { answer, nowMs: Date.now(), attempt: 1, model, productOf };
    const { drafts } = answerOf(state.job, serviceOfJob(state.job, state, setUp), of);
    await post(yard, { pumpId, jobId: state.job.jobId, who }, drafts);
  }
}

/** Begins a job, answers its first steps and opens it where it stands then. */
export async function begin(
  page: Page,
  yard: ReadYard,
  pumpId: string,
  procedure: ProcedureId,
  answers: readonly Answer[] = [],
): Promise<void> {
  const { state, setUp } = await yard.pump(pumpId);
  const jobId = newId();
  const service = serviceAt(procedure, state, setUp, []);
  const happenedAt = new Date().toISOString();
  await post(yard, { pumpId, jobId, who: null }, startOf({ jobId, procedure, others: [], service, happenedAt }));
  await say(yard, pumpId, answers);
  await open(page, yard, `/pumps/${pumpId}/job`);
}

/** The step that is shown, answered in the browser. */
export function guide(page: Page, yard: ReadYard) {
  const section = page.getByRole('region', { name: /^Step \d+ of \d+$/ });
  const head = () => section.getByRole('heading', { level: 2 });
  let taps = 0;
  let values = 0;
  /** Looked for with every frame: what waits for a locator asks again after half a second. */
  const shows = (selector: 'h2' | 'button', words: string | RegExp) =>
    page.waitForFunction(
      ([within, { is, like }]) =>
        [...document.querySelectorAll(`section[aria-label^="Step "] ${within}`)].some((element) => {
          const said = (element.getAttribute('aria-label') ?? element.textContent).replace(/\s+/g, ' ').trim();
          return is === null ? new RegExp(like).test(said) : said === is;
        }),
      [selector, words instanceof RegExp ? { is: null, like: words.source } : { is: words, like: '' }] as const,
    );
  /** Another step has come, or the job has ended. */
  const leaves = (step: string) =>
    page.waitForFunction((before) => {
      const now = document.querySelector('section[aria-label^="Step "]');
      return (
        `${now?.getAttribute('aria-label')?.split(' of ')[0]}: ${now?.querySelector('h2')?.textContent}` !== before
      );
    }, step);
  const tap = async (name: string | RegExp) => {
    taps += 1;
    const button = section.getByRole('button', { name, exact: true });
    await shows('button', name);
    const step = `${(await section.getAttribute('aria-label'))?.split(' of ')[0]}: ${await head().textContent()}`;
    await button.click();
    await leaves(step);
  };
  /** A wait whose end is a time: the button stays off until then. */
  const waitOut = async (minutes: number) => {
    await shows('button', /^Go on, from \d\d:\d\d$/);
    await expect(section.getByRole('button', { name: /^Go on, from/ })).toBeDisabled();
    await letPass(page, yard, (minutes + 0.1) / 60);
    await tap('Go on');
  };
  return {
    section,
    head,
    tap,
    at: (words: string | RegExp) => shows('h2', words),
    fill: async (label: string, text: string) => {
      values += 1;
      await shows('button', 'Next');
      await section.getByLabel(label, { exact: true }).fill(text);
      await tap('Next');
    },
    waitOut,
    counted: () => ({ taps, values }),
    /** After a fill, to the reading of the level. */
    runAndWait: async () => {
      await tap('Done');
      await tap('Done');
      await waitOut(2);
      await waitOut(5);
    },
  };
}

/** Starts a service by its button. */
export async function start(page: Page, yard: ReadYard, pumpId: string, service: string): Promise<void> {
  await open(page, yard, `/pumps/${pumpId}/job-cards`);
  await page.getByRole('button', { name: `Start: ${service}`, exact: true }).click();
  await expect(page).toHaveURL(new RegExp(`/pumps/${pumpId}/job$`));
}
