'use client';

import { Button, Input, Popconfirm } from 'antd';
import { Link } from '@/ui/Link';
import { useRef, useState } from 'react';
import { zoneKey } from '@/core/anatomy';
import { ZonePicker } from '@/features/body/ZonePicker.client';
import type { ZoneRef } from '@/server/db/schema';
import type { House } from '@/server/services/house';
import { Said } from './Said';
import { useHouse, type HouseActs } from './useHouse';
import styles from './Studio.module.css';

type Service = House['services'][number];
const NEW: Service = { id: '', name: '', says: '', zones: [] };
const NOTHING = new Set<string>();
const NO_DATES = new Map<string, string>();

/** Services and bundles by what they take off, drawn on the body. */
export function ServicesView({ first }: { readonly first: House }) {
  const acts = useHouse(first);
  const { services } = acts.house;
  const [open, setOpen] = useState<string | null>(services[0]?.id ?? null);
  const form = useRef<HTMLDivElement>(null);
  // where it is narrow the form stands above the list that was tapped
  const choose = (id: string): void => {
    setOpen(id);
    form.current?.scrollIntoView({ block: 'nearest' });
  };
  const chosen = open === '' ? NEW : services.find((s) => s.id === open);
  return (
    <section className={`${styles.page} ${styles.broad}`}>
      <h1>Services</h1>
      <p className="quiet">
        A name says little: the drawing says what comes off. What they cost and how long they take stands under{' '}
        <Link href="/prices">Prices</Link>.
      </p>
      <Said said={acts.said} />
      <div ref={form} className={styles.scrollMark} />
      <div className={styles.twoSides}>
        <ul className={styles.names}>
          {services.map((s) => (
            <li key={s.id}>
              <button type="button" aria-pressed={s.id === open} onClick={() => choose(s.id)}>
                <strong>{s.name}</strong>
                <span className="quiet">{s.says}</span>
              </button>
            </li>
          ))}
          <li>
            <button type="button" aria-pressed={open === ''} onClick={() => choose('')}>
              <strong>Another service</strong>
              <span className="quiet">a bundle of your own</span>
            </button>
          </li>
        </ul>
        {chosen ? <ServiceForm key={chosen.id} service={chosen} acts={acts} onDone={setOpen} /> : null}
      </div>
    </section>
  );
}

interface FormProps {
  readonly service: Service;
  readonly acts: HouseActs;
  readonly onDone: (open: string | null) => void;
}

function ServiceForm({ service, acts, onDone }: FormProps) {
  const [draft, setDraft] = useState(service);
  const keys = new Set(draft.zones.map(zoneKey));
  const toggle = (zone: ZoneRef): void =>
    setDraft({
      ...draft,
      zones: keys.has(zoneKey(zone)) ? draft.zones.filter((z) => zoneKey(z) !== zoneKey(zone)) : [...draft.zones, zone],
    });
  const name = draft.name.trim();
  const isNew = service.id === '';
  const keep = async (): Promise<void> => {
    const { says, zones } = draft;
    const sent = { id: isNew ? null : service.id, name, says: says.trim(), zones };
    if ((await acts.act({ service: sent }, `${name}: saved.`)) && isNew) onDone(null);
  };
  const end = async (): Promise<void> => {
    if (await acts.act({ noService: { id: service.id } }, `${service.name} is offered no more.`)) onDone(null);
  };
  return (
    <div className={styles.serviceForm}>
      <Input
        aria-label="Name of the service"
        size="large"
        maxLength={60}
        placeholder="what you call it"
        value={draft.name}
        onChange={(e) => setDraft({ ...draft, name: e.target.value })}
      />
      <Input
        aria-label="What comes off, in a sentence"
        maxLength={160}
        placeholder="what comes off, in one sentence"
        value={draft.says}
        onChange={(e) => setDraft({ ...draft, says: e.target.value })}
      />
      <ZonePicker
        chosen={keys}
        stopped={NOTHING}
        lastOn={NO_DATES}
        hint="tap what it takes off"
        plain
        disabled={false}
        onToggle={toggle}
      />
      <div className={styles.weekday}>
        <Button
          type="primary"
          size="large"
          disabled={name === '' || draft.zones.length === 0 || JSON.stringify(draft) === JSON.stringify(service)}
          onClick={() => void keep()}
        >
          {isNew ? 'Add the service' : `Save ${service.name}`}
        </Button>
        {isNew ? null : (
          <Popconfirm
            title="Offer it no more? Visits and the ledger keep its name."
            okText="Offer it no more"
            cancelText="Keep it"
            onConfirm={() => void end()}
          >
            <Button type="text">Offer it no more</Button>
          </Popconfirm>
        )}
      </div>
    </div>
  );
}
