'use client';
import { FilePick } from '../controls/FilePick';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';

export interface Picture {
  id: string;
  src: string;
  alt: string;
  width: number;
  height: number;
}

interface Props {
  pictures: readonly Picture[];
  /** What they show. */
  caption: string;
  onAdd: (file: File) => Promise<unknown>;
}

/** Small pictures in a row, and a way to add one from the camera. */
export function PictureStrip({ pictures, caption, onAdd }: Props) {
  const { busy, problem, run } = useSend();
  return (
    <div className="photos">
      {pictures.map((picture) => (
        <a key={picture.id} href={picture.src} target="_blank" rel="noreferrer">
          {/* A stored picture of its own, not one to be optimised again. */}
          {/* eslint-disable-next-line @next/next/no-img-element */}
          <img
            src={picture.src}
            alt={picture.alt}
            width={Math.round((picture.width * 64) / picture.height)}
            height={64}
            loading="lazy"
          />
        </a>
      ))}
      <FilePick
        name={
          <>
            + Photo<span className="hidden-word"> of {caption}</span>
          </>
        }
        working="Sending…"
        accept="image/*"
        busy={busy}
        onPick={(file) => run(() => onAdd(file))}
      />
      <ProblemNote problem={problem} />
    </div>
  );
}
