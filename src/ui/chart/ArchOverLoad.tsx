'use client';
import { useCallback } from 'react';
import { fromCore } from '@/core/units/units';
import { useView } from '../theme/Providers';
import { useChart, type ChartInk, type ChartOption } from './useChart';

type Curve = readonly { load: number; arch: number; rate: number }[];

/** Arch over load of packs on the bench: as laid down dashed, as it lies now solid. */
export function ArchOverLoad({ was, now }: { was: Curve; now: Curve }) {
  const { lengths } = useView();
  const optionOf = useCallback(
    ({ colour, text, axis }: ChartInk): ChartOption => {
      const mm = lengths === 'mm';
      const series = (name: string, curve: Curve, type: 'dashed' | 'solid', ink: string) => ({
        name,
        type: 'line' as const,
        showSymbol: false,
        silent: true,
        animation: false,
        lineStyle: { type, color: ink, width: type === 'solid' ? 3 : 2 },
        itemStyle: { color: ink },
        data: curve.map((p) => [
          Number(fromCore(p.load, mm ? 'kN' : 'lbf').toFixed(2)),
          Number((mm ? p.arch : p.arch / 25.4).toFixed(2)),
        ]),
      });
      return {
        animation: false,
        grid: { left: 62, right: 18, top: 34, bottom: 46 },
        legend: {
          top: 0,
          right: 8,
          textStyle: text,
          itemWidth: 34,
          data: [
            { name: 'as laid down', icon: 'path://M0 0h8v2h-8zM11 0h8v2h-8zM22 0h8v2h-8z' },
            { name: 'now', icon: 'path://M0 0h30v2h-30z' },
          ],
        },
        xAxis: {
          type: 'value',
          name: `load on the seat, ${mm ? 'kN' : 'lbf'}`,
          nameLocation: 'middle',
          nameGap: 28,
          ...axis,
        },
        yAxis: { type: 'value', name: `arch, ${mm ? 'mm' : 'in'}`, nameLocation: 'middle', nameGap: 46, ...axis },
        series: [
          series('as laid down', was, 'dashed', colour('--graphite')),
          series('now', now, 'solid', colour('--new')),
        ],
      };
    },
    [was, now, lengths],
  );
  const box = useChart(optionOf);
  return (
    <div
      ref={box}
      style={{ height: 220, width: '100%' }}
      role="img"
      aria-label="Arch over load: dashed as the pack was laid down, solid as it lies now"
    />
  );
}
