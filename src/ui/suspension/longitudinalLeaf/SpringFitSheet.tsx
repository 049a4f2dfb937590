import { type ReactNode } from 'react';
import { type Found } from '@/core/suspension/longitudinalLeaf/fit';
import { type SpringFit } from '@/core/suspension/longitudinalLeaf/springFit';
import { agreementName } from '@/core/suspension/longitudinalLeaf/agreement';
import { GRAVITY } from '@/core/material/steel';
import { decimalText } from '@/core/units/format';
import { Marked } from '../../controls/Mark';
import { Sheet } from '../../controls/Sheet';
import { Length, PlusMinus } from '../../measured/Figure';
import { useQuantityText } from '../../measured/Quantity';

interface Props {
  side: 'left' | 'right';
  fit: SpringFit | null;
  unfit: string | null;
  /** Half the main leaf, mm: the tape reads arches to its top face. */
  toTop: number;
}

const share = ({ value, half90 }: Found): ReactNode => (
  <span className="figure">
    {decimalText(value, 2)} ± {decimalText(half90, 2)}
  </span>
);

/** What the readings of one spring teach, whether they agree, and which one does not. */
export function SpringFitSheet({ side, fit, unfit, toTop }: Props) {
  const text = useQuantityText();
  if (unfit !== null)
    return (
      <Sheet title={`Do the readings agree, ${side}`}>
        <p role="alert">
          <Marked kind="look">No spring comes near all of these readings</Marked>: {unfit}. Until one is mended the
          prediction uses arch and load of the day only.
        </p>
      </Sheet>
    );
  if (!fit)
    return (
      <Sheet title={`Do the readings agree, ${side}`}>
        <p className="muted">
          One arch under one load: the free curve follows from them and nothing checks it. A second load, or the arch on
          the bench, would check it and teach the rate.
        </p>
      </Sheet>
    );
  const { contradiction, learned } = fit;
  const kg = (newton: number) => text(newton / GRAVITY, 'mass');
  const shown = (of: 'reading' | 'load', name: string, value: number): ReactNode =>
    of === 'load' ? (
      <span className="figure">{kg(value)}</span>
    ) : (
      <Length mm={name.includes('arch') ? value - toTop : value} />
    );
  return (
    <Sheet title={`Do the readings agree, ${side}`}>
      {contradiction ? (
        <div className="note" role="alert">
          <p>
            <Marked kind="look">
              <strong>{agreementName(fit, contradiction.worst)}</strong> does not fit the others
            </Marked>
            : it reads{' '}
            {shown(contradiction.worst.of, agreementName(fit, contradiction.worst), contradiction.worst.measured)}, they
            say{' '}
            {shown(
              contradiction.worst.of,
              agreementName(fit, contradiction.worst),
              contradiction.worst.expected!.value,
            )}{' '}
            {contradiction.worst.of === 'load' ? (
              <>± {kg(contradiction.worst.expected!.half90)}</>
            ) : (
              <PlusMinus mm={contradiction.worst.expected!.half90} />
            )}
            . Read it again.
          </p>
          {contradiction.orElse.length > 0 ? (
            <p>
              Or it is {contradiction.orElse.map((a) => agreementName(fit, a)).join(' or ')}: these readings alone
              cannot tell which.
            </p>
          ) : null}
          <p>Until then the prediction uses arch and load of the day only.</p>
        </div>
      ) : (
        <p>
          <Marked kind="done">They fit one spring.</Marked>{' '}
          {learned.length > 0 ? 'The prediction uses what they taught.' : 'They teach nothing new about rate or seat.'}
        </p>
      )}
      <div className="scroll">
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">reading</th>
              <th scope="col" className="number">
                reads
              </th>
              <th scope="col" className="number">
                others say
              </th>
            </tr>
          </thead>
          <tbody>
            {fit.agreement.map((a) => {
              const name = agreementName(fit, a);
              return (
                <tr key={`${a.of}${a.index}`}>
                  <td>{name}</td>
                  <td className="number">{shown(a.of, name, a.measured)}</td>
                  <td className="number muted plus-minus">
                    {a.expected ? (
                      <>
                        {shown(a.of, name, a.expected.value)} ±{' '}
                        {a.of === 'load' ? kg(a.expected.half90) : <Length mm={a.expected.half90} />}
                      </>
                    ) : (
                      'nothing checks it'
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <dl className="facts">
        <dt>Free arch on the bench</dt>
        <dd>
          <Length mm={fit.freeArch.value - toTop} /> <PlusMinus mm={fit.freeArch.half90} />{' '}
          <span className="muted">as the tape reads it, top face</span>
        </dd>
        <dt>Rate, over the leaves’ sizes</dt>
        <dd>
          {share(fit.rateFactor)}{' '}
          <span className="muted">{learned.includes('rateFactor') ? 'taught' : 'as assumed'}</span>
        </dd>
        <dt>Seat that does not bend</dt>
        <dd>
          {share(fit.inactive)} <span className="muted">{learned.includes('inactive') ? 'taught' : 'as assumed'}</span>
        </dd>
      </dl>
    </Sheet>
  );
}
