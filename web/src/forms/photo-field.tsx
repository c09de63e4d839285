import type { ApiProblem, PhotoKept } from '@winter-jar/contracts';
import { MAX_PHOTO_BYTES, PHOTO_TYPES } from '@winter-jar/contracts';
import { Camera, Trash2 } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { holdPhoto } from '../held/held-photos.js';
import { useHeldPhoto } from '../device/use-held-photo.js';
import { buttonClass, Button } from '../ui/button.js';
import type { Underlay } from '../ui/jar.js';

type Kept = { readonly ok: true; readonly photoId: string } | { readonly ok: false; readonly words: string };

/** Sends a picture as it is; the server turns it upright and takes off what the camera wrote beside it. */
async function sendPhoto(file: File): Promise<Kept> {
  if (!PHOTO_TYPES.includes(file.type))
    return {
      ok: false,
      words: `“${file.name}” is not a photograph that can be kept. Right would be JPEG, PNG or WebP.`,
    };
  if (file.size === 0) return { ok: false, words: `“${file.name}” is empty. Right would be a photograph.` };
  if (file.size > MAX_PHOTO_BYTES)
    return {
      ok: false,
      words: `“${file.name}” is too large. Right would be at most ${MAX_PHOTO_BYTES / 1_000_000} MB.`,
    };
  try {
    const response = await fetch('/api/photos', { method: 'POST', headers: { 'content-type': file.type }, body: file });
    const answer = (await response.json()) as PhotoKept | ApiProblem;
    if ('photoId' in answer) return { ok: true, photoId: answer.photoId };
    return { ok: false, words: `The photograph was not kept. Right would be ${answer.right}.` };
  } catch {
    return holdOnDevice(file);
  }
}

/** Without a connection it is kept here and sent with its entry. */
async function holdOnDevice(file: File): Promise<Kept> {
  try {
    return { ok: true, photoId: await holdPhoto(file) };
  } catch {
    const words =
      'The photograph was not kept: the server does not answer, and this browser has no room for it. Choose it again when it is back; all else stays.';
    return { ok: false, words };
  }
}

/** A photograph, kept with its entry; the jar of a look can be laid over it. */
export function PhotoField({
  photoId,
  onPhoto,
  what = 'of the jar',
  underlay = null,
  onUnderlay = null,
}: {
  photoId: string;
  onPhoto: (photoId: string) => void;
  /** What it shows. */
  what?: string;
  underlay?: Underlay | null;
  onUnderlay?: ((underlay: Underlay | null) => void) | null;
}) {
  const input = useRef<HTMLInputElement>(null);
  const id = useId();
  const held = useHeldPhoto(photoId);
  const [sending, setSending] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const take = async (file: File | undefined) => {
    if (!file) return;
    setSending(true);
    setTrouble(null);
    const kept = await sendPhoto(file);
    setSending(false);
    if (input.current) input.current.value = '';
    if (kept.ok) onPhoto(kept.photoId);
    else setTrouble(kept.words);
  };
  return (
    <div className="flex flex-col gap-3">
      <span className="font-semibold">Photograph</span>
      <div className="flex flex-wrap items-center gap-3">
        {photoId && (
          <img
            src={held ?? `/api/photos/${photoId}/thumb`}
            alt={`The photograph ${what}`}
            className="h-20 w-20 rounded-[6px] border border-edge object-cover"
          />
        )}
        <label htmlFor={id} className={`${buttonClass('outline', 'field')} cursor-pointer focus-within:outline-2`}>
          <Camera size={18} aria-hidden="true" />
          {sending ? 'Keeping it …' : photoId ? 'Another one' : `Photo ${what}`}
          <input
            ref={input}
            id={id}
            type="file"
            accept={PHOTO_TYPES.join(',')}
            className="sr-only"
            disabled={sending}
            onChange={(e) => void take(e.target.files?.[0])}
          />
        </label>
        {photoId && (
          <Button
            look="plain"
            size="field"
            onClick={() => {
              onPhoto('');
              onUnderlay?.(null);
            }}
          >
            <Trash2 size={16} aria-hidden="true" />
            Leave it out
          </Button>
        )}
        {photoId && onUnderlay && (
          <Button
            size="field"
            aria-pressed={underlay !== null}
            onClick={() => onUnderlay(underlay ? null : { url: held ?? `/api/photos/${photoId}`, size: 1, shift: 0 })}
          >
            {underlay ? 'Take the jar off it' : 'Lay the jar over it'}
          </Button>
        )}
      </div>
      {underlay && onUnderlay && (
        <div className="grid gap-3 sm:grid-cols-2">
          <FitSlider
            label="Size of the photograph"
            min={0.5}
            max={3}
            value={underlay.size}
            onChange={(size) => onUnderlay({ ...underlay, size })}
          />
          <FitSlider
            label="Move it up or down"
            min={-1}
            max={1}
            value={underlay.shift}
            onChange={(shift) => onUnderlay({ ...underlay, shift })}
          />
        </div>
      )}
      {trouble && (
        <p role="alert" className="text-[14px] font-semibold text-stop">
          {trouble}
        </p>
      )}
      <p className="text-[14px] text-ink-2">Place and time that the camera wrote into it are removed.</p>
    </div>
  );
}

function FitSlider({
  label,
  min,
  max,
  value,
  onChange,
}: {
  label: string;
  min: number;
  max: number;
  value: number;
  onChange: (value: number) => void;
}) {
  return (
    <label className="flex flex-col gap-1 text-[14px]">
      {label}
      <input
        type="range"
        min={min}
        max={max}
        step={0.01}
        value={value}
        onChange={(e) => onChange(Number(e.target.value))}
        className="h-10 accent-(--ink)"
      />
    </label>
  );
}
