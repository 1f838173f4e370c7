import { Button } from 'antd';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ProgressBoard } from '@/features/clients/progress/ProgressBoard';
import styles from '@/features/clients/progress/Progress.module.css';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { notePageRead } from '@/server/trail';
import { loadProgress } from '@/server/services/progress';

export const metadata: Metadata = { title: 'Your progress' };
export const dynamic = 'force-dynamic';

/** What the client may see and take home: no alerts, nothing of health, no notes. */
export default async function Page({ params }: { readonly params: Promise<{ readonly id: string }> }) {
  const { id } = await params;
  const progress = loadProgress(getDb(), id, nowMs());
  if (!progress.ok) notFound();
  await notePageRead(getDb(), `/clients/${id}/progress`);
  return (
    <section className={styles.sheet}>
      <h1>{progress.value.name.split(' ')[0]}, visit by visit</h1>
      <ProgressBoard progress={progress.value} />
      <p className={styles.tools}>
        <Button href={`/api/clients/${id}/progress`}>To take home, A5</Button>
        <Button href={`/clients/${id}`}>Back to the card</Button>
      </p>
    </section>
  );
}
