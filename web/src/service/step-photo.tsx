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
  return (
    <a href={`/api/photos/${photoId}`} target="_blank" rel="noreferrer" className="inline-block">
      <img
        src={`/api/photos/${photoId}${small ? '/thumb' : ''}`}
        alt={alt}
        className={`rounded-[6px] border border-edge object-cover ${small ? 'mt-2 h-20 w-20' : 'max-h-80 w-full'}`}
      />
    </a>
  );
}
