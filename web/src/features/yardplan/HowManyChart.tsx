import { Box } from '@chakra-ui/react';
import { dayInWords, type Day } from '@incremen/core/basics';
import type { NucsOnDay } from '@incremen/core/yardplan';
import { BarChart, LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import { use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect } from 'react';
import { BODY_FONT } from '../../ui/fonts.ts';
import { useChart } from '../../ui/useChart.ts';
import { useTokenColours } from '../../ui/useTokenColours.ts';

register([BarChart, LineChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer]);

/** Nucs beyond those that were found; null where there are none. */
const moreOn = (day: NucsOnDay | undefined) => Math.max(0, (day?.mostNucs ?? 0) - (day?.nucs ?? 0)) || null;

const COLOURS = ['ink-soft', 'feasible'] as const;

/** Nucs that can be made on each of the next days, as bars; a bar leads to the plan of its day. */
export default function HowManyChart({
  days,
  all,
  onDay,
}: {
  readonly days: readonly NucsOnDay[];
  /** All days of the chart, those not worked out yet among them. */
  readonly all: readonly Day[];
  readonly onDay: (day: NucsOnDay) => void;
}) {
  const { place, chart } = useChart();
  const colours = useTokenColours(COLOURS);
  useEffect(() => {
    const shown = chart.current;
    if (!shown) return undefined;
    const ink = colours['ink-soft'];
    shown.setOption({
      animation: false,
      textStyle: { fontFamily: BODY_FONT, color: ink, fontSize: 13 },
      grid: { left: 34, right: 12, top: 30, bottom: 26 },
      legend: { top: 0, left: 30, textStyle: { color: ink } },
      tooltip: { trigger: 'axis' },
      xAxis: {
        type: 'category',
        data: all.map((d) => dayInWords(d)),
        axisLabel: { interval: 6, color: ink, formatter: (v: string) => v.replace(/^\w+ /, '') },
      },
      yAxis: {
        type: 'value',
        minInterval: 1,
        axisLabel: { color: ink },
        splitLine: { lineStyle: { color: ink, opacity: 0.18 } },
      },
      series: [
        {
          name: 'nucs',
          type: 'bar',
          stack: 'nucs',
          data: all.map((d) => days.find((x) => x.day === d)?.nucs ?? null),
          itemStyle: { color: colours.feasible },
          barCategoryGap: '20%',
        },
        {
          name: 'not ruled out',
          type: 'bar',
          stack: 'nucs',
          data: all.map((d) => moreOn(days.find((x) => x.day === d))),
          itemStyle: {
            color: 'transparent',
            borderColor: colours.feasible,
            borderType: 'dashed',
            borderWidth: 1.5,
          },
        },
      ],
    });
    const click = (e: { dataIndex?: number }) => {
      const day = days.find((d) => d.day === all[e.dataIndex ?? -1]);
      if (day) onDay(day);
    };
    shown.on('click', click as never);
    return () => {
      shown.off('click', click as never);
    };
  }, [chart, colours, days, all, onDay]);
  return <Box ref={place} h="210px" w="100%" aria-hidden color="inkSoft" />;
}
