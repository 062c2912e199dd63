import { Box, Button } from '@chakra-ui/react';
import { PHOTO_LIMITS } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import { Camera } from 'lucide-react';
import { memo, useRef, useState } from 'react';
import { useAppSelector } from '../../state/store.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { keepPhoto } from './keptPhotos.ts';
import { PhotoStrip } from './PhotoStrip.tsx';
import { shrinkPhoto } from './shrinkPhoto.ts';

/** A photo taken for a visit that is not saved yet; its picture is kept on the device. */
export interface DraftPhoto {
  readonly id: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly bytes: number;
}

/** Takes photos for a visit: from the camera on a phone, from files elsewhere. */
export const AddPhotos = memo(function AddPhotos({
  photos,
  onChange,
}: {
  readonly photos: readonly DraftPhoto[];
  readonly onChange: (photos: readonly DraftPhoto[]) => void;
}) {
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const input = useRef<HTMLInputElement>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);

  async function take(files: readonly File[]) {
    if (operationId === null) return;
    setBusy(true);
    const wrong: Problem[] = [];
    let all = photos;
    for (const file of files) {
      if (all.length >= PHOTO_LIMITS.perVisit) {
        wrong.push({
          code: 'too-many-photos',
          path: ['photo'],
          message: `${file.name} was left out: a visit holds ${PHOTO_LIMITS.perVisit} photos.`,
          remedy: 'Take one away first.',
        });
        continue;
      }
      const small = await shrinkPhoto(file);
      if (!small.ok) {
        wrong.push(...small.problems);
        continue;
      }
      const { blob, widthPx, heightPx } = small.value;
      const id = crypto.randomUUID();
      await keepPhoto(operationId, id, blob);
      all = [...all, { id, widthPx, heightPx, bytes: blob.size }];
    }
    setProblems(wrong);
    onChange(all);
    setBusy(false);
  }

  return (
    <Box display="grid" gap={2} justifyItems="start">
      <PhotoStrip
        photos={photos.map((p, i) => ({ id: p.id, label: `photo ${i + 1}` }))}
        // The picture stays on the device until the visit is saved: taking it away can be undone.
        onRemove={(id) => onChange(photos.filter((p) => p.id !== id))}
      />
      <Button variant="outline" bg="sheet" minH="48px" loading={busy} onClick={() => input.current?.click()}>
        <Camera size={20} aria-hidden /> Add a photo
      </Button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        multiple
        hidden
        aria-label="Photos of this visit"
        onChange={(e) => {
          void take([...(e.target.files ?? [])]);
          e.target.value = '';
        }}
      />
      <ProblemList problems={problems} />
    </Box>
  );
});
