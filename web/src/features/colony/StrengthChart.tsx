import { Box } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { StrengthPoint } from '@incremen/core/colony';
import { LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import { use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect } from 'react';
import { one } from '../../ui/format.ts';
import { BODY_FONT } from '../../ui/fonts.ts';
import { useChart } from '../../ui/useChart.ts';
import { useTokenColours } from '../../ui/useTokenColours.ts';

register([LineChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer]);

const SERIES = [
  { key: 'bees', name: 'bees', symbol: 'circle' },
  { key: 'brood', name: 'brood', symbol: 'rect' },
  { key: 'stores', name: 'stores', symbol: 'triangle' },
] as const;

const COLOURS = ['ink-soft', 'sheet', 'bees', 'brood', 'stores'] as const;

/** Strength over the counts of a colony; points from quick counts are hollow. */
export default function StrengthChart({ points }: { readonly points: readonly StrengthPoint[] }) {
  const { place, chart } = useChart();
  const colours = useTokenColours(COLOURS);
  useEffect(() => {
    chart.current?.setOption(optionOf(points, colours));
  }, [chart, points, colours]);
  return (
    <>
      <Box ref={place} h="220px" w="100%" aria-hidden color="inkSoft" />
      <Box as="table" srOnly>
        <caption>Strength by count, in frames</caption>
        <thead>
          <tr>
            <th>day</th>
            {SERIES.map((s) => (
              <th key={s.key}>{s.name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {points.map((p) => (
            <tr key={p.day}>
              <td>
                {dayInWords(p.day)}
                {p.estimated ? ', estimated' : ''}
              </td>
              {SERIES.map((s) => (
                <td key={s.key}>{one(p[s.key])}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </>
  );
}

function optionOf(
  points: readonly StrengthPoint[],
  colours: Readonly<Record<(typeof COLOURS)[number], string>>,
) {
  const ink = colours['ink-soft'];
  const text = { color: ink, fontFamily: BODY_FONT, fontSize: 13 };
  return {
    animation: false,
    textStyle: { fontFamily: BODY_FONT },
    grid: { left: 34, right: 14, top: 34, bottom: 26 },
    legend: { top: 0, left: 0, textStyle: text, icon: 'roundRect', itemWidth: 16, itemHeight: 8 },
    tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => `${one(Number(v))} frames` },
    xAxis: {
      type: 'time',
      axisLabel: { ...text, hideOverlap: true, formatter: '{d} {MMM}' },
      axisLine: { lineStyle: { color: ink } },
      minInterval: 86_400_000,
    },
    yAxis: { type: 'value', axisLabel: text, splitLine: { lineStyle: { color: ink, opacity: 0.18 } } },
    series: SERIES.map((s) => ({
      name: s.name,
      type: 'line',
      lineStyle: { color: colours[s.key], width: 2.5 },
      itemStyle: { color: colours[s.key] },
      symbol: s.symbol,
      symbolSize: 9,
      data: points.map((p) => ({
        value: [p.day, p[s.key]],
        ...(p.estimated
          ? { itemStyle: { color: colours.sheet, borderColor: colours[s.key], borderWidth: 2 } }
          : {}),
      })),
    })),
  };
}
