import { FirstOwnerScreen } from '@/ui/door/FirstOwnerScreen';

export default function Page() {
  return <FirstOwnerScreen />;
}
