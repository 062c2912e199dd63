import { Button } from '@chakra-ui/react';
import { Moon, Sun, SunMedium, type LucideIcon } from 'lucide-react';
import { LOOKS, lookChosen, type LookName } from '../../state/lookSlice.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';

const LOOK_ICON: Readonly<Record<LookName, LucideIcon>> = { light: SunMedium, sunlight: Sun, dark: Moon };
const LOOK_WORD: Readonly<Record<LookName, string>> = { light: 'Paper', sunlight: 'Sunlight', dark: 'Dark' };

/** Goes through the looks one after the other. */
export function LookSwitch() {
  const dispatch = useAppDispatch();
  const name = useAppSelector((s) => s.look.name);
  const Icon = LOOK_ICON[name];
  const next = LOOKS[(LOOKS.indexOf(name) + 1) % LOOKS.length] as LookName;
  return (
    <Button
      variant="plain"
      color="inherit"
      justifyContent="flex-start"
      px={3}
      gap={3}
      onClick={() => dispatch(lookChosen(next))}
      aria-label={`Look: ${LOOK_WORD[name]}. Change to ${LOOK_WORD[next]}`}
    >
      <Icon size={20} aria-hidden /> {LOOK_WORD[name]}
    </Button>
  );
}
