import { guideText } from '@/server/guide';
import { loadPage } from '@/server/pages';
import { GuideScreen } from '@/ui/guide/GuideScreen';

/** One job from the first tape to the hand-over. */
export default async function Page() {
  const [{ people, person }, text] = await Promise.all([loadPage('read', () => Promise.resolve(null)), guideText()]);
  return <GuideScreen text={text} people={people} person={person} />;
}
