import type { PumpPlace } from '@winter-jar/core';
import { Link } from 'react-router';
import { PLACE_MEANS } from '../words/place-words.js';

/** That a pump is not in service, what that means, and where it is changed; nothing for one that is. */
export function PlaceNote({ pumpId, place }: { pumpId: string; place: PumpPlace }) {
  const means = PLACE_MEANS[place];
  if (!means) return null;
  return (
    <p className="mt-1 border-l-4 border-rule pl-3 text-[15px]">
      {means}{' '}
      <Link to={`/set-up/pump/${pumpId}?back=/pumps/${pumpId}`} className="no-print text-ink">
        Change where it is
      </Link>
    </p>
  );
}
