'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sendJson } from '@/ui/sendJson';

interface Props {
  readonly bookingId: string;
  readonly visitId: string | null;
  readonly label: string;
  readonly quiet?: boolean;
  readonly className?: string | undefined;
}

/** Opens the visit of a booking (making it on the first tap) and goes to its bench. */
export function OpenVisitButton({ bookingId, visitId, label, quiet, className }: Props) {
  const router = useRouter();
  const [state, setState] = useState<'idle' | 'opening' | 'failed'>('idle');
  const open = async (): Promise<void> => {
    if (visitId) return router.push(`/visits/${visitId}`);
    setState('opening');
    const made = await sendJson<{ visitId: string }>('POST', '/api/visits', { bookingId });
    if (made.ok) router.push(`/visits/${made.value.visitId}`);
    else setState('failed');
  };
  const style = quiet ? { background: 'none', border: 0, padding: 0, color: 'var(--wax-dark)', textDecoration: 'underline', cursor: 'pointer', minHeight: 24 } : undefined;
  return (
    <button type="button" onClick={() => void open()} className={className} style={style} disabled={state === 'opening'}>
      {state === 'failed' ? `${label}: not opened, the server did not answer. Try again.` : label}
    </button>
  );
}
