'use client';
import { type Side, SIDES } from '@/core/vehicle/side';
import { type InspectionRule } from '@/core/inspection/rule';
import { shopRule, type RuleId } from '@/core/inspection/rules';
import { type JobHandle } from '../job/useJob';
import { FindingCell } from './FindingCell';
import { ShopLimits } from './ShopLimits';

/** One rule: how it is looked at, where it comes from, and what was found on each side. */
export function RuleRow({ job, id }: { job: JobHandle; id: RuleId }) {
  const rule = shopRule(id, job.view.limits);
  const sides: (Side | null)[] = rule.once ? [null] : [...SIDES];
  return (
    <div className="rule" role="group" aria-label={rule.what} data-rule={id}>
      <div>
        <strong>{rule.what}</strong> <span className="muted">{rule.how}</span>
        <div className="small muted">{sourceText(rule)}</div>
      </div>
      <div className={rule.once ? '' : 'pair'}>
        {sides.map((side) => (
          <FindingCell key={side ?? 'axle'} job={job} id={id} rule={rule} side={side} />
        ))}
      </div>
      {rule.limits.length > 0 ? <ShopLimits job={job} id={id} rule={rule} /> : null}
    </div>
  );
}

export const sourceText = ({ source }: InspectionRule): string =>
  source.kind === 'law' ? source.cite : 'common practice';
