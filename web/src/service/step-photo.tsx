/** How a step is done, as the house has photographed it. */
export function StepPhoto({ photoId, small = false }: { photoId: string; small?: boolean }) {
  return (
    <a href={`/api/photos/${photoId}`} target="_blank" rel="noreferrer" className="inline-block">
      <img
        src={`/api/photos/${photoId}${small ? '/thumb' : ''}`}
        alt="How this step is done here"
        className={`rounded-[6px] border border-edge object-cover ${small ? 'mt-2 h-20 w-20' : 'max-h-80 w-full'}`}
      />
    </a>
  );
}
