import { API_PATHS } from '@incremen/contract';
import { useEffect, useState } from 'react';
import { useAppSelector } from '../../state/store.ts';
import { localDatabase } from '../../offline/database.ts';

/** Keeps a photo on this device until it has been sent, and after. */
export async function keepPhoto(operationId: string, id: string, blob: Blob): Promise<void> {
  await (await localDatabase()).put('photos', { id, operationId, blob, sent: 0 });
}

/** Forgets a photo that was never put to a visit. */
export async function forgetPhoto(id: string): Promise<void> {
  await (await localDatabase()).delete('photos', id);
}

/** An address under which a photo can be shown: from this device while it is here, else from the server. */
export function usePhotoUrl(photoId: string): string | null {
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    let own: string | null = null;
    let current = true;
    const show = (address: string) => current && setUrl(address);
    // Where the browser keeps nothing, the server has it.
    const here = localDatabase().then(
      (db) => db.get('photos', photoId),
      () => undefined,
    );
    void here.then((kept) => {
      if (kept && current) {
        own = URL.createObjectURL(kept.blob);
        show(own);
      } else if (operationId !== null) show(API_PATHS.photo(operationId, photoId));
    });
    return () => {
      current = false;
      if (own !== null) URL.revokeObjectURL(own);
    };
  }, [photoId, operationId]);
  return url;
}
