import type { Metadata } from 'next';
import { DoorView } from '@/features/door/DoorView.client';
import { SignInView } from '@/features/door/SignInView.client';
import { getDb } from '@/server/db/client';
import { anyPageRequest } from '@/server/pageRequest';
import { readStudio } from '@/server/repos/studioRepo';
import { doorFacts } from '@/server/services/doorFacts';

export const metadata: Metadata = { title: 'Come in' };
export const dynamic = 'force-dynamic';

interface Props {
  readonly searchParams: Promise<{ readonly to?: string | string[] }>;
}

/** `?to=` says where the tablet was; only an address of ours is gone to. */
export default async function DoorPage({ searchParams }: Props) {
  const { to } = await searchParams;
  const studioName = readStudio(getDb())?.name ?? 'Strickle';
  const facts = doorFacts(getDb(), await anyPageRequest());
  if (facts === null) return <DoorView studioName={studioName} />;
  const back = typeof to === 'string' && /^\/(?!\/|door)[\w/?=&.-]*$/.test(to) ? to : '/';
  return <SignInView studioName={studioName} facts={facts} back={back} />;
}
