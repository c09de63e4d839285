import { MAX_OWN_WORDS } from '@winter-jar/contracts';
import { mayAdd, mayLeaveOut, OWN_STEP_WAYS, type OwnStep, type OwnStepWay, type Step } from '@winter-jar/core';
import { useState } from 'react';
import { PhotoField } from '../forms/photo-field.js';
import { Button } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { Field, inputClass, TextField } from '../ui/field.js';
import { typedNumber } from '../ui/typed-number.js';
import { OWN_WAY_WORDS } from '../words/own-step-words.js';
import { NotKept } from './not-kept.js';

const USUAL_MINUTES = '2';
const MOST_MINUTES = 600;

const minutesOf = (text: string): number | null => {
  const read = typedNumber(text.trim());
  return read.ok && read.value >= 1 && read.value <= MOST_MINUTES ? read.value : null;
};

/** What this house does otherwise at one step. @param known as it was said before; its way stays */
export function OwnStepForm({
  step,
  steps,
  known,
  busy,
  failed,
  onKeep,
  onLeave,
}: {
  step: Step;
  steps: readonly Step[];
  known: OwnStep | null;
  busy: boolean;
  failed: boolean;
  onKeep: (said: Pick<OwnStep, 'way' | 'words' | 'minutes' | 'photoId'>) => void;
  onLeave: () => void;
}) {
  const [way, setWay] = useState<OwnStepWay>(known?.way ?? 'reword');
  /** Null until something is typed. */
  const [typed, setTyped] = useState<string | null>(known?.words ?? null);
  const [minutes, setMinutes] = useState(known?.minutes ? String(known.minutes) : USUAL_MINUTES);
  const [photoId, setPhotoId] = useState(known?.photoId ?? '');
  const [tried, setTried] = useState(false);
  const can = (one: OwnStepWay): boolean =>
    one === 'leaveOut' ? mayLeaveOut(step, steps) : one === 'reword' || mayAdd(one, step);
  const isAdded = way === 'before' || way === 'after';
  const took = minutesOf(minutes);
  const words = typed ?? (way === 'reword' ? step.words : '');
  const noWords = way !== 'leaveOut' && (words.trim() === '' || (way === 'reword' && words.trim() === step.words));
  const noMinutes = isAdded && took === null;
  function keep() {
    setTried(true);
    if (noWords || noMinutes) return;
    onKeep({
      way,
      ...(way === 'leaveOut' ? {} : { words: words.trim(), photoId: photoId || null }),
      ...(isAdded ? { minutes: took } : {}),
    });
  }
  return (
    <form
      className="mt-2 flex flex-col gap-4 border-l-4 border-oil bg-sheet p-4"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      {!known && (
        <Chips
          label="In this house"
          chips={OWN_STEP_WAYS.filter(can).map((value) => ({ value, words: OWN_WAY_WORDS[value] }))}
          value={way}
          onChange={setWay}
          {...(can('leaveOut')
            ? {}
            : { hint: 'It cannot be left out: it carries a caution or a value, or more follows.' })}
        />
      )}
      {way !== 'leaveOut' && (
        <>
          <Field
            label="What to do"
            error={tried && noWords ? 'Say it in your words.' : undefined}
            hint={
              way === 'reword' && step.amount
                ? 'Where {amount} stands, the volume of the model is put in. Its caution stays as it is.'
                : 'Its first sentence is read from a metre away. Cautions stay as they are.'
            }
          >
            {({ id, describedBy, invalid }) => (
              <textarea
                id={id}
                dir="auto"
                rows={3}
                maxLength={MAX_OWN_WORDS}
                className={`${inputClass(invalid)} py-3`}
                value={words}
                onChange={(e) => setTyped(e.target.value)}
                aria-describedby={describedBy}
                aria-invalid={invalid}
              />
            )}
          </Field>
          {isAdded && (
            <TextField
              label="Minutes it takes"
              inputMode="numeric"
              value={minutes}
              onText={setMinutes}
              error={
                tried && noMinutes ? `“${minutes}” is no time here. Right would be minutes from 1 to 600.` : undefined
              }
            />
          )}
          <PhotoField photoId={photoId} onPhoto={setPhotoId} what="of how it is done" />
        </>
      )}
      {failed && <NotKept />}
      <div className="flex flex-wrap gap-3">
        <Button type="submit" size="field" look="solid" disabled={busy}>
          {way === 'leaveOut' ? 'Leave it out' : 'Keep it'}
        </Button>
        <Button size="field" look="plain" onClick={onLeave}>
          Not now
        </Button>
      </div>
    </form>
  );
}
