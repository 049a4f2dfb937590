'use client';
import { useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { type ShelfItem } from '@/contracts/shelf';
import { HELPERS } from '@/core/mechanics/helper/curve';
import { type PartDimensionId } from '@/core/parts/kinds';
import { call } from '../job/api';
import { type DraftLine } from './planDraft';

/** Where a part's dimension stands in the line. */
const FIELDS: Readonly<Record<string, PartDimensionId>> = {
  stroke: 'stroke',
  open: 'carriesOpen',
  quarter: 'carriesQuarter',
  half: 'carriesHalf',
  threeQuarters: 'carriesThree',
  whole: 'carriesWhole',
};

/** A helper spring of the shelf with its curve; the gap under it is read at the vehicle. */
function lineWith(line: DraftLine, item: ShelfItem): Partial<DraftLine> {
  const values = { ...line.values };
  for (const [field, dimension] of Object.entries(FIELDS)) {
    const found = item.dimensions.find((d) => d.dimension === dimension);
    if (found) values[field] = { value: found.value, typed: found.typed ?? String(found.value) };
  }
  const device = HELPERS.find((one) => one === item.form);
  return {
    ...{ values, source: 'catalogue' as const, part: { partId: item.id, partName: item.name.slice(0, 160) } },
    ...(device && { device }),
  };
}

/** Helper springs that the shelf holds; one pick fills in its curve. */
export function HelperFromShelf({
  jobId,
  line,
  onPick,
}: {
  jobId: string;
  line: DraftLine;
  onPick: (with_: Partial<DraftLine>) => void;
}) {
  const parts = useQuery({
    queryKey: ['job-parts', jobId],
    queryFn: () => call<ShelfItem[]>(`/api/jobs/${jobId}/parts`, 'GET'),
  });
  const helpers = (parts.data ?? []).filter((item) => item.kind === 'helperSpring');
  if (helpers.length === 0)
    return (
      <p className="muted small">None on the shelf: its curve is on its maker’s sheet, or comes out of a press.</p>
    );
  return (
    <label className="field">
      <span>From the shelf</span>
      <Select
        aria-label="Helper spring from the shelf"
        placeholder="pick one"
        value={line.part?.partId ?? null}
        options={helpers.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => {
          const item = helpers.find((h) => h.id === id);
          if (item) onPick(lineWith(line, item));
        }}
      />
    </label>
  );
}
