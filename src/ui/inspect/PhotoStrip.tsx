'use client';
import { type JobHandle } from '../job/useJob';
import { type Outbox } from '../job/useOutbox';
import { PictureStrip } from './PictureStrip';

interface Props {
  job: JobHandle;
  /** What the pictures show: a rule and side, or a field of the sheet. */
  subject: string;
  /** The same in words. */
  caption: string;
  /** Where the network may be away: a picture is kept here until it can be sent. */
  outbox?: Pick<Outbox, 'say' | 'pictures'>;
}

/** Pictures of one thing of a job. */
export function PhotoStrip({ job, subject, caption, outbox }: Props) {
  const photos = job.view.photos.filter((p) => p.subject === subject);
  return (
    <PictureStrip
      pictures={photos.map((p) => ({
        ...p,
        src: outbox?.pictures.get(p.id) ?? `/api/photos/${p.id}`,
        alt: `${p.caption}, ${p.takenAt.slice(0, 10)}, ${p.person}`,
      }))}
      caption={caption}
      onAdd={(file) => {
        if (outbox) return outbox.say('/photos', { id: crypto.randomUUID(), subject, caption }, file);
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
