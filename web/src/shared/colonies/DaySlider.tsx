import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { addDays, dayInWords, type Day } from '@incremen/core/basics';
import { useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { LOOK } from '../../state/boardSlice.ts';
import common from '../../ui/common.module.css';

/** Which day the board shows: drag it back to older counts or ahead to what brood and bees become. */
export function DaySlider({
  offset,
  onChange,
}: {
  readonly offset: number | null;
  readonly onChange: (offset: number | null) => void;
}) {
  const today = useToday();
  const at = offset ?? 0;
  const words = offset === null ? 'each on its own day' : inWords(offset, addDays(today, offset));
  return (
    <Flex align="center" gap={3} flex="1 1 330px" maxW="640px" className={common.noPrint}>
      <Button
        variant={offset === null ? 'solid' : 'outline'}
        {...(offset === null ? {} : { bg: 'sheet' })}
        px={3}
        aria-pressed={offset === null}
        onClick={() => onChange(offset === null ? 0 : null)}
      >
        As counted
      </Button>
      <Box flex="1" minW={0}>
        <Flex justify="space-between" fontSize="sm" lineHeight="1.2">
          <Text fontWeight="600" aria-live="polite">
            {words}
          </Text>
          {at !== 0 && (
            <Button variant="plain" h="auto" minH="24px" p={0} color="accent" onClick={() => onChange(0)}>
              back to today
            </Button>
          )}
        </Flex>
        <input
          type="range"
          min={LOOK.back}
          max={LOOK.ahead}
          step={1}
          value={at}
          list="board-days"
          aria-label="Day that the board shows"
          aria-valuetext={words}
          onChange={(e) => onChange(Number(e.target.value))}
          style={{
            width: '100%',
            height: 32,
            accentColor: 'var(--chakra-colors-accent)',
            opacity: offset === null ? 0.45 : 1,
          }}
        />
        <datalist id="board-days">
          {[-14, -7, 0, 7, 14, 21, 28].map((d) => (
            <option key={d} value={d} aria-label={d === 0 ? 'today' : String(d)} />
          ))}
        </datalist>
      </Box>
    </Flex>
  );
}

function inWords(offset: number, day: Day): string {
  if (offset === 0) return `${dayInWords(day)}, today`;
  return `${dayInWords(day)}, ${offset > 0 ? `in ${count(offset, 'day')}` : `${count(-offset, 'day')} ago`}`;
}
