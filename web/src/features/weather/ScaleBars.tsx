import { useOperation } from '../../mirror/hooks.ts';
import { Box, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { scaleDays, scaleVerdict, type ScaleHour } from '@incremen/core/weather';
import { smallMass } from '../../ui/format.ts';

/** What a hive on a scale gained or lost, day by day, and what that means. */
export function ScaleBars({ hive, hours }: { readonly hive: string; readonly hours: readonly ScaleHour[] }) {
  const { units } = useOperation();
  const days = scaleDays(hours.filter((h) => h.hive === hive)).slice(-14);
  const verdict = scaleVerdict(days);
  const most = Math.max(0.5, ...days.map((d) => Math.abs(d.gainKg)));
  const now = hours.filter((h) => h.hive === hive).at(-1);
  return (
    <Box as="section" aria-label={`Scale under ${hive}`}>
      <Text fontWeight="700" fontSize="lg">
        {hive} on the scale{now && `: ${smallMass(now.weightKg, units)}`}
      </Text>
      <Text
        mb={2}
        fontWeight={verdict.says === 'loses' ? '700' : '400'}
        color={verdict.says === 'loses' ? 'alarm' : 'ink'}
      >
        {verdict.words} {verdict.weekKg >= 0 ? '+' : '−'}
        {smallMass(Math.abs(verdict.weekKg), units)} in the last week.
      </Text>
      <svg
        viewBox={`0 0 ${days.length * 24} 100`}
        width="100%"
        style={{ maxWidth: days.length * 34 }}
        role="img"
      >
        <title>
          {days
            .map(
              (d) =>
                `${dayInWords(d.day)} ${d.gainKg >= 0 ? '+' : '−'}${smallMass(Math.abs(d.gainKg), units)}`,
            )
            .join(', ')}
        </title>
        <path d={`M0 50h${days.length * 24}`} stroke="var(--chakra-colors-ink-soft)" strokeWidth="1" />
        {days.map((d, i) => {
          const h = (44 * Math.abs(d.gainKg)) / most;
          return (
            <rect
              key={d.day}
              x={i * 24 + 3}
              y={d.gainKg >= 0 ? 50 - h : 50}
              width={18}
              height={h}
              rx={2}
              fill={d.gainKg >= 0 ? 'var(--chakra-colors-accent)' : 'var(--chakra-colors-alarm)'}
            />
          );
        })}
      </svg>
    </Box>
  );
}
