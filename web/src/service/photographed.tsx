import type { GuideStep } from '@winter-jar/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { PhotoField } from '../forms/photo-field.js';
import { Button } from '../ui/button.js';
import { StepPhoto } from './step-photo.js';
import type { StepProps } from './step-props.js';

/** As it was before it came off, and the labels of the bags. */
export function Photographed({ step, page, busy, onAnswer }: StepProps<'do'>) {
  const [photoId, setPhotoId] = useState('');
  return (
    <>
      <PhotoField photoId={photoId} onPhoto={setPhotoId} what="as it was" />
      {step.bag !== undefined && (
        <Link
          to={`/pumps/${page.row.pumpId}/job-cards/${page.state.job?.procedure}/bags`}
          className="inline-flex min-h-11 items-center self-start text-[15px] underline underline-offset-4"
        >
          Labels for the bags
        </Link>
      )}
      <Button
        size="field"
        look={photoId ? 'solid' : 'outline'}
        disabled={busy}
        onClick={() => onAnswer({ photoId: photoId || null })}
        className="justify-center"
      >
        {photoId ? 'Done' : 'Done, not photographed'}
      </Button>
    </>
  );
}

/** The photograph of when it came off. */
export function AsItWas({ step, done }: { step: string; done: readonly GuideStep[] }) {
  const photoId = done.findLast(({ shown }) => shown.step.id === step)?.said?.photoId;
  return photoId ? (
    <StepPhoto photoId={photoId} alt="As it was before it came off" />
  ) : (
    <p className="text-[15px] text-ink-2">It was not photographed when it came off.</p>
  );
}
