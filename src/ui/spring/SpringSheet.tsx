'use client';
import { memo, useEffect, useState } from 'react';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { type Side } from '@/core/vehicle/side';
import { type Where } from '@/core/suspension/longitudinalLeaf/underLoad';
import { decimalText } from '@/core/units/format';
import { fromCore } from '@/core/units/units';
import { type SpringFigure, type SpringReplyFigure } from '@/workers/springFigure';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { Slider } from '../controls/Slider';
import { Length, useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';
import { PackUnderLoad } from './PackUnderLoad';
import { useSpring } from './useSpring';
import { Quantity, useWords } from '../measured/Quantity';

interface Props {
  input: LeafAxleInput;
  side: Side;
  addedLeaf: number | null;
  /** Loads worth a stop: the load states. N on this spring. */
  stops: readonly { name: string; load: number }[];
}

/** Most load on the slider as a multiple of today's. */
const MOST = 2;

const viewOf = (answer: SpringReplyFigure | null | undefined): SpringFigure | null =>
  answer && !('refused' in answer) ? answer : null;
const refusalOf = (answer: SpringReplyFigure | null | undefined): string | null =>
  answer && 'refused' in answer ? answer.refused : null;

/** The spring under any load, live: leaf by leaf, where it presses, how it is stressed; in the vehicle or on the bench. */
export function SpringSheet({ input, side, addedLeaf, stops }: Props) {
  const today = input.sides[side].spring?.load.value ?? 0;
  const most = MOST * today;
  const hanging = -(input.hanging ?? 0);
  const [where, setWhere] = useState<Where>('installed');
  const [load, setLoad] = useState(today);
  const { shown, reach, refused, ask } = useSpring(input.sides[side].spring ? input : null, side, hanging, most);
  const { lengths } = useView();
  const lengthText = useLengthText();
  const loadText = (newton: number) =>
    lengths === 'mm'
      ? `${decimalText(fromCore(newton, 'kN'), 2)} kN`
      : `${decimalText(fromCore(newton, 'lbf'), 0)} lbf`;
  const least = where === 'bench' ? 0 : hanging;
  const asked = Math.max(least, load);
  useEffect(() => {
    ask(asked, where);
  }, [ask, asked, where]);
  const old = viewOf(shown?.pair.old);
  const built = viewOf(shown?.pair.built);
  const refusal = refusalOf(shown?.pair.old) ?? refusalOf(shown?.pair.built);
  const main = built ?? old;
  const worst = main ? main.budget.reduce((w, b, i) => (b.ofBump > main.budget[w]!.ofBump ? i : w), 0) : 0;
  const spoken = main
    ? `Spring ${where === 'bench' ? 'on the bench' : 'in the vehicle'} under ${loadText(main.load)}: arch ${lengthText(main.arch)}, ` +
      `${main.contacts.length} places press, leaf ${worst + 1} is stressed most, ${Math.abs(main.budget[worst]!.peak).toFixed(0)} megapascal.`
    : 'Spring under load';
  return (
    <Sheet
      title="The spring under load"
      aside={
        <Chips
          label="Where"
          options={[
            { id: 'installed', name: 'in the vehicle' },
            { id: 'bench', name: 'on the bench' },
          ]}
          value={where}
          onPick={setWhere}
        />
      }
    >
      <Slider
        id="spring-load"
        label="Load on this spring"
        text={loadText(asked)}
        least={Math.round(least)}
        most={most}
        step={Math.max(1, Math.round((most - least) / 400))}
        value={asked}
        onChange={setLoad}
      >
        <div className="load-ends">
          <span>{least < 0 ? `axle hanging, ${loadText(least)}` : '0, nothing on it'}</span>
          <span className="load-stops">
            {stops
              .filter((stop) => stop.load <= most)
              .map((stop) => (
                <button key={stop.name} type="button" className="link" onClick={() => setLoad(stop.load)}>
                  {stop.name}
                </button>
              ))}
          </span>
          <span>twice today’s, {loadText(most)}</span>
        </div>
      </Slider>
      {asked < 0 ? (
        <p className="muted small">
          Hanging by its own weight without rebound clips: with clips the leaves below hold the main leaf up and it
          hangs less deep. The sheet does not know them yet.
        </p>
      ) : null}
      {(refused ?? refusal) ? (
        <p role="alert">
          <Marked kind="look">No such state: {refused ?? refusal}.</Marked>
        </p>
      ) : null}
      {reach && shown ? (
        <div className="spring-live">
          <PackUnderLoad old={old} built={built} addedLeaf={addedLeaf} extent={reach[shown.where]} spoken={spoken} />
          {main ? <Facts old={built ? old : null} now={main} worst={worst} /> : null}
        </div>
      ) : (
        <p className="muted">Drawing…</p>
      )}
    </Sheet>
  );
}

const Facts = memo(function Facts({ old, now, worst }: { old: SpringFigure | null; now: SpringFigure; worst: number }) {
  const peak = now.budget[worst]!;
  const words = useWords();
  const place = words(`${Math.abs(peak.at).toFixed(0)} mm ${peak.at < 0 ? 'in front of' : 'behind'} the pin`);
  return (
    <dl className="facts">
      <dt>Arch, eye line to leaf middle</dt>
      <dd>
        <Length mm={now.arch} />{' '}
        {old ? (
          <span className="muted">
            was <Length mm={old.arch} />
          </span>
        ) : null}
      </dd>
      <dt>Rate here</dt>
      <dd>
        <Quantity value={now.rate} of="rate" digits={1} />{' '}
        {old ? <span className="muted">was {decimalText(old.rate, 1)}</span> : null}
      </dd>
      <dt>Friction</dt>
      <dd>
        <span className="figure">± {decimalText(now.frictionHalf, 0)} N</span>{' '}
        <span className="muted">going down that much more, coming up that much less</span>
      </dd>
      <dt>Stressed most</dt>
      <dd>
        leaf {worst + 1}, <span className="figure">{Math.abs(peak.peak).toFixed(0)} MPa</span> {place}:{' '}
        <span className="figure">{Math.round(100 * peak.ofStatic)} %</span> of the limit for a standing load,{' '}
        <span className="figure">{Math.round(100 * peak.ofBump)} %</span> at full bump
        {peak.ofBump > 1 ? (
          <>
            {' '}
            <Marked kind="look">past what the leaf bears at full bump</Marked>
          </>
        ) : null}
      </dd>
    </dl>
  );
});
