import { seenBy } from '@/server/door/shop';
import { DoorFrame } from '@/ui/door/DoorFrame';
import { SeenScreen } from '@/ui/door/SeenScreen';

/** What a customer's link shows. */
export default async function Page({ params }: { params: Promise<{ token: string }> }) {
  const job = await seenBy((await params).token);
  if (job) return <SeenScreen job={job} />;
  return (
    <DoorFrame title="This link shows nothing any more">
      <p>It has ended, was taken back, or was never one. The shop that gave it can make another.</p>
    </DoorFrame>
  );
}
