'use client';

import { Modal, Switch } from 'antd';
import { useState } from 'react';
import { keysAreOff } from '@/ui/useKeys';
import styles from './Bench.module.css';

const KEYS: readonly (readonly [string, string])[] = [
  ['T', 'Today'],
  ['/', 'Search clients'],
  ['G then 1–7', 'Station: Consult, Chart, Match, Strips, Work, Read, Return'],
  ['.', 'Privacy curtain'],
  ['?', 'This list'],
  ['Y · N', 'Consult: answer the first open question'],
  ['A', 'Chart: as last time, all zones looked at'],
  ['C · X · D · M · E', 'Chart: comb, comb crossing hair, density, mark, erase'],
  ['[ · ]', 'Chart: brush or mark smaller, larger'],
  ['− · +', 'Chart, density: thinner, thicker'],
  ['Z · Shift+Z', 'Chart: undo, redo'],
  ['Arrows, Shift+arrows, Enter', 'Chart, sheet in focus: move the brush, comb that way, set or erase'],
  ['Z · Shift+Z', 'Strips, while they are changed: undo, redo'],
  ['Arrows', 'Strips, sheet in focus: move the chosen strip'],
  ['Space · Page Down', 'Work: done (pedal); twice where it would be too early'],
  ['Page Up', 'Work: undo'],
  ['W', 'Work: wrist test done, or done anew before a load that is warned of'],
  ['L', 'Work with hand paste: a fresh lump'],
  ['S', 'Work: this step is left out'],
  ['H', 'Work: hold all'],
  ['A', 'Work: other strip'],
  ['1–4', 'Work: clean, some left, broke, sore'],
  ['F', 'Work: problem, and what to do'],
  ['V', 'Work: sound and voice on or off'],
  ['0', 'Work: stop'],
];

export function KeyList({ onClose }: { readonly onClose: () => void }) {
  const [off, setOff] = useState(keysAreOff());
  const toggle = (on: boolean): void => {
    localStorage.setItem('strickle-keys', on ? 'on' : 'off');
    setOff(!on);
  };
  return (
    <Modal open title="Keys" footer={null} onCancel={onClose} destroyOnHidden>
      <dl className={styles.keys}>
        {KEYS.map(([key, what]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <label className={styles.keySwitch}>
        <Switch checked={!off} onChange={toggle} /> Single keys on this tablet
      </label>
      <p className="quiet">
        A pedal works as a keyboard that sends Page Down, Page Up or Space. No key fires while you type.
      </p>
    </Modal>
  );
}
