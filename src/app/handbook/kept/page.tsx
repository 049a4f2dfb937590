import { HandbookScreen } from '@/ui/handbook/HandbookScreen';

/** The handbook as it is kept for when there is no network: nobody's name in it. */
export default function Page() {
  return <HandbookScreen people={[]} person="" asked={{}} />;
}
