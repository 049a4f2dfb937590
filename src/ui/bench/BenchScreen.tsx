'use client';
import { Select } from 'antd';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { type Person } from '@/contracts/person';
import { type ShelfItem } from '@/contracts/shelf';
import { WHOLE_SHELF } from '@/contracts/wholeShelf';
import { type BenchPack } from '@/core/bench/benchPack';
import { Sheet } from '../controls/Sheet';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { useShelf } from '../shelf/useShelf';
import { PackBench } from './PackBench';
import { packOfPart } from './partsAndPacks';

interface Props {
  pack: ShelfItem | null;
  beside: ShelfItem | null;
  /** The pack of a job, where the bench was opened from one. */
  own: { jobId: string; pack: BenchPack | null } | null;
  people: readonly Person[];
  person: string;
}

/** The bench outside a job: two packs of the shelf, one to work on and one to take from. */
export function BenchScreen({ pack, beside, own, people, person }: Props) {
  const router = useRouter();
  const go = (next: { pack?: string | undefined; beside?: string | undefined }) => {
    const query = new URLSearchParams();
    const [one, other] = [next.pack ?? pack?.id, 'beside' in next ? next.beside : beside?.id];
    if (own && !next.pack) query.set('job', own.jobId);
    else if (one) query.set('pack', one);
    if (other) query.set('beside', other);
    router.push(`/bench?${query.toString()}`);
  };
  const shelved = useMemo(() => pack && packOfPart(pack), [pack]);
  const was = own ? own.pack : shelved;
  const name = own ? `job ${own.jobId}` : (pack?.id ?? '');
  const donor = useMemo(() => beside && packOfPart(beside), [beside]);
  return (
    <PageFrame
      title="Bench"
      note="a pack leaf by leaf, another beside it"
      people={people}
      person={person}
      tape={<StationTape current="bench" />}
      fixed
    >
      <div className="state-bar">
        <PackPick label="Pack to work on" value={pack} onPick={(id) => go({ pack: id })} />
        <PackPick label="Pack beside it" value={beside} onPick={(id) => go({ beside: id })} clearable />
      </div>
      {own ? (
        <p>
          The free curves of this pack are those its arch under load tells; lay it down and measure them once it is out.{' '}
          <Link href={`/jobs/${own.jobId}/choose`} prefetch={false}>
            Back to the job
          </Link>
        </p>
      ) : null}
      {was ? (
        <PackBench key={name} name={name} was={was} donor={donor} />
      ) : (
        <Sheet title="Nothing lies here">
          <p>
            {own ? 'The pack of this job is not measured far enough to lie here. ' : ''}Pick a pack from the shelf to
            work on, and another one to compare it with or to take leaves from.
          </p>
        </Sheet>
      )}
    </PageFrame>
  );
}

interface PickProps {
  label: string;
  value: ShelfItem | null;
  onPick: (id: string | undefined) => void;
  clearable?: boolean;
}

/** One pack or leaf set of the shelf, found by typing. */
function PackPick({ label, value, onPick, clearable = false }: PickProps) {
  const [words, setWords] = useState('');
  const packs = useShelf({ ...WHOLE_SHELF, kind: 'pack', words: words.trim() });
  const options = [...(value && !packs.items.some((i) => i.id === value.id) ? [value] : []), ...packs.items];
  return (
    <div className="field pick">
      <label>{label}</label>
      <Select
        aria-label={label}
        value={value?.id ?? null}
        showSearch
        filterOption={false}
        allowClear={clearable}
        placeholder="type a name or number"
        options={options.map((item) => ({
          value: item.id,
          label: [item.name, item.number].filter(Boolean).join(', '),
        }))}
        onSearch={setWords}
        onChange={(id: string | null | undefined) => onPick(id ?? undefined)}
      />
    </div>
  );
}
