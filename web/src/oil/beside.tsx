import { countOf, weightNumber } from '../ui/number.js';
import type { PumpPage } from '@winter-jar/contracts';
import type { JarSeen, StoryPoint } from '@winter-jar/core';
import { useState } from 'react';
import { useHeldPhoto } from '../device/use-held-photo.js';
import { useOilStoryQuery } from '../api/house-api.js';
import { dayWords } from '../words/dates.js';
import { jarWords } from '../words/jar-words.js';
import type { Words } from '../words/words.js';
import { layersOf } from '../ui/jar-layout.js';
import { Jar } from '../ui/jar.js';
import { oilColourWord } from '../ui/oil-colour.js';

const LAST = 3;
const EARLIER = 3;

/** The look of a charge that comes nearest to so much weight. */
export function sameMoment(points: readonly StoryPoint[], weightMilli: number): StoryPoint | null {
  return points.reduce<StoryPoint | null>(
    (best, p) =>
      !best || Math.abs(p.weightMilli - weightMilli) <= Math.abs(best.weightMilli - weightMilli) ? p : best,
    null,
  );
}

/** Hold the jar beside the unused oil, the last jars of this charge, and the same moment of earlier charges. */
export function BesideOthers({ page, words }: { page: PumpPage; words: Words }) {
  const { data } = useOilStoryQuery(page.row.pumpId);
  const story = data;
  if (!story) return null;
  const present = story.charges.at(-1);
  const charge = page.state.sumps.find((s) => s.key === 'oil')?.charge;
  const weight = charge ? page.state.totals.weightMilli - charge.since.counts.weightMilli : 0;
  const looks = (present?.points ?? []).filter((p) => p.jar.source !== 'change');
  const earlier = story.charges
    .slice(0, -1)
    .flatMap((c) => {
      const point = sameMoment(c.points, weight);
      return point ? [{ number: c.number, point }] : [];
    })
    .slice(-EARLIER);
  return (
    <div className="flex flex-col gap-5">
      <section>
        <h2 className="mb-2 text-[18px]">Beside the unused oil and the last jars</h2>
        <ul className="flex flex-wrap gap-x-3 gap-y-3">
          {story.product && (
            <BesideJar
              jar={unusedJar(story.product.freshColour, page.row.chargeMl)}
              words={words}
              chargeMl={page.row.chargeMl}
              title="unused"
              under={colourUnder(story.product.freshColour)}
            />
          )}
          {looks.slice(-LAST).map((p) => (
            <BesideJar
              key={p.entryId}
              jar={p.jar}
              words={words}
              chargeMl={page.row.chargeMl}
              title={dayWords(p.at, words.zone, words.now)}
              under={colourUnder(p.colour)}
            />
          ))}
        </ul>
        {looks.length === 0 && <p className="mt-2 text-[14px] text-ink-2">No jar of this charge yet.</p>}
      </section>
      {earlier.length > 0 && (
        <section>
          <h2 className="mb-2 text-[18px]">The same moment of earlier charges</h2>
          <ul className="flex flex-wrap gap-x-3 gap-y-3">
            {earlier.map(({ number, point }) => (
              <BesideJar
                key={number}
                jar={point.jar}
                words={words}
                chargeMl={page.row.chargeMl}
                title={dayWords(point.at, words.zone, words.now)}
                under={`${countOf(point.runs, 'run')}, ${weightNumber(point.weightMilli / 1000)}`}
              />
            ))}
          </ul>
          <p className="mt-1 text-[13px] text-ink-2">runs and weight then; now weight {weightNumber(weight / 1000)}</p>
        </section>
      )}
    </div>
  );
}

const colourUnder = (colour: number | null): string => (colour === null ? '' : `${colour}, ${oilColourWord(colour)}`);

/** A jar of the oil as it comes from its container. */
function unusedJar(colour: number, chargeMl: number | null): JarSeen {
  return {
    entryId: 'unused',
    at: '',
    source: 'sightGlass',
    oilUl: (chargeMl ?? 500) * 1000,
    sludgeUl: 0,
    waterUl: 0,
    waterRead: true,
    creamUl: 0,
    hazyUl: 0,
    photoId: null,
    colour,
    clarity: 'bright',
    level: null,
    hoursStood: null,
    waterFloats: false,
  };
}

function BesideJar({
  jar,
  words,
  chargeMl,
  title,
  under,
}: {
  jar: JarSeen;
  words: Words;
  chargeMl: number | null;
  title: string;
  under: string;
}) {
  // A file of looks may name a photograph that never came along.
  const [missing, setMissing] = useState(false);
  const held = useHeldPhoto(jar.photoId ?? '');
  return (
    <li className="w-[68px] text-center text-[13px]">
      {jar.photoId && !missing ? (
        <a href={held ?? `/api/photos/${jar.photoId}`} target="_blank" rel="noreferrer" className="inline-block">
          <img
            src={held ?? `/api/photos/${jar.photoId}/thumb`}
            alt={`Photograph of ${title}`}
            width={56}
            height={80}
            className="h-20 w-14 rounded-[6px] border border-edge object-cover"
            onError={() => setMissing(true)}
          />
        </a>
      ) : (
        <span className="inline-block">
          <Jar
            layers={layersOf(jar, chargeMl)}
            width={50}
            label={`${title}: ${jarWords(jar, chargeMl, words.print)}`}
          />
        </span>
      )}
      <span className="block">{title}</span>
      <span className="figure block text-ink-2">{under}</span>
    </li>
  );
}
