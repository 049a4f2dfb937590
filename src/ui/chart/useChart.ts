'use client';
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, LegendComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components';
import * as echarts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef, type RefObject } from 'react';
import { useView } from '../theme/Providers';

echarts.use([
  LineChart,
  ScatterChart,
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  SVGRenderer,
]);

export type ChartOption = Parameters<ReturnType<typeof echarts.init>['setOption']>[0];

/** Colours, letters and axes of every chart, from the sheet's own theme. */
export interface ChartInk {
  colour: (name: string) => string;
  text: { color: string; fontFamily: string; fontSize: number };
  axis: object;
}

/** A chart in a box of its own, drawn anew when `optionOf` or the theme changes. @param onPick a drawn point was touched: its series and index */
export function useChart(
  optionOf: (ink: ChartInk) => ChartOption,
  onPick?: (series: string, index: number) => void,
): RefObject<HTMLDivElement | null> {
  const box = useRef<HTMLDivElement>(null);
  const { dark } = useView();
  const picked = useRef(onPick);
  useEffect(() => {
    picked.current = onPick;
  });
  useEffect(() => {
    if (!box.current) return;
    const chart = echarts.init(box.current, null, { renderer: 'svg' });
    const css = getComputedStyle(document.documentElement);
    const colour = (name: string) => css.getPropertyValue(name).trim();
    const text = { color: colour('--ink'), fontFamily: 'Barlow Condensed', fontSize: 15 };
    const axis = {
      axisLabel: text,
      nameTextStyle: text,
      splitLine: { lineStyle: { color: colour('--rule') } },
      axisLine: { show: true, lineStyle: { color: colour('--ink') } },
    };
    chart.setOption(optionOf({ colour, text, axis }));
    chart.on('click', (event) => picked.current?.(event.seriesName ?? '', event.dataIndex));
    const resize = new ResizeObserver(() => chart.resize());
    resize.observe(box.current);
    return () => {
      resize.disconnect();
      chart.dispose();
    };
  }, [optionOf, dark]);
  return box;
}

/** One line of a chart: dashed as it was, solid as it becomes. */
export const chartLine = (name: string, data: number[][], type: 'dashed' | 'solid', ink: string) => ({
  name,
  type: 'line' as const,
  showSymbol: false,
  silent: true,
  animation: false,
  lineStyle: { type, color: ink, width: type === 'solid' ? 3 : 2 },
  itemStyle: { color: ink },
  data,
});

/** Legend of a dashed and a solid line. */
export const wasNowLegend = (was: string, now: string, text: ChartInk['text']) => ({
  top: 0,
  right: 8,
  textStyle: text,
  itemWidth: 34,
  data: [
    { name: was, icon: 'path://M0 0h8v2h-8zM11 0h8v2h-8zM22 0h8v2h-8z' },
    { name: now, icon: 'path://M0 0h30v2h-30z' },
  ],
});

/** A named axis of figures; `along` the bottom or up the side. */
export const figureAxis = (name: string, along: 'bottom' | 'side', { axis }: ChartInk) => ({
  type: 'value' as const,
  name,
  nameLocation: 'middle' as const,
  nameGap: along === 'bottom' ? 28 : 46,
  ...axis,
});
