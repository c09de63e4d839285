import { countOf, hours, number } from '../ui/number.js';
import type { Entry, HouseSetUp, JobMove, OilWent, TaskId } from '@winter-jar/core';
import { dayWords } from './dates.js';
import { TASK_WORDS } from './messages.js';
import type { Words } from './words.js';
import { causeName, testWords } from './diagnosis-words.js';
import { figuresWords } from './lab-words.js';
import { jobName } from './procedure-words.js';
import { materialName } from './material-words.js';
import { mediaName, transferWords } from './store-words.js';
import {
  CLARITY_WORDS,
  FOAM_WORDS,
  OIL_WENT_WORDS,
  PARTICLE_KIND_WORDS,
  SMELL_WORDS,
  SOURCE_WORDS,
} from './look-words.js';

export const LEVEL_WORDS = {
  none: 'no oil in the glass',
  low: 'below MIN',
  hair: 'a hair outside the marks',
  right: 'between the marks',
  high: 'above MAX',
  notTold: 'level not read',
} as const;

/** How long oil stood: minutes, hours or days, as people say it. */
export const stoodWords = (stood: number): string =>
  stood < 1
    ? `${number(stood * 60)}\u00a0min`
    : stood < 48
      ? `${number(stood, 1)}\u00a0h`
      : `${number(stood / 24, 1)}\u00a0days`;

/** Hours on a meter: whole ones are enough. */
export const meterWords = (minutes: number): string => hours(minutes / 60);

const wentWords = (where: OilWent): string => `oil had gone ${OIL_WENT_WORDS[where]}`;

const joined = (parts: readonly (string | number | null | undefined | false)[]): string =>
  parts.filter(Boolean).join(' · ');

const MOVED_WORDS: Readonly<Record<JobMove, string>> = {
  paused: 'paused',
  resumed: 'taken up again',
  handedOver: 'handed over to',
};

/** By its id; the house's own have none that says anything. */
const stepName = (id: string): string => (/^(\w+\.)?own\./.test(id) ? 'a step of the house' : id);

/** What an entry says, in one line and in the person's units. */
export function entryWords(entry: Entry, house: HouseSetUp, { print, zone, now }: Words): string {
  switch (entry.kind) {
    case 'run': {
      const { materialId, minutes, cycles, ballast, trapTempC, lowestPressurePa, session, ventedBeforeStop, remark } =
        entry.body;
      return joined([
        materialName(materialId, house),
        entry.body.stillRunning && 'still running',
        minutes ? print.duration(minutes) : null,
        cycles ? countOf(cycles, 'cycle') : null,
        session === 'sideJob' ? 'side job' : session === 'aborted' ? 'aborted' : null,
        ballast === 'unknown' ? null : `ballast ${ballast === 'purge' ? 'to purge' : ballast}`,
        entry.body.loadKg && `${number(entry.body.loadKg, 1)}\u00a0kg`,
        entry.body.trapProfile?.length
          ? `trap read ${entry.body.trapProfile.length} times`
          : trapTempC !== null && trapTempC !== undefined && `trap ${print.temperature(trapTempC)}`,
        (entry.body.oilTempC ?? null) !== null && `oil ${print.temperature(entry.body.oilTempC ?? 0)}`,
        entry.body.defrostedBefore === 'yes' && 'after a defrost',
        entry.body.drainClosed === 'no' && 'drain open at the start',
        entry.body.inLineFilter === 'yes' && 'in-line filter',
        entry.body.firstPressurePa && `first ${print.pressure(entry.body.firstPressurePa)}`,
        lowestPressurePa && `lowest ${print.pressure(lowestPressurePa)}`,
        ventedBeforeStop === 'no' && 'stopped under vacuum',
        entry.body.beyondTakeOver && 'on top of what was counted at the take-over',
        remark,
      ]);
    }
    case 'look': {
      const { body } = entry;
      const layer = (words: string, volumeMl: number | null | undefined) =>
        volumeMl !== null && volumeMl !== undefined && `${words} ${print.volume(volumeMl)}`;
      const kinds = (body.particleKinds ?? []).map((k) => PARTICLE_KIND_WORDS[k]).join(', ');
      return joined([
        SOURCE_WORDS[body.source],
        body.lookedAtMl && print.volume(body.lookedAtMl),
        body.hoursStood > 0 ? `stood ${stoodWords(body.hoursStood)}` : 'running',
        body.jarTempC !== null && body.jarTempC !== undefined && `at ${print.temperature(body.jarTempC)}`,
        body.level && LEVEL_WORDS[body.level],
        body.oilWent && wentWords(body.oilWent),
        body.colour && `colour ${body.colour}`,
        body.clarity && CLARITY_WORDS[body.clarity],
        layer('sludge', body.sludgeMl),
        layer('free water', body.freeWaterMl),
        layer('cream', body.creamMl),
        layer('hazy oil', body.hazyMl),
        body.particles && `particles: ${body.particles}${kinds && `, ${kinds}`}`,
        body.smell && `smell: ${SMELL_WORDS[body.smell]}`,
        body.foam && `foam: ${FOAM_WORDS[body.foam]}`,
        body.waterAtPickUp && 'water at the oil pick-up',
        body.thrownFromExhaust && 'oil thrown from the exhaust',
        body.photoId && 'with a photograph',
        body.remark,
      ]);
    }
    case 'bleed':
      return joined([
        (entry.body.drawnMl ?? null) === null ? 'not measured' : `${print.volume(entry.body.drawnMl ?? 0)} drawn`,
        (entry.body.waterMl ?? null) === null
          ? 'its water not read yet'
          : `${print.volume(entry.body.waterMl ?? 0)} of it water`,
        entry.body.levelAfter ? LEVEL_WORDS[entry.body.levelAfter] : null,
        entry.body.remark,
      ]);
    case 'topUp':
      return joined([
        `${print.volume(entry.body.addedMl)} of ${house.oilProduct[entry.body.productId]?.name ?? entry.body.productId}`,
        LEVEL_WORDS[entry.body.levelAfter ?? 'notTold'],
        entry.body.oilWent && wentWords(entry.body.oilWent),
        entry.body.remark,
      ]);
    case 'change':
      return joined([
        house.oilProduct[entry.body.productId]?.name ?? entry.body.productId,
        (entry.body.outMl ?? null) === null
          ? 'not measured what came out'
          : `${print.volume(entry.body.outMl ?? 0)} out`,
        `${print.volume(entry.body.inMl)} in`,
        LEVEL_WORDS[entry.body.levelAfter ?? 'notTold'],
        entry.body.oilWent && wentWords(entry.body.oilWent),
        entry.body.jarKept && 'a jar of it kept',
        entry.body.fromContainerId &&
          `out of ${house.container[entry.body.fromContainerId]?.name ?? entry.body.fromContainerId}`,
        entry.body.intoContainerId &&
          `into ${house.container[entry.body.intoContainerId]?.name ?? entry.body.intoContainerId}`,
        entry.body.flushed?.length &&
          `flushed with ${countOf(entry.body.flushed.length, 'fill')}, ${print.volume(entry.body.flushed.reduce((sum, f) => sum + f.inMl, 0))}`,
        entry.body.remark,
      ]);
    case 'meter': {
      const { action, minutes, newMinutes, remark } = entry.body;
      const shown = meterWords(minutes);
      return joined([
        action === 'read'
          ? `reads ${shown}`
          : `replaced at ${shown}, the new one starts at ${meterWords(newMinutes ?? 0)}`,
        remark,
      ]);
    }
    case 'takeOver': {
      const { meterMinutes, oilChangedAt, runsSince, minutesSince, remark } = entry.body;
      const known = (value: number | null | undefined) => value !== null && value !== undefined;
      return joined([
        oilChangedAt ? `oil changed ${dayWords(oilChangedAt, zone, now)}` : 'oil of unknown age',
        known(runsSince) ? `${runsSince} runs since` : 'runs since unknown',
        known(minutesSince) && `${meterWords(minutesSince ?? 0)} since`,
        known(meterMinutes) && `meter ${meterWords(meterMinutes ?? 0)}`,
        remark,
      ]);
    }
    case 'labSample':
      return joined([entry.body.label, `${print.volume(entry.body.drawnMl)} drawn`, entry.body.remark]);
    case 'labResult':
      return joined([...figuresWords(entry.body), entry.body.remark]);
    case 'done':
      return joined([TASK_WORDS[entry.body.task as TaskId] ?? entry.body.task, entry.body.remark]);
    case 'test':
      return testWords(entry.body, print);
    case 'jobStarted':
      return joined([jobName(entry.body.procedure, entry.body.with), entry.body.remark]);
    case 'jobStep':
      return joined([stepName(entry.body.step), entry.body.phase === 'begun' && 'wait begun']);
    case 'jobMoved':
      return joined([
        MOVED_WORDS[entry.body.how],
        entry.body.to && house.person[entry.body.to]?.name,
        entry.body.remark,
      ]);
    case 'jobEnded':
      return joined([entry.body.how === 'done' ? 'done' : 'given up', entry.body.remark]);
    case 'caseOpened':
      return entry.body.complaint;
    case 'caseClosed':
      return joined([causeName(entry.body.causeId), entry.body.remedy, entry.body.remark]);
    case 'caseChecked':
      return joined([entry.body.held ? 'it held' : 'it did not hold', entry.body.remark]);
    case 'transfer':
      return transferWords(entry.body, house, { print, zone, now });
    case 'stocktake': {
      const { oilMl, waterMl, creamMl, sludgeMl, clarity, colour, remark } = entry.body;
      return joined([
        `oil ${print.volume(oilMl)}`,
        waterMl && `water ${print.volume(waterMl)}`,
        creamMl && `cream ${print.volume(creamMl)}`,
        sludgeMl && `sludge ${print.volume(sludgeMl)}`,
        clarity && CLARITY_WORDS[clarity],
        colour && `colour ${colour}`,
        remark,
      ]);
    }
    case 'opened':
      return joined(['opened', entry.body.remark]);
    case 'mediaChange':
      return joined([
        entry.body.mediaId ? mediaName(entry.body.mediaId, house) : 'taken out',
        entry.body.recoveredMl && `${print.volume(entry.body.recoveredMl)} wrung out`,
        entry.body.remark,
      ]);
    case 'note':
      return entry.body.text;
  }
}
