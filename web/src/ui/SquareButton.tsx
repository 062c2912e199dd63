import { Button } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A button with a picture only, large enough for a glove. */
export function SquareButton({
  label,
  disabled = false,
  onClick,
  children,
}: {
  /** What it does, for those who do not see the picture. */
  readonly label: string;
  readonly disabled?: boolean;
  readonly onClick: () => void;
  readonly children: ReactNode;
}) {
  return (
    <Button
      variant="outline"
      bg="sheet"
      minW="touch"
      px={0}
      aria-label={label}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </Button>
  );
}
