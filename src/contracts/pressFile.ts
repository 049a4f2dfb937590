import Papa from 'papaparse';
import { pressPointSchema, type PressRun } from './press';
import { UNITS } from '@/core/units/units';

export type PressPoints = PressRun['points'];
export interface FileProblem {
  /** Line of the file, the header being 1. */
  line: number;
  reason: string;
}

const FORCE = { force_N: 1, force_kN: 1000, force_lbf: UNITS.lbf.factor, force_kgf: UNITS.kgf.factor };
const ARCH = { arch_mm: 1, arch_in: 25.4 };

/**
 * A load-deflection test as CSV: a header with a force column (`force_N`, `force_kN`, `force_lbf`, `force_kgf`), an arch column
 * (`arch_mm`, `arch_in`: eye line to the main leaf's top face at the pin) and `branch` (`loading`, `unloading`). Everything is
 * checked first; with any problem there are no points.
 */
export function readPressFile(text: string): { points: PressPoints } | { problems: FileProblem[] } {
  const { data, meta, errors } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim(),
  });
  const fields = meta.fields ?? [];
  const force = Object.entries(FORCE).find(([name]) => fields.includes(name));
  const arch = Object.entries(ARCH).find(([name]) => fields.includes(name));
  const missing = [
    force ? '' : `a force column (${Object.keys(FORCE).join(', ')})`,
    arch ? '' : `an arch column (${Object.keys(ARCH).join(', ')})`,
    fields.includes('branch') ? '' : 'a branch column',
  ].filter(Boolean);
  if (!force || !arch || missing.length > 0)
    return { problems: [{ line: 1, reason: `The header lacks ${missing.join(' and ')}.` }] };
  const problems: FileProblem[] = errors.map((e) => ({ line: (e.row ?? 0) + 2, reason: `${e.message}.` }));
  const points: PressPoints = [];
  data.forEach((row, i) => {
    const number = (name: string): number => {
      const written = (row[name] ?? '').trim();
      return written === '' ? NaN : Number(written.replace(',', '.'));
    };
    const parsed = pressPointSchema.safeParse({
      force: number(force[0]) * force[1],
      archTop: number(arch[0]) * arch[1],
      branch: (row.branch ?? '').trim(),
    });
    if (parsed.success) points.push(parsed.data);
    else {
      const at = parsed.error.issues[0]?.path[0];
      const name = at === 'force' ? force[0] : at === 'archTop' ? arch[0] : 'branch';
      problems.push({ line: i + 2, reason: `${name} “${row[name] ?? ''}” cannot be read or cannot be.` });
    }
  });
  if (problems.length === 0 && points.length < 3)
    problems.push({ line: 1, reason: 'A run needs three points at least.' });
  return problems.length > 0 ? { problems: problems.toSorted((p, q) => p.line - q.line) } : { points };
}
