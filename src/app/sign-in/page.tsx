import type { Metadata } from 'next';
import { loadSignIn } from '@/places/people/sign-in/queries';
import { ownPath } from '@/core/people/own-path';
import { SignInPage } from '@/places/people/sign-in/sign-in-page';

export const metadata: Metadata = { title: 'Sign in' };

export default async function Page({ searchParams }: { searchParams: Promise<{ to?: string | string[] }> }) {
  const { to } = await searchParams;
  return <SignInPage loaded={await loadSignIn()} to={ownPath(typeof to === 'string' ? to : undefined)} />;
}
