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
