'use client';
import { useId, useRef } from 'react';
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
  const input = useRef<HTMLInputElement>(null);
  const id = useId();
  const add = (file: File | undefined) => {
    if (!file) return;
    void run(() => onAdd(file)).finally(() => {
      if (input.current) input.current.value = '';
    });
  };
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
      <label className="act quiet photo-add" htmlFor={id} aria-busy={busy}>
        {busy ? 'Sending…' : '+ Photo'}
        <span className="hidden-word"> of {caption}</span>
        <input
          ref={input}
          id={id}
          type="file"
          accept="image/*"
          disabled={busy}
          className="hidden-word"
          onChange={(event) => add(event.target.files?.[0])}
        />
      </label>
      <ProblemNote problem={problem} />
    </div>
  );
}
