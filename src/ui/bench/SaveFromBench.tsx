'use client';
import { useState } from 'react';
import { templateDxf, templateSvg } from '@/contracts/templateFile';
import { type BenchLeaf, type BenchPack } from '@/core/bench/benchPack';
import { type MixVerdict } from '@/core/bench/verdicts';
import { download } from '../controls/download';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { useParts } from '../shelf/useShelf';
import { MakerSheetButton } from './MakerSheetButton';
import { partOfPack } from './partsAndPacks';

const EYES = { none: 'none', both: 'at both ends', front: 'at the front end', rear: 'at the rear end' } as const;

interface Props {
  pack: BenchPack;
  picked: BenchLeaf | null;
  verdicts: readonly MixVerdict[];
}

/** The pack as it lies goes to the shelf; its leaves go out as templates. */
export function SaveFromBench({ pack, picked, verdicts }: Props) {
  const [name, setName] = useState('');
  const [id, setId] = useState('');
  const [saved, setSaved] = useState<string | null>(null);
  const { busy, problem, run } = useSend();
  const { save } = useParts();
  const wrong = verdicts.filter((v) => v.state === 'does not fit').length;
  const unwide = pack.leaves.some((leaf) => leaf.width === null);
  const leaves = picked ? [picked] : pack.leaves;
  const send = () =>
    run(async () => {
      // The same id until it is saved, so that a second try makes no second part.
      const partId = id === '' ? crypto.randomUUID() : id;
      setId(partId);
      const part = await save(partOfPack(pack, name.trim(), partId));
      setSaved(part.name);
      setId('');
      setName('');
    });
  return (
    <Sheet title="Keep it">
      <TextField label="Name on the shelf" most={120} value={name} onChange={setName} />
      {wrong > 0 ? (
        <p>
          <Marked kind="look">
            {wrong} {wrong === 1 ? 'thing does' : 'things do'} not fit yet: it can be kept, it is not ready to be
            fitted.
          </Marked>
        </p>
      ) : null}
      <div className="acts">
        <button
          type="button"
          className="act"
          disabled={busy || name.trim() === '' || pack.leaves.length === 0}
          onClick={() => void send()}
        >
          Put this pack on the shelf
        </button>
      </div>
      {saved ? (
        <p role="status">
          <Marked kind="done">“{saved}” lies on the shelf. What it may carry is not known: nobody rated it.</Marked>
        </p>
      ) : null}
      <ProblemNote problem={problem} />
      <h3 className="part">Templates of {picked ? 'the leaf at work' : 'all leaves'}</h3>
      <div className="acts">
        <button
          type="button"
          className="act quiet"
          disabled={unwide || leaves.length === 0}
          onClick={() => download('leaves.dxf', 'image/vnd.dxf', templateDxf(leaves))}
        >
          Save as DXF
        </button>
        <button
          type="button"
          className="act quiet"
          disabled={unwide || leaves.length === 0}
          onClick={() => download('leaves.svg', 'image/svg+xml', templateSvg(leaves))}
        >
          Save as SVG
        </button>
        {picked && picked.camber !== null ? (
          <MakerSheetButton
            of={`${pack.name}, leaf ${pack.leaves.indexOf(picked) + 1}`}
            leaf={{ ...picked, camber: picked.camber, eyes: EYES[picked.eyes], pieces: 1 }}
          />
        ) : null}
      </div>
      <p className="muted small">
        {unwide
          ? 'A template needs the width of every leaf.'
          : 'Flat, at true size in millimetres, measured along the leaf from its centre hole. The stock for rolling an eye is not in it; holes are made before hardening, never in a finished leaf.'}
      </p>
    </Sheet>
  );
}
