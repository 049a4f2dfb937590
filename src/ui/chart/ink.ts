import type * as echarts from 'echarts/core';

export type ChartOption = Parameters<ReturnType<typeof echarts.init>['setOption']>[0];

/** Colours, letters and axes of every chart, from the sheet's own theme. */
export interface ChartInk {
  colour: (name: string) => string;
  text: { color: string; fontFamily: string; fontSize: number };
  axis: object;
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
