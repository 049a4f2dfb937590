'use client';
import { type PackEdit } from '@/contracts/pack';
import { EYE_FORMS } from '@/core/mechanics/leafpack/eyes';
import { otherOf, SIDES } from '@/core/vehicle/side';
import { Chips } from '../../controls/Chips';
import { ProblemNote } from '../../job/ProblemNote';
import { type JobHandle } from '../../job/useJob';
import { useSend } from '../../job/useSend';

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

interface Props {
  job: JobHandle;
  part: 'leaves' | 'eyes' | 'rearEnd' | 'seat' | 'bend';
  /** Of the pack that one side has of its own. */
  own?: boolean;
}

/** Facts of a pack that are seen, not measured. Each chip saves at once. */
export function PackFacts({ job, part, own = false }: Props) {
  const { view } = job;
  const { pack, leaves } = (own && view.own) || view;
  const where = view.own ? `, ${own ? view.own.pack.side : otherOf(view.own.pack.side!)}` : '';
  const { busy, problem, run } = useSend();
  const save = (change: Partial<PackEdit>) =>
    void run(() => {
      const { version, side, eyeForm, eyeFormRear, seatShape, lowestLeaf, rearEnd, rusty } = pack;
      const { otherSide, ownSide, uboltBend, shackleAt } = pack;
      return job.send('/pack', 'PUT', {
        version,
        side,
        eyeForm,
        eyeFormRear,
        seatShape,
        lowestLeaf,
        rearEnd,
        shackleAt,
        rusty,
        otherSide,
        ownSide,
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
              label={`Leaves in the pack${where}`}
              shown
              options={Array.from({ length: Math.max(9, leaves.length) }, (_, k) => ({
                id: String(k + 1),
                name: String(k + 1),
              }))}
              value={String(leaves.length)}
              onPick={(count) => save({ leafCount: Number(count) })}
            />
            <Chips
              label={`Leaves are${where}`}
              shown
              options={[
                { id: 'clean', name: 'clean' },
                { id: 'rusty', name: 'rusty' },
              ]}
              value={pack.rusty ? 'rusty' : 'clean'}
              onPick={(id) => save({ rusty: id === 'rusty' })}
            />
            {leaves.length > 1 ? (
              <Chips
                label={`The lowest leaf is${where}`}
                shown
                options={[
                  { id: 'graded', name: 'like the others' },
                  { id: 'overload', name: 'an overload leaf, nearly straight' },
                  { id: 'unseen', name: 'not looked' },
                ]}
                value={pack.lowestLeaf ?? 'unseen'}
                onPick={(id) => save({ lowestLeaf: id === 'unseen' ? null : id })}
              />
            ) : null}
            {own ? null : (
              <Chips
                label="The other side is"
                shown
                options={[
                  { id: 'same', name: 'the same' },
                  { id: 'different', name: 'different' },
                  { id: 'unknown', name: 'not looked' },
                ]}
                value={pack.otherSide}
                onPick={(otherSide) =>
                  save({ otherSide, ...(otherSide === 'different' && { ownSide: pack.ownSide ?? 'right' }) })
                }
              />
            )}
            {own || pack.otherSide !== 'different' ? null : (
              <>
                <Chips
                  label="The readings so far are of the"
                  shown
                  options={SIDES.map((id) => ({ id, name: id }))}
                  value={pack.ownSide && otherOf(pack.ownSide)}
                  onPick={(measured) => save({ ownSide: otherOf(measured) })}
                />
                <p className="muted">
                  Each side is foretold from its own pack now. “The same” takes that back; nothing read is lost.
                </p>
              </>
            )}
          </>
        ) : null}
        {part === 'eyes' ? (
          <>
            <Chips
              label={`Main leaf’s eyes${where}`}
              shown
              options={[
                ...EYE_FORMS.map((id) => ({ id, name: EYE_NAMES[id] })),
                { id: 'unseen' as const, name: 'not seen' },
              ]}
              value={pack.eyeForm ?? 'unseen'}
              onPick={(id) => save({ eyeForm: id === 'unseen' ? null : id })}
            />
            {view.pack.rearEnd === 'pad' ? null : (
              <Chips
                label={`Its rear eye${where}`}
                shown
                options={[{ id: 'same' as const, name: 'like the front one' }, ...REAR_EYES]}
                value={pack.eyeFormRear ?? 'same'}
                onPick={(id) => save({ eyeFormRear: id === 'same' ? null : id })}
              />
            )}
          </>
        ) : null}
        {part === 'rearEnd' ? (
          <>
            <Chips
              label={`The spring’s ${pack.shackleAt === 'front' ? 'front' : 'rear'} end is`}
              shown
              options={[
                { id: 'below' as const, name: 'below the shackle’s pivot' },
                { id: 'above' as const, name: 'above it' },
                ...(pack.shackleAt === 'front' ? [] : [{ id: 'pad' as const, name: 'free under a pad or roller' }]),
              ]}
              value={pack.rearEnd}
              onPick={(rearEnd) => save({ rearEnd })}
            />
            {pack.rearEnd === 'pad' ? null : (
              <Chips
                label="The shackle is at its"
                shown
                options={[
                  { id: 'rear', name: 'rear end' },
                  { id: 'front', name: 'front end' },
                ]}
                value={pack.shackleAt}
                onPick={(shackleAt) => save({ shackleAt })}
              />
            )}
            {pack.rearEnd === 'pad' ? (
              <p className="muted">
                The place where the main leaf bears on its pad of the frame stands for the rear eye in every reading.
                Nothing holds this end down: with the frame lifted it comes off its pad, keep clear of it, and see that
                it finds its way back. Rubbing there is reckoned with, from a roller to dry steel.
              </p>
            ) : null}
          </>
        ) : null}
        {part === 'seat' ? (
          <Chips
            label={`Between the U-bolts the leaves are${where}`}
            shown
            options={[
              { id: 'flat', name: 'curved, clamped flat' },
              { id: 'formed', name: 'made flat' },
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
