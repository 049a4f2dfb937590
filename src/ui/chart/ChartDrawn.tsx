'use client';
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, LegendComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components';
import * as echarts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { useView } from '../theme/View';
import { type ChartInk, type ChartOption } from './ink';

echarts.use([
  LineChart,
  ScatterChart,
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  SVGRenderer,
]);

export interface ChartProps {
  optionOf: (ink: ChartInk) => ChartOption;
  /** px */
  height: number;
  label: string;
  /** A drawn point was touched: its series and index. */
  onPick?: (series: string, index: number) => void;
}

/** A chart in a box of its own, drawn anew when `optionOf` or the theme changes. Until it is, it may be cut, never widen the page. */
export function ChartDrawn({ optionOf, height, label, onPick }: ChartProps) {
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
  return <div ref={box} className="chart" style={{ height }} role="img" aria-label={label} />;
}
