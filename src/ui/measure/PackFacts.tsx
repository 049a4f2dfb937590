'use client';
import { type PackEdit } from '@/contracts/pack';
import { EYE_FORMS } from '@/core/mechanics/leafpack/eyes';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';

const EYE_NAMES = {
  upturned: 'eye above the leaf',
  berlin: 'eye centred on it',
  downturned: 'eye below it',
} as const satisfies Record<(typeof EYE_FORMS)[number], string>;

const REAR_EYES = [
  { id: 'upturned', name: 'above the leaf' },
  { id: 'berlin', name: 'centred' },
  { id: 'downturned', name: 'below' },
] as const;

/** Facts of the pack that are seen, not measured. Each chip saves at once. */
export function PackFacts({ job, part }: { job: JobHandle; part: 'leaves' | 'eyes' | 'shackle' | 'seat' | 'bend' }) {
  const { pack, leaves } = job.view;
  const { busy, problem, run } = useSend();
  const save = (change: Partial<PackEdit>) =>
    void run(() => {
      const { version, eyeForm, eyeFormRear, seatShape, shackleEye, rusty, otherSide, uboltBend } = pack;
      return job.send('/pack', 'PUT', {
        version,
        eyeForm,
        eyeFormRear,
        seatShape,
        shackleEye,
        rusty,
        otherSide,
        uboltBend,
        leafCount: leaves.length,
        ...change,
      });
    });
  return (
    <>
      <div className="facts-row" aria-busy={busy}>
        {part === 'leaves' ? (
          <>
            <Chips
              label="Leaves in the pack"
              shown
              options={Array.from({ length: Math.max(9, leaves.length) }, (_, k) => ({
                id: String(k + 1),
                name: String(k + 1),
              }))}
              value={String(leaves.length)}
              onPick={(count) => save({ leafCount: Number(count) })}
            />
            <Chips
              label="Leaves are"
              shown
              options={[
                { id: 'clean', name: 'clean' },
                { id: 'rusty', name: 'rusty' },
              ]}
              value={pack.rusty ? 'rusty' : 'clean'}
              onPick={(id) => save({ rusty: id === 'rusty' })}
            />
            <Chips
              label="The other side is"
              shown
              options={[
                { id: 'same', name: 'the same' },
                { id: 'different', name: 'different' },
                { id: 'unknown', name: 'not looked' },
              ]}
              value={pack.otherSide}
              onPick={(otherSide) => save({ otherSide })}
            />
            {pack.otherSide === 'different' ? (
              <p>
                <Marked kind="look">
                  This sheet holds one pack for both sides. What is foretold is meant for the side that was measured; a
                  pair should be alike before its height is.
                </Marked>
              </p>
            ) : null}
          </>
        ) : null}
        {part === 'eyes' ? (
          <>
            <Chips
              label="Main leaf’s eyes"
              shown
              options={EYE_FORMS.map((id) => ({ id, name: EYE_NAMES[id] }))}
              value={pack.eyeForm}
              onPick={(eyeForm) => save({ eyeForm })}
            />
            <Chips
              label="Its rear eye"
              shown
              options={[{ id: 'same' as const, name: 'like the front one' }, ...REAR_EYES]}
              value={pack.eyeFormRear ?? 'same'}
              onPick={(id) => save({ eyeFormRear: id === 'same' ? null : id })}
            />
          </>
        ) : null}
        {part === 'shackle' ? (
          <Chips
            label="The spring’s eye is"
            shown
            options={[
              { id: 'below', name: 'below the shackle’s pivot' },
              { id: 'above', name: 'above it' },
            ]}
            value={pack.shackleEye}
            onPick={(shackleEye) => save({ shackleEye })}
          />
        ) : null}
        {part === 'seat' ? (
          <Chips
            label="Between the U-bolts the leaves are"
            shown
            options={[
              { id: 'flat', name: 'clamped flat' },
              { id: 'concentric', name: 'left curved' },
              { id: 'unknown', name: 'not known' },
            ]}
            value={pack.seatShape}
            onPick={(seatShape) => save({ seatShape })}
          />
        ) : null}
        {part === 'bend' ? (
          <Chips
            label="The bend of the U-bolts lies"
            shown
            options={[
              { id: 'tube', name: 'round the axle tube' },
              { id: 'pack', name: 'over the pack' },
            ]}
            value={pack.uboltBend}
            onPick={(uboltBend) => save({ uboltBend })}
          />
        ) : null}
      </div>
      <ProblemNote problem={problem} />
    </>
  );
}
