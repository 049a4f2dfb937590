'use client';
import { ruleOf, SHEETS, worse, type InspectionVerdict, type SheetId } from '@/core/inspection/rules';
import { rulesOf } from '@/core/suspension/registry';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { useJob } from '../job/useJob';
import { screensOf } from '../suspension/registry';
import { FailureSheet } from './FailureSheet';
import { RuleRow } from './RuleRow';
import { SideFindings } from './SideFindings';
import { VerdictMark } from './VerdictMark';

export function InspectStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { findings } = job.view;
  const kind = job.view.axle.suspension;
  const { InspectAside } = screensOf(kind);
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
          {(Object.entries(SHEETS) as [SheetId, string][]).flatMap(([id, name]) => {
            const rules = rulesOf(kind, job.view.pack).filter((rule) => ruleOf(rule).sheet === id);
            return rules.length === 0
              ? []
              : [
                  <section key={id} className="place" aria-label={name}>
                    <h2>{name}</h2>
                    {rules.map((rule) => (
                      <RuleRow key={rule} job={job} id={rule} />
                    ))}
                  </section>,
                ];
          })}
          <p className="muted">
            Where road safety is touched the law, the maker and a licensed inspector decide; these rules only help to
            look.
          </p>
        </Sheet>
        <div className="sheets inspect-aside">
          <InspectAside job={job} />
          <SideFindings job={job} />
          <FailureSheet job={job} />
        </div>
      </div>
    </JobFrame>
  );
}
