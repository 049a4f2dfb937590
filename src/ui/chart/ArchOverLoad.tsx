'use client';
import { useCallback } from 'react';
import { fromCore } from '@/core/units/units';
import { useView } from '../theme/View';
import { Chart } from './Chart';
import { chartLine, figureAxis, wasNowLegend, type ChartInk, type ChartOption } from './ink';

type Curve = readonly { load: number; arch: number; rate: number }[];

/** Arch over load of packs on the bench: as laid down dashed, as it lies now solid. */
export function ArchOverLoad({ was, now }: { was: Curve; now: Curve }) {
  const { lengths } = useView();
  const optionOf = useCallback(
    (ink: ChartInk): ChartOption => {
      const mm = lengths === 'mm';
      const points = (curve: Curve) =>
        curve.map((p) => [
          Number(fromCore(p.load, mm ? 'kN' : 'lbf').toFixed(2)),
          Number((mm ? p.arch : p.arch / 25.4).toFixed(2)),
        ]);
      return {
        animation: false,
        grid: { left: 62, right: 18, top: 34, bottom: 46 },
        legend: wasNowLegend('as laid down', 'now', ink.text),
        xAxis: figureAxis(`load on the seat, ${mm ? 'kN' : 'lbf'}`, 'bottom', ink),
        yAxis: figureAxis(`arch, ${mm ? 'mm' : 'in'}`, 'side', ink),
        series: [
          chartLine('as laid down', points(was), 'dashed', ink.colour('--graphite')),
          chartLine('now', points(now), 'solid', ink.colour('--new')),
        ],
      };
    },
    [was, now, lengths],
  );
  return (
    <Chart
      optionOf={optionOf}
      height={220}
      label="Arch over load: dashed as the pack was laid down, solid as it lies now"
    />
  );
}
