'use client';
import { type JobHandle } from '../job/useJob';
import { PictureStrip } from './PictureStrip';

interface Props {
  job: JobHandle;
  /** What the pictures show: a rule and side, or a field of the sheet. */
  subject: string;
  /** The same in words. */
  caption: string;
}

/** Pictures of one thing of a job. */
export function PhotoStrip({ job, subject, caption }: Props) {
  const photos = job.view.photos.filter((p) => p.subject === subject);
  return (
    <PictureStrip
      pictures={photos.map((p) => ({
        ...p,
        src: `/api/photos/${p.id}`,
        alt: `${p.caption}, ${p.takenAt.slice(0, 10)}, ${p.person}`,
      }))}
      caption={caption}
      onAdd={(file) => {
        const form = new FormData();
        form.set('id', crypto.randomUUID());
        form.set('subject', subject);
        form.set('caption', caption);
        form.set('file', file);
        return job.upload('/photos', form);
      }}
    />
  );
}
