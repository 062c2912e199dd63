import { init, type EChartsType } from 'echarts/core';
import { useEffect, useRef, type RefObject } from 'react';

/** A chart that fills an element and follows its width. Draw into it in an effect: it is there by then. */
export function useChart(): {
  readonly place: RefObject<HTMLDivElement | null>;
  readonly chart: RefObject<EChartsType | null>;
} {
  const place = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType | null>(null);
  useEffect(() => {
    if (!place.current) return undefined;
    chart.current = init(place.current, null, { renderer: 'svg' });
    const watch = new ResizeObserver(() => chart.current?.resize());
    watch.observe(place.current);
    return () => {
      watch.disconnect();
      chart.current?.dispose();
    };
  }, []);
  return { place, chart };
}
