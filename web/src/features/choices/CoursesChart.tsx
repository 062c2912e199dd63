import { Box } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { ChoiceCourse, ChoiceId, ChoicePart } from '@incremen/core/remedies';
import { LineChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect } from 'react';
import { one } from '../../ui/format.ts';
import { BODY_FONT } from '../../ui/fonts.ts';
import { useChart } from '../../ui/useChart.ts';
import { useTokenColours } from '../../ui/useTokenColours.ts';
import type { Shown } from './ChoicesPage.tsx';

register([LineChart, GridComponent, TooltipComponent, SVGRenderer]);

const COLOURS = [
  'ink',
  'ink-soft',
  'receiver1',
  'receiver2',
  'receiver3',
  'receiver4',
  'receiver5',
  'receiver6',
  'receiver8',
] as const;
type Colours = Readonly<Record<(typeof COLOURS)[number], string>>;

/** The colour of each choice, here and on its button. */
const COLOUR_OF: Readonly<Record<ChoiceId, (typeof COLOURS)[number]>> = {
  leave: 'ink',
  feed: 'receiver5',
  'boost-brood': 'receiver8',
  'boost-nurses': 'receiver3',
  combine: 'receiver4',
  'give-queen': 'receiver6',
  'split-now': 'receiver1',
  'split-later': 'receiver2',
};

const UNIT: Readonly<Record<Shown, string>> = {
  bees: 'frames of bees',
  brood: 'frames of brood',
  foodKg: 'kg of food',
};

/** Courses of every colony that comes of the choices, each with its band. */
export default function CoursesChart({
  choices,
  shown,
  until,
}: {
  readonly choices: readonly ChoiceCourse[];
  readonly shown: Shown;
  readonly until: string;
}) {
  const { place, chart } = useChart();
  const colours = useTokenColours(COLOURS);
  useEffect(() => {
    chart.current?.setOption(optionOf(choices, shown, until, colours), { notMerge: true });
  }, [chart, choices, shown, until, colours]);
  const lines = choices.flatMap((c) => c.parts.map((part) => ({ choice: c, part })));
  return (
    <>
      <Box ref={place} h={{ base: '300px', md: '380px' }} w="100%" aria-hidden color="inkSoft" />
      {/* A table keeps the width of its cells: it is the box around it that is hidden. */}
      <Box srOnly>
        <table>
          <caption>{UNIT[shown]}, week by week</caption>
          <tbody>
            {lines.map(({ choice, part }) => (
              <tr key={`${choice.id}${part.colonyId}`}>
                <th>{`${choice.name}: ${part.name}`}</th>
                {part.days
                  .filter((_d, i) => i % 7 === 0)
                  .map((d) => (
                    <td key={d.day}>{`${dayInWords(d.day)}: ${one(d[shown])}`}</td>
                  ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
    </>
  );
}

function optionOf(choices: readonly ChoiceCourse[], shown: Shown, until: string, colours: Colours) {
  const ink = colours['ink-soft'];
  const text = { color: ink, fontFamily: BODY_FONT, fontSize: 13 };
  return {
    animation: false,
    textStyle: { fontFamily: BODY_FONT },
    grid: { left: 40, right: 92, top: 30, bottom: 28 },
    tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => `${one(Number(v))} ${UNIT[shown]}` },
    xAxis: {
      type: 'time',
      max: until,
      axisLabel: { ...text, hideOverlap: true, formatter: '{d} {MMM}' },
      axisLine: { lineStyle: { color: ink } },
      minInterval: 7 * 86_400_000,
    },
    yAxis: {
      type: 'value',
      name: UNIT[shown],
      nameTextStyle: { ...text, align: 'left' },
      min: 0,
      axisLabel: text,
      splitLine: { lineStyle: { color: ink, opacity: 0.18 } },
    },
    series: choices.flatMap((c) =>
      c.parts.flatMap((part, i) => linesOf(c, part, i, shown, colours[COLOUR_OF[c.id]])),
    ),
  };
}

/** The line of a colony with its band: two lines that carry the area between them, and the line itself. */
function linesOf(choice: ChoiceCourse, part: ChoicePart, nth: number, shown: Shown, colour: string) {
  const stack = `${choice.id}${part.colonyId}`;
  const band = {
    type: 'line',
    symbol: 'none',
    silent: true,
    tooltip: { show: false },
    lineStyle: { opacity: 0 },
  };
  const value = (of: (d: ChoicePart['days'][number]) => number) => part.days.map((d) => [d.day, of(d)]);
  return [
    { ...band, stack, stackStrategy: 'all', data: value((d) => Math.max(0, d[shown] * (1 - d.doubt))) },
    {
      ...band,
      stack,
      stackStrategy: 'all',
      areaStyle: { color: colour, opacity: 0.09 },
      data: value((d) => d[shown] * (d.doubt + Math.min(1, d.doubt))),
    },
    {
      name: `${choice.name}: ${part.name}`,
      type: 'line',
      symbol: 'none',
      lineStyle: { color: colour, width: 2.5, type: nth === 0 ? 'solid' : 'dashed' },
      itemStyle: { color: colour },
      endLabel: { show: true, color: colour, fontFamily: BODY_FONT, fontSize: 13, formatter: part.name },
      labelLayout: { moveOverlap: 'shiftY' },
      data: value((d) => d[shown]),
    },
  ];
}
