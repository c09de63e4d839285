import { useEffect, useState } from 'react';
import { heldPhotoUrl } from '../held/held-photos.js';

/** An address for a photograph that waits on this device; null for one that the server has. */
export function useHeldPhoto(photoId: string): string | null {
  const [shown, setShown] = useState<{ readonly of: string; readonly url: string } | null>(null);
  useEffect(() => {
    if (photoId === '') return;
    let url: string | null = null;
    let isGone = false;
    void heldPhotoUrl(photoId).then((made) => {
      url = made;
      if (isGone && made) URL.revokeObjectURL(made);
      else if (made) setShown({ of: photoId, url: made });
    });
    return () => {
      isGone = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [photoId]);
  return shown?.of === photoId ? shown.url : null;
}
