'use client';
import { useCallback } from 'react';
import { type Ranked } from '@/core/selection/search';
import { Chart } from '../chart/Chart';
import { figureAxis, type ChartInk, type ChartOption } from '../chart/ink';
import { useView } from '../theme/View';
import { stateIn } from './CandidateTable';

interface Props {
  found: readonly Ranked[];
  wantedState: string;
  /** The goal's own tolerance, mm. */
  tolerance: number;
  picked: string | null;
  onPick: (id: string) => void;
}

/** Every candidate by how far it misses the height and how much firmer it rides; touch one to look at it. */
export function CandidateScatter({ found, wantedState, tolerance, picked, onPick }: Props) {
  const { lengths } = useView();
  const optionOf = useCallback(
    (ink: ChartInk): ChartOption => {
      const { colour, text } = ink;
      const mm = lengths === 'mm';
      const show = (v: number) => Number((mm ? v : v / 25.4).toFixed(mm ? 1 : 2));
      return {
        animation: false,
        grid: { left: 62, right: 18, top: 16, bottom: 46 },
        xAxis: figureAxis(`off the wanted height, ${mm ? 'mm' : 'in'}`, 'bottom', ink),
        yAxis: figureAxis('rate against today, %', 'side', ink),
        series: [
          {
            name: 'candidates',
            type: 'scatter',
            symbolSize: 14,
            data: found.map((r) => ({
              value: [show(r.off), Number((100 * stateIn(r, wantedState).rateShare).toFixed(1))],
              symbol: r.candidate.id === picked ? 'diamond' : r.stressed.state === 'fits' ? 'circle' : 'triangle',
              symbolSize: r.candidate.id === picked ? 22 : 13,
              itemStyle: {
                color: r.stressed.state === 'fits' ? colour('--new') : 'transparent',
                borderColor: r.stressed.state === 'fits' ? colour('--new') : colour('--amber'),
                borderWidth: 2,
                opacity: 0.85,
              },
            })),
            markArea: {
              silent: true,
              itemStyle: { color: colour('--new-wash'), opacity: 0.7 },
              label: { ...text, position: 'insideTop' },
              data: [[{ name: 'as wanted', xAxis: show(-tolerance) }, { xAxis: show(tolerance) }]],
            },
          },
        ],
      };
    },
    [found, wantedState, tolerance, picked, lengths],
  );
  const pick = (_: string, index: number) => {
    const r = found[index];
    if (r) onPick(r.candidate.id);
  };
  return (
    <Chart
      optionOf={optionOf}
      height={260}
      label={`${found.length} candidates by height missed and rate; the same figures stand in the table`}
      onPick={pick}
    />
  );
}
