'use client';

import { PinPad } from '@/ui/PinPad.client';
import styles from './Door.module.css';

/** Before anything is seen in a browser that the server does not know. */
export function DoorView({ studioName }: { readonly studioName: string }) {
  return (
    <main className={styles.door}>
      <h1>{studioName}</h1>
      <p className="quiet">This browser has not been here before. A PIN of the studio opens it, once.</p>
      {/* the whole page anew: what it may show is decided by the server */}
      <PinPad url="/api/door" does="Come in" onClose={null} onOpened={() => window.location.assign('/')} />
    </main>
  );
}
