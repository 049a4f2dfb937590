import { HandbookScreen } from '@/ui/handbook/HandbookScreen';

/** The handbook as it is kept for when there is no network. */
export default function Page() {
  return <HandbookScreen asked={{}} />;
}
