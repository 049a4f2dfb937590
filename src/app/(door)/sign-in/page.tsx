import { doorAtPage } from '@/server/pages';
import { SignInScreen } from '@/ui/door/SignInScreen';

/** Where somebody is led back to: a path of this server, nothing else. */
const pathOf = (to: unknown): string => (typeof to === 'string' && /^\/(?![/\\])[^\s\\]*$/.test(to) ? to : '/');

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  return <SignInScreen door={await doorAtPage()} to={pathOf((await searchParams).to)} />;
}
