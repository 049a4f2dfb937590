'use client';
import { RULE_IDS, ruleOf, SHEETS, worse, type InspectionVerdict, type SheetId } from '@/core/inspection/rules';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { useJob } from '../job/useJob';
import { BrokenLeaf } from './BrokenLeaf';
import { FailureSheet } from './FailureSheet';
import { RuleRow } from './RuleRow';
import { SideFindings } from './SideFindings';
import { VerdictMark } from './VerdictMark';

export function InspectStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { findings } = job.view;
  const worst = findings.reduce<InspectionVerdict | null>(
    (v, f) => (v === null ? f.verdict : worse(v, f.verdict)),
    null,
  );
  return (
    <JobFrame view={job.view} station="inspect" people={people} person={person}>
      <div className="sheets inspect-grid">
        <Sheet
          title="What is looked at"
          aside={
            worst ? <VerdictMark verdict={worst} prefix="worst so far: " /> : <span className="muted">nothing yet</span>
          }
        >
          {(Object.entries(SHEETS) as [SheetId, string][]).map(([id, name]) => (
            <section key={id} className="place" aria-label={name}>
              <h2>{name}</h2>
              {RULE_IDS.filter((rule) => ruleOf(rule).sheet === id).map((rule) => (
                <RuleRow key={rule} job={job} id={rule} />
              ))}
            </section>
          ))}
          <p className="muted">
            Where road safety is touched the law, the maker and a licensed inspector decide; these rules only help to
            look.
          </p>
        </Sheet>
        <div className="sheets inspect-aside">
          <Sheet title="The pack, and where a leaf is broken">
            <BrokenLeaf job={job} />
          </Sheet>
          <SideFindings job={job} />
          <FailureSheet job={job} />
        </div>
      </div>
    </JobFrame>
  );
}
