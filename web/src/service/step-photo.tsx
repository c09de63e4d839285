import { useHeldPhoto } from '../device/use-held-photo.js';

/** A photograph beside a step: how the house does it, or how it was. Large by a tap. */
export function StepPhoto({
  photoId,
  alt = 'How this step is done here',
  small = false,
}: {
  photoId: string;
  alt?: string;
  small?: boolean;
}) {
  const held = useHeldPhoto(photoId);
  return (
    <a href={held ?? `/api/photos/${photoId}`} target="_blank" rel="noreferrer" className="inline-block">
      <img
        src={held ?? `/api/photos/${photoId}${small ? '/thumb' : ''}`}
        alt={alt}
        className={`rounded-[6px] border border-edge object-cover ${small ? 'mt-2 h-20 w-20' : 'max-h-80 w-full'}`}
      />
    </a>
  );
}
