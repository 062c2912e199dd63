import { Box, Input, Text } from '@chakra-ui/react';
import { dayInWords, typedDay, yearOf, type Day, type NumberOrder } from '@incremen/core/basics';
import { CalendarDays } from 'lucide-react';
import { useRef, useState } from 'react';
import { useToday } from '../../mirror/hooks.ts';
import styles from './DayInput.module.css';

/** Where the month is written first a day of numbers alone is read so. */
const orderHere = (): NumberOrder => (navigator.language === 'en-US' ? 'month-first' : 'day-first');

const inFull = (day: Day): string => (day === '' ? '' : `${dayInWords(day)} ${yearOf(day)}`);

/**
 * A day, shown with its weekday and the month in letters: the same in every country. It is typed in any usual form or chosen in
 * the device's calendar; what is no day changes nothing and is said.
 */
export function DayInput({
  value,
  min,
  max,
  label,
  invalid = false,
  onChange,
}: {
  /** As `2026-05-15`; empty for none. */
  readonly value: string;
  /** The first and the last day that the calendar offers. */
  readonly min?: string | undefined;
  readonly max?: string | undefined;
  /** Where no label stands beside it. */
  readonly label?: string;
  readonly invalid?: boolean;
  readonly onChange: (day: string) => void;
}) {
  const today = useToday();
  const calendar = useRef<HTMLInputElement>(null);
  // While it is typed it is not put into words.
  const [typing, setTyping] = useState<{ text: string; from: string; to: string | null } | null>(null);
  // Another day that comes from elsewhere meanwhile, as by undo, is shown.
  const typed = typing && (value === typing.from || value === typing.to) ? typing.text : null;
  const [wrong, setWrong] = useState(false);
  const take = (text: string) => {
    const day = text.trim() === '' ? '' : typedDay(text, today, orderHere());
    setTyping({ text, from: value, to: day });
    if (day !== null) setWrong(false);
    if (day !== null && day !== value) onChange(day);
  };
  return (
    <Box>
      <div className={styles.day}>
        <Input
          type="text"
          bg="sheet"
          minH="44px"
          pr="44px"
          autoComplete="off"
          aria-label={label}
          aria-invalid={invalid || wrong}
          value={typed ?? inFull(value)}
          onFocus={(e) => e.target.select()}
          onChange={(e) => take(e.target.value)}
          onBlur={() => {
            setWrong(typing !== null && typing.to === null);
            setTyping(null);
          }}
        />
        <button
          type="button"
          className={styles.calendar}
          aria-label="Open the calendar"
          onClick={() => calendar.current?.showPicker()}
        >
          <CalendarDays size={20} aria-hidden />
        </button>
        <input
          ref={calendar}
          type="date"
          className={styles.native}
          tabIndex={-1}
          aria-hidden
          value={value}
          min={min}
          max={max}
          onChange={(e) => {
            setTyping(null);
            setWrong(false);
            if (e.target.value !== '') onChange(e.target.value);
          }}
        />
      </div>
      {wrong && (
        <Text color="alarm" role="alert">
          That is no day: write it as {inFull(today)} or {today}.
        </Text>
      )}
    </Box>
  );
}
