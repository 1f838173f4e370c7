'use client';

import { Button } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sendJson } from '@/ui/sendJson';

interface Props {
  readonly clientId: string;
  readonly zones: readonly { readonly zone: string; readonly side: string; readonly name: string }[];
}

/** Opens a visit now with last time's zones; the zones can be changed on the bench. */
export function WalkIn({ clientId, zones }: Props) {
  const router = useRouter();
  const [state, setState] = useState<'idle' | 'opening' | 'failed'>('idle');
  const open = async (): Promise<void> => {
    setState('opening');
    const chosen = zones.map(({ zone, side }) => ({ zone, side }));
    const made = await sendJson<{ visitId: string }>('POST', '/api/visits', {
      clientId,
      ...(chosen.length > 0 ? { zones: chosen } : {}),
    });
    if (made.ok) router.push(`/visits/${made.value.visitId}`);
    else setState('failed');
  };
  return (
    <span>
      <Button type="primary" loading={state === 'opening'} onClick={() => void open()}>
        Open a visit now
      </Button>
      {state === 'failed' ? <span role="alert"> Not opened: the server did not answer.</span> : null}
    </span>
  );
}
