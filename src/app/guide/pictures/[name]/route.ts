import { guidePicture } from '@/server/guide';

/** A picture of the guide. */
export async function GET(_request: Request, { params }: { params: Promise<{ name: string }> }) {
  const picture = await guidePicture((await params).name);
  if (!picture) return new Response('There is no such picture.', { status: 404 });
  return new Response(new Uint8Array(picture), {
    headers: { 'content-type': 'image/png', 'cache-control': 'private, max-age=3600' },
  });
}
