'use client';

import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import { useMay } from '@/ui/Who.client';
import { sendJson } from '@/ui/sendJson';
import styles from './OpenVisit.module.css';

interface Props {
  readonly bookingId: string;
  readonly visitId: string | null;
  readonly label: string;
  readonly quiet?: boolean;
  readonly className?: string | undefined;
}

/**
 * Opens the visit of a booking (making it on the first tap) and goes to its bench. A form, so that a tap before the
 * script runs counts too.
 */
export function OpenVisitButton({ bookingId, visitId, label, quiet, className }: Props) {
  const router = useRouter();
  const mayOpen = useMay('care');
  const [state, setState] = useState<'idle' | 'opening' | 'failed'>('idle');
  const open = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    if (visitId) return router.push(`/visits/${visitId}`);
    setState('opening');
    const made = await sendJson<{ visitId: string }>('POST', '/api/visits', { bookingId });
    if (made.ok) router.push(`/visits/${made.value.visitId}`);
    else setState('failed');
  };
  if (!mayOpen) return <span className={quiet ? undefined : className}>{quiet ? '' : label}</span>;
  return (
    <form method="post" action="/visits/open" className={styles.form} onSubmit={(e) => void open(e)}>
      <input type="hidden" name="bookingId" value={bookingId} />
      <button type="submit" className={quiet ? styles.quiet : className} disabled={state === 'opening'}>
        {state === 'failed' ? `${label}: not opened, the server did not answer. Try again.` : label}
      </button>
    </form>
  );
}
