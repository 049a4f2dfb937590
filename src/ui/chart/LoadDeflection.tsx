'use client';
import { useCallback } from 'react';
import { type CurvePoint } from '@/core/prediction/central';
import { fromCore } from '@/core/units/units';
import { useView } from '../theme/View';
import { Chart } from './Chart';
import { chartLine, figureAxis, wasNowLegend, type ChartInk, type ChartOption } from './ink';

interface Props {
  curve: readonly CurvePoint[];
  states: readonly { name: string; load: number; height: number; half90: number }[];
  /** What the heights are called; null where they are only changes. */
  name: string | null;
}

/**
 * Height over load on one spring: old dashed, new solid, each shaded between its loading branch (above) and its unloading
 * branch (below); load states ticked, with the 90 % band of the predicted height.
 */
export function LoadDeflection({ curve, states, name }: Props) {
  const { lengths } = useView();
  const optionOf = useCallback(
    (ink: ChartInk): ChartOption => {
      const { colour, text } = ink;
      const mm = lengths === 'mm';
      const height = (v: number) => Number((mm ? v : v / 25.4).toFixed(2));
      const load = (v: number) => Number(fromCore(v, mm ? 'kN' : 'lbf').toFixed(2));
      const series = (name: string, key: 'old' | 'built', type: 'dashed' | 'solid', of: string) =>
        chartLine(
          name,
          curve.map((p) => [load(p.load), height(p[key])]),
          type,
          of,
        );
      // A stack of two invisible lines whose difference is shaded: unloading branch, and the width up to the loading branch.
      const branches = (key: 'old' | 'built', friction: 'oldFriction' | 'builtFriction', ink: string) =>
        [-1, 2].map((share) => ({
          name: `${key} branches`,
          type: 'line' as const,
          stack: key,
          stackStrategy: 'all' as const,
          showSymbol: false,
          silent: true,
          animation: false,
          lineStyle: { opacity: 0 },
          ...(share === 2 && { areaStyle: { color: ink, opacity: 0.18 } }),
          data: curve.map((p) => [load(p.load), height(share === 2 ? 2 * p[friction] : p[key] - p[friction])]),
        }));
      return {
        animation: false,
        grid: { left: 62, right: 18, top: 56, bottom: 46 },
        legend: wasNowLegend('old', 'new', text),
        xAxis: figureAxis(`load on this spring, ${mm ? 'kN' : 'lbf'}`, 'bottom', ink),
        yAxis: {
          ...figureAxis(`${name?.toLowerCase() ?? 'height change'}, ${mm ? 'mm' : 'in'}`, 'side', ink),
          scale: true,
        },
        series: [
          ...branches('old', 'oldFriction', colour('--graphite')),
          ...branches('built', 'builtFriction', colour('--new')),
          series('old', 'old', 'dashed', colour('--graphite')),
          {
            ...series('new', 'built', 'solid', colour('--new')),
            markLine: {
              silent: true,
              symbol: 'none',
              lineStyle: { color: colour('--amber'), type: 'dotted', width: 2 },
              label: { ...text, formatter: '{b}', position: 'insideEndTop' },
              data: [
                ...states.map((s, i) => ({
                  name: s.name,
                  xAxis: load(s.load),
                  label: {
                    position: 'end' as const,
                    rotate: 0,
                    align: i === 0 ? ('right' as const) : ('left' as const),
                    offset: [i === 0 ? 6 : -6, 0],
                  },
                })),
                ...states.map((s): [{ coord: number[]; lineStyle: object }, { coord: number[] }] => [
                  {
                    coord: [load(s.load), height(s.height - s.half90)],
                    lineStyle: { type: 'solid', width: 5, color: colour('--new') },
                  },
                  { coord: [load(s.load), height(s.height + s.half90)] },
                ]),
              ],
            },
          },
        ],
      };
    },
    [curve, states, name, lengths],
  );
  return (
    <>
      <Chart
        optionOf={optionOf}
        height={270}
        label="Height over load, old dashed and new solid, with friction branches and the band of each load state"
      />
      <p className="muted small">
        Shaded between going down (above) and coming up (below): friction holds the height anywhere between. Thick bars:
        90 % band of the predicted height.
      </p>
    </>
  );
}
