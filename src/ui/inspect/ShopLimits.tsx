'use client';
import { useState } from 'react';
import { type InspectionRule, type InspectionVerdict } from '@/core/inspection/rule';
import { ruleOf, type RuleId } from '@/core/inspection/rules';
import { type FieldRule } from '@/core/units/parse';
import { lengthRule } from '@/core/units/rules';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Length } from '../measured/Figure';
import { TypedField, type Typed } from '../measured/TypedField';
import { Clock } from '../measured/Clock';

interface Props {
  job: JobHandle;
  id: RuleId;
  /** With the shop's own limits in it. */
  rule: InspectionRule;
}

const LENGTH = lengthRule(0.1, 1000);
const COUNT: FieldRule = { dimension: 'count', unit: 'count', min: 1, max: 40 };

/** The limits of a rule, and this shop's own in their place, with the reason on record. */
export function ShopLimits({ job, id, rule }: Props) {
  const { busy, problem, run } = useSend();
  const [edit, setEdit] = useState<{
    verdict: InspectionVerdict;
    measure: string;
    value: Typed | null;
    reason: string;
  } | null>(null);
  const isCount = (measure: string) => rule.measures.find((m) => m.id === measure)?.rule.dimension === 'count';
  const amount = (measure: string, value: number) =>
    isCount(measure) ? <span className="figure">{value}</span> : <Length mm={value} />;
  const nameOf = (measure: string) =>
    rule.derived?.id === measure ? rule.derived.what : (rule.measures.find((m) => m.id === measure)?.label ?? measure);
  return (
    <details className="more">
      <summary>
        <span>
          limits:{' '}
          {rule.limits.map((limit, i) => (
            <span key={limit.verdict}>
              {i > 0 ? ', ' : ''}
              {limit.verdict} from{' '}
              {Object.entries(limit.when).map(([m, v], j) => (
                <span key={m}>
                  {j > 0 ? ' and ' : ''}
                  {amount(m, v)}
                </span>
              ))}
            </span>
          ))}
        </span>
      </summary>
      {ruleOf(id).limits.map((limit) =>
        Object.entries(limit.when).map(([measure, usual]) => {
          const own = job.view.limits.find(
            (l) => l.rule === id && l.verdict === limit.verdict && l.measure === measure,
          );
          const mine = edit?.verdict === limit.verdict && edit.measure === measure ? edit : null;
          return (
            <div key={`${limit.verdict}|${measure}`} className="change">
              {limit.verdict}, {nameOf(measure)}: {limit.start ? 'a value to start from' : 'common practice'}{' '}
              {amount(measure, usual)}
              {own ? (
                <>
                  , this shop {amount(measure, own.value)}{' '}
                  <span className="muted">
                    ({own.reason}; {own.person}, <Clock at={own.setAt} what="day" />)
                  </span>
                </>
              ) : null}{' '}
              {mine ? (
                <>
                  <div className="pair">
                    <TypedField
                      label="This shop’s limit"
                      spoken={`${rule.what}: this shop’s limit, ${limit.verdict}`}
                      rule={isCount(measure) ? COUNT : LENGTH}
                      value={mine.value}
                      draft={`limit|${id}|${limit.verdict}|${measure}`}
                      onChange={(value) => setEdit({ ...mine, value })}
                    />
                    <TextField
                      label="Reason"
                      most={300}
                      value={mine.reason}
                      onChange={(reason) => setEdit({ ...mine, reason })}
                    />
                  </div>
                  <button
                    type="button"
                    className="act quiet"
                    disabled={!mine.value || mine.reason.trim().length < 5 || busy}
                    onClick={() =>
                      void run(async () => {
                        const { value, typed } = mine.value!;
                        const { verdict, reason } = mine;
                        await job.send('/limits', 'POST', {
                          id: crypto.randomUUID(),
                          rule: id,
                          verdict,
                          measure,
                          value,
                          typed,
                          reason,
                        });
                        setEdit(null);
                      })
                    }
                  >
                    Set it for the shop
                  </button>
                </>
              ) : (
                <button
                  type="button"
                  className="link"
                  onClick={() => setEdit({ verdict: limit.verdict, measure, value: null, reason: '' })}
                >
                  set this shop’s own
                </button>
              )}
            </div>
          );
        }),
      )}
      <ProblemNote problem={problem} />
    </details>
  );
}
