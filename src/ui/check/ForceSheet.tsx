'use client';
import { useCallback, useMemo } from 'react';
import { hubDrop, type HubDrop } from '@/core/travel/hubTravel';
import { type ForcePlace } from '@/core/travel/forceOverTravel';
import { fromCore } from '@/core/units/units';
import { Chart } from '../chart/Chart';
import { chartLine, figureAxis, wasNowLegend, type ChartInk, type ChartOption } from '../chart/ink';
import { useView } from '../theme/View';
import { END_NAMES, LIMITER_NAMES } from './limiterNames';
import { firstOf, type Travel } from './useTravel';

interface Mark {
  name: string;
  at: HubDrop;
  ink: string;
}

/** Marks nearer than this share of the whole to the first of their group are named together, over one another. */
const NEAR = 0.1;

/** The words over each mark: none where an earlier one names it along. @param x of each mark, growing */
function named(marks: readonly Mark[], x: readonly number[], range: number): string[] {
  const texts = marks.map(() => '');
  let first = 0;
  marks.forEach(({ name }, k) => {
    if (x[k]! - x[first]! > NEAR * range) first = k;
    texts[first] = texts[first] === '' ? name : `${texts[first]}\n${name}`;
  });
  return texts;
}

/** Towards the middle at the ends, so that nothing is cut. */
const align = (share: number) =>
  share > 0.85 ? ('right' as const) : share < 0.15 ? ('left' as const) : ('center' as const);

/** Force on one spring over its hub's travel, as it is and as planned, with everything that ends the travel where it acts. */
export function ForceSheet({ travel }: { travel: Travel }) {
  const { lengths } = useView();
  const { force, limiters, sits, held } = travel;
  const rests = Math.min(sits.will.left, sits.will.right);
  const marks = useMemo((): Mark[] => {
    const ids = [...new Set(limiters.map((l) => l.id))];
    return [
      { name: 'sits here', at: hubDrop(rests), ink: '--new' },
      ...ids.flatMap((id) => {
        const first = firstOf(limiters, id);
        return first ? [{ name: LIMITER_NAMES[id], at: first.at, ink: '--ink' }] : [];
      }),
      ...(held?.endsPlanned ?? []).map(({ id, at }) => ({ name: END_NAMES[id], at, ink: '--amber' })),
    ].toSorted((p, q) => q.at - p.at);
  }, [limiters, rests, held]);
  const optionOf = useCallback(
    (ink: ChartInk): ChartOption => {
      const mm = lengths === 'mm';
      // As on the ruler: from where it sits as planned in the load that is picked.
      const up = (at: HubDrop) => Number(((rests - at) / (mm ? 1 : 25.4)).toFixed(2));
      const points = (places: readonly ForcePlace[]) =>
        places.map(({ at, load }) => [up(at), Number(fromCore(load, mm ? 'kN' : 'lbf').toFixed(2))]);
      const touches = marks.find((m) => m.name === LIMITER_NAMES.stopTouches);
      const solid = marks.find((m) => m.name === LIMITER_NAMES.stopSolid);
      const places = [
        ...marks.map((m) => up(m.at)),
        ...[...(force?.was ?? []), ...(force?.will ?? [])].map((p) => up(p.at)),
      ];
      const [low, high] = [Math.min(...places), Math.max(...places)];
      const words = named(
        marks,
        marks.map((m) => up(m.at)),
        high - low,
      );
      const rows = Math.max(1, ...words.map((text) => text.split('\n').length));
      return {
        animation: false,
        grid: { left: 62, right: 24, top: 34 + 17 * rows, bottom: 46 },
        legend: wasNowLegend('as it is', 'as planned', ink.text),
        xAxis: {
          ...figureAxis(`hub up from where it sits, ${mm ? 'mm' : 'in'}`, 'bottom', ink),
          min: Math.floor(low),
          max: Math.ceil(high),
        },
        yAxis: { ...figureAxis(`on one spring, ${mm ? 'kN' : 'lbf'}`, 'side', ink), min: 0 },
        series: [
          chartLine('as it is', points(force?.was ?? []), 'dashed', ink.colour('--graphite')),
          {
            ...chartLine('as planned', points(force?.will ?? []), 'solid', ink.colour('--new')),
            ...(touches &&
              solid && {
                markArea: {
                  silent: true,
                  itemStyle: { color: ink.colour('--graphite'), opacity: 0.16 },
                  data: [[{ xAxis: up(touches.at) }, { xAxis: up(solid.at) }]],
                },
              }),
            markLine: {
              silent: true,
              symbol: 'none',
              data: marks.map(({ at, ink: colour }, k) => ({
                name: words[k]!,
                xAxis: up(at),
                lineStyle: { color: ink.colour(colour), type: 'dotted' as const, width: 1.5 },
                label: {
                  ...ink.text,
                  ...{ formatter: '{b}', position: 'end' as const, lineHeight: 17 },
                  align: align((up(at) - low) / (high - low)),
                },
              })),
            },
          },
        ],
      };
    },
    [force, marks, rests, lengths],
  );
  if (!force) return <p className="muted">The spring is not solved yet: its force is not known.</p>;
  return (
    <>
      <Chart
        optionOf={optionOf}
        height={300}
        label="Load on one spring over the travel of its hub, as it is dashed and as planned solid, with all that ends the travel"
      />
      <p className="muted small">
        Without the stop’s own force: between touching and solid (shaded) it carries besides the spring. Where a line
        ends no equilibrium was looked for.
      </p>
    </>
  );
}
