import { Box, Button, Dialog, Flex, Portal } from '@chakra-ui/react';
import { X } from 'lucide-react';
import { useState } from 'react';
import { usePhotoUrl } from './keptPhotos.ts';

/** A photo as far as a strip needs it. */
export interface ShownPhoto {
  readonly id: string;
  /** What it shows, for those who do not see it. */
  readonly label: string;
}

/** Photos in a row; a tap opens one large. */
export function PhotoStrip({
  photos,
  onRemove,
}: {
  readonly photos: readonly ShownPhoto[];
  readonly onRemove?: (id: string) => void;
}) {
  const [open, setOpen] = useState<ShownPhoto | null>(null);
  if (photos.length === 0) return null;
  return (
    <Flex as="ul" listStyleType="none" gap={2} wrap="wrap">
      {photos.map((p) => (
        <Box as="li" key={p.id} position="relative">
          <Button variant="plain" p={0} h="auto" aria-label={`Open ${p.label}`} onClick={() => setOpen(p)}>
            <Picture photo={p} height={92} />
          </Button>
          {onRemove && (
            <Button
              position="absolute"
              top="-8px"
              right="-8px"
              minW="touch"
              px={0}
              borderRadius="full"
              aria-label={`Take away ${p.label}`}
              onClick={() => onRemove(p.id)}
            >
              <X size={18} aria-hidden />
            </Button>
          )}
        </Box>
      ))}
      <Dialog.Root
        open={open !== null}
        onOpenChange={(e) => !e.open && setOpen(null)}
        size="cover"
        lazyMount
        unmountOnExit
      >
        <Portal>
          <Dialog.Backdrop />
          <Dialog.Positioner p={3}>
            <Dialog.Content bg="sheet" p={3} aria-label={open?.label ?? ''}>
              {open && <Picture photo={open} height={0} />}
              <Dialog.CloseTrigger asChild>
                <Button mt={3}>Close</Button>
              </Dialog.CloseTrigger>
            </Dialog.Content>
          </Dialog.Positioner>
        </Portal>
      </Dialog.Root>
    </Flex>
  );
}

/** @param height in px; 0 fills the room there is */
function Picture({ photo, height }: { readonly photo: ShownPhoto; readonly height: number }) {
  const url = usePhotoUrl(photo.id);
  if (!url) return <Box w="92px" h={height ? `${height}px` : '60vh'} bg="sunk" borderRadius="md" />;
  return (
    <img
      src={url}
      alt={photo.label}
      style={
        height
          ? { height, width: 'auto', maxWidth: 160, objectFit: 'cover', borderRadius: 8 }
          : { maxWidth: '100%', maxHeight: 'calc(100dvh - 120px)', objectFit: 'contain', margin: '0 auto' }
      }
    />
  );
}
