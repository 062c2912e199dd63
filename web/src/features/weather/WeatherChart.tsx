import { Box } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { WeatherHour, WorkingWindow } from '@incremen/core/weather';
import { BarChart, LineChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect } from 'react';
import { BODY_FONT } from '../../ui/fonts.ts';
import { useChart } from '../../ui/useChart.ts';
import { useTokenColours } from '../../ui/useTokenColours.ts';

register([
  BarChart,
  LineChart,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
  SVGRenderer,
]);

const two = (n: number) => String(n).padStart(2, '0');

const COLOURS = ['ink-soft', 'rain', 'alarm', 'feasible'] as const;

/** Temperature and rain by the hour, with the hours shaded in which hives can be opened. */
export default function WeatherChart({
  hours,
  now,
  windows,
  degrees,
}: {
  readonly hours: readonly WeatherHour[];
  readonly now: string | null;
  readonly windows: readonly WorkingWindow[];
  /** Degrees of the operation's units from °C. */
  readonly degrees: (celsius: number) => number;
}) {
  const { place, chart } = useChart();
  const colours = useTokenColours(COLOURS);
  useEffect(() => {
    if (!chart.current) return;
    const ink = colours['ink-soft'];
    const times = hours.map((h) => h.time);
    chart.current.setOption({
      animation: false,
      textStyle: { fontFamily: BODY_FONT, color: ink, fontSize: 13 },
      grid: { left: 34, right: 34, top: 14, bottom: 24 },
      tooltip: { trigger: 'axis' },
      xAxis: {
        type: 'category',
        data: times,
        axisTick: { interval: (_: number, v: string) => v.endsWith('T00:00') },
        axisLabel: {
          color: ink,
          interval: (_: number, v: string) => v.endsWith('T12:00'),
          formatter: (v: string) => dayInWords(v.slice(0, 10)).replace(/ \w+$/, ''),
        },
      },
      yAxis: [
        {
          type: 'value',
          axisLabel: { color: ink, formatter: '{value}°' },
          splitLine: { lineStyle: { color: ink, opacity: 0.18 } },
        },
        {
          type: 'value',
          min: 0,
          max: 8,
          axisLabel: { color: ink, formatter: (v: number) => (v === 8 ? 'mm' : '') },
          splitLine: { show: false },
        },
      ],
      series: [
        {
          name: 'rain, mm',
          type: 'bar',
          yAxisIndex: 1,
          data: hours.map((h) => h.rainMm),
          itemStyle: { color: colours.rain },
        },
        {
          name: 'temperature',
          type: 'line',
          showSymbol: false,
          data: hours.map((h) => degrees(h.temperatureC)),
          lineStyle: { width: 2.5, color: colours.alarm },
          itemStyle: { color: colours.alarm },
          markArea: {
            silent: true,
            itemStyle: { color: colours.feasible, opacity: 0.22 },
            data: windows.flatMap((w) => {
              const from = `${w.day}T${two(w.fromHour)}:00`;
              const to = `${w.day}T${two(w.toHour)}:00`;
              return times.includes(from) && times.includes(to) ? [[{ xAxis: from }, { xAxis: to }]] : [];
            }),
          },
          ...(now !== null && {
            markLine: {
              silent: true,
              symbol: 'none',
              label: { formatter: 'now', color: ink },
              lineStyle: { color: ink, type: 'solid' },
              data: [{ xAxis: now }],
            },
          }),
        },
      ],
    });
  }, [chart, colours, hours, now, windows, degrees]);
  return <Box ref={place} h="260px" w="100%" aria-hidden color="inkSoft" />;
}
