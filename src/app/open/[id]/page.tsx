import { notFound, redirect } from 'next/navigation';
import { whereToOpen } from '@/places/plan/queries';

/** Where the code on a printed sheet leads: to the set once it was begun, else to its plan. */
export default async function Page({ params }: { params: Promise<{ id: string }> }): Promise<never> {
  const path = await whereToOpen((await params).id);
  if (!path) notFound();
  redirect(path);
}
