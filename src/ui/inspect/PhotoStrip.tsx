'use client';
import { useId, useRef } from 'react';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';

interface Props {
  job: JobHandle;
  /** What the pictures show: a rule and side, or a field of the sheet. */
  subject: string;
  /** The same in words. */
  caption: string;
}

/** Pictures of one thing, and a way to add one from the camera. */
export function PhotoStrip({ job, subject, caption }: Props) {
  const { busy, problem, run } = useSend();
  const input = useRef<HTMLInputElement>(null);
  const id = useId();
  const photos = job.view.photos.filter((p) => p.subject === subject);
  const add = (file: File | undefined) => {
    if (!file) return;
    void run(async () => {
      const form = new FormData();
      form.set('id', crypto.randomUUID());
      form.set('subject', subject);
      form.set('caption', caption);
      form.set('file', file);
      await job.upload('/photos', form);
    }).finally(() => {
      if (input.current) input.current.value = '';
    });
  };
  return (
    <div className="photos">
      {photos.map((photo) => (
        <a key={photo.id} href={`/api/photos/${photo.id}`} target="_blank" rel="noreferrer">
          {/* A stored picture of its own, not one to be optimised again. */}
          {/* eslint-disable-next-line @next/next/no-img-element */}
          <img
            src={`/api/photos/${photo.id}`}
            alt={`${photo.caption}, ${photo.takenAt.slice(0, 10)}, ${photo.person}`}
            width={Math.round((photo.width * 64) / photo.height)}
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
