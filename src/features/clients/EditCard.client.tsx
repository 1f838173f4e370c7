'use client';

import { Button, Checkbox, Input, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FACT_WORDS, STAYS_ON_CARD, type Fact } from '@/core/screening';
import type { CardReaction, ClientProfile } from '@/server/db/schema';
import type { ClientCard } from '@/server/services/clients';
import { sendJson } from '@/ui/sendJson';
import { Steps } from '@/ui/Steps.client';
import { cardFault, cleanFact, fieldsOfCard, REACTION_WORDS, withProfile, type CardFields } from './cardFields';
import styles from './Clients.module.css';

const numberOrNull = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')));

/** The whole card to be changed; who changed what is written down by the server. */
export function EditCard({ card, onClose }: { readonly card: ClientCard; readonly onClose: () => void }) {
  const router = useRouter();
  const [fields, setFields] = useState<CardFields>(fieldsOfCard(card));
  const [fault, setFault] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const { profile } = fields;
  const set = (more: Partial<CardFields>): void => setFields({ ...fields, ...more });
  const setProfile = (more: Partial<ClientProfile>): void => setFields(withProfile(fields, more));
  const save = async (): Promise<void> => {
    const problem = cardFault(fields, card.today);
    if (problem) return setFault(`${problem} What you have typed is kept.`);
    setSaving(true);
    const sent = await sendJson('PUT', `/api/clients/${card.client.id}`, { version: card.client.version, ...withProfile(fields, { standing: profile.standing.map(cleanFact) }) });
    setSaving(false);
    if (sent.ok) {
      router.refresh();
      onClose();
    } else setFault(`${sent.error.code === 'stale' ? 'Someone else has changed this card meanwhile; close and open it anew.' : sent.error.message} ${sent.error.details.map((d) => d.message).join(' ')} What you have typed is kept.`);
  };
  return (
    <Modal open width={760} style={{ top: 24 }} title={`Card of ${card.client.name}`} okText="Keep the changes" cancelText="Leave it as it was" onOk={() => void save()} onCancel={onClose} confirmLoading={saving} destroyOnHidden>
      <div className={styles.form}>
        <div className={styles.two}>
          <label>Name<Input value={fields.name} maxLength={120} onChange={(e) => set({ name: e.target.value })} /></label>
          <label>Known by<Input value={fields.byline} maxLength={200} onChange={(e) => set({ byline: e.target.value })} /></label>
          <label>Born on<Input type="date" value={fields.bornOn ?? ''} onChange={(e) => set({ bornOn: e.target.value === '' ? null : e.target.value })} /></label>
          <label>Phone<Input value={fields.phone} maxLength={60} onChange={(e) => set({ phone: e.target.value })} /></label>
          <label>Stature, cm<Input inputMode="decimal" defaultValue={profile.statureCm ?? ''} onChange={(e) => setProfile({ statureCm: numberOrNull(e.target.value) })} /></label>
          <label>Mass, kg<Input inputMode="decimal" defaultValue={profile.massKg ?? ''} onChange={(e) => setProfile({ massKg: numberOrNull(e.target.value) })} /></label>
        </div>
        <span id="edit-sensitivity">Sensitivity</span>
        <Steps labelledBy="edit-sensitivity" value={profile.sensitivity} words={['calm', 'a little', 'usual', 'reactive', 'very reactive']} onChange={(sensitivity) => setProfile({ sensitivity })} />
        <div className={styles.row}>
          <label className={styles.inlineLabel}>Skin<select className={styles.select} value={profile.skin} onChange={(e) => setProfile({ skin: e.target.value as ClientProfile['skin'] })}><option value="dry">dry</option><option value="normal">normal</option><option value="oily">oily</option></select></label>
          <Checkbox checked={profile.ingrownProne} onChange={(e) => setProfile({ ingrownProne: e.target.checked })}>Prone to ingrown hair</Checkbox>
        </div>
        <FactsEditor profile={profile} today={card.today} onChange={setProfile} />
        <ReactionsEditor profile={profile} card={card} onChange={setProfile} />
        <BlackoutEditor profile={profile} today={card.today} onChange={setProfile} />
        <label>Note<Input.TextArea rows={2} value={fields.note} maxLength={4000} onChange={(e) => set({ note: e.target.value })} /></label>
        {fault ? <p role="alert" className={styles.fault}>{fault}</p> : null}
      </div>
    </Modal>
  );
}

interface EditorProps {
  readonly profile: ClientProfile;
  readonly onChange: (more: Partial<ClientProfile>) => void;
}

function FactsEditor({ profile, today, onChange }: EditorProps & { readonly today: string }) {
  const { standing } = profile;
  const free = STAYS_ON_CARD.filter((f) => !standing.some((s) => s.fact === f && !s.until));
  const change = (i: number, more: object): void => onChange({ standing: standing.map((f, k) => (k === i ? { ...f, ...more } : f)) });
  return (
    <fieldset className={styles.set}>
      <legend>Lasting facts</legend>
      {standing.map((f, i) => (
        <div key={`${f.fact}${i}`} className={styles.row}>
          <strong>{FACT_WORDS[f.fact]}</strong>
          <label className={styles.inlineLabel}>since<Input type="date" max={today} value={f.since ?? ''} onChange={(e) => change(i, { since: e.target.value })} /></label>
          <label className={styles.inlineLabel}>until<Input type="date" value={f.until ?? ''} onChange={(e) => change(i, { until: e.target.value })} /></label>
          <Button type="text" aria-label={`Take off: ${FACT_WORDS[f.fact]}`} onClick={() => onChange({ standing: standing.filter((_, k) => k !== i) })}>Take off</Button>
        </div>
      ))}
      <select className={styles.select} aria-label="Add a lasting fact" value="" onChange={(e) => e.target.value !== '' && onChange({ standing: [...standing, { fact: e.target.value as Fact, since: today }] })}>
        <option value="">Add a lasting fact …</option>
        {free.map((f) => <option key={f} value={f}>{FACT_WORDS[f]}</option>)}
      </select>
    </fieldset>
  );
}

function ReactionsEditor({ profile, card, onChange }: EditorProps & { readonly card: ClientCard }) {
  const { reactions } = profile;
  const change = (i: number, more: Partial<CardReaction>): void => onChange({ reactions: reactions.map((r, k) => (k === i ? { ...r, ...more } : r)) });
  return (
    <fieldset className={styles.set}>
      <legend>Reactions</legend>
      {reactions.map((r, i) => (
        <div key={r.id} className={styles.row}>
          <Input type="date" aria-label="Reaction on" max={card.today} value={r.on} onChange={(e) => e.target.value !== '' && change(i, { on: e.target.value })} className={styles.date ?? ''} />
          <select className={styles.select} aria-label="What was seen" value={r.what} onChange={(e) => change(i, { what: e.target.value as CardReaction['what'] })}>{Object.entries(REACTION_WORDS).map(([id, word]) => <option key={id} value={id}>{word}</option>)}</select>
          <select className={styles.select} aria-label="Product" value={r.product ?? ''} onChange={(e) => change(i, { product: e.target.value === '' ? null : e.target.value })}><option value="">product not known</option>{card.products.map((p) => <option key={p.id} value={p.id}>{p.name}</option>)}</select>
          <Input aria-label="In words" value={r.words} maxLength={1000} onChange={(e) => change(i, { words: e.target.value })} />
          <Button type="text" onClick={() => onChange({ reactions: reactions.filter((_, k) => k !== i) })}>Take off</Button>
        </div>
      ))}
      <Button onClick={() => onChange({ reactions: [...reactions, { id: crypto.randomUUID(), on: card.today, what: 'redness', product: null, words: '' }] })}>Add a reaction</Button>
      {reactions.some((r) => r.product !== null) ? <p className="quiet">A product named here is left out of every plan for this client.</p> : null}
    </fieldset>
  );
}

function BlackoutEditor({ profile, today, onChange }: EditorProps & { readonly today: string }) {
  const { blackout } = profile;
  const change = (i: number, more: object): void => onChange({ blackout: blackout.map((b, k) => (k === i ? { ...b, ...more } : b)) });
  return (
    <fieldset className={styles.set}>
      <legend>Dates kept free</legend>
      {blackout.map((b, i) => (
        <div key={i} className={styles.row}>
          <Input type="date" aria-label="First day" value={b.from} onChange={(e) => change(i, { from: e.target.value })} className={styles.date ?? ''} />
          <Input type="date" aria-label="Last day" value={b.to} onChange={(e) => change(i, { to: e.target.value })} className={styles.date ?? ''} />
          <Input aria-label="Why" value={b.why} maxLength={200} placeholder="event, holiday in the sun …" onChange={(e) => change(i, { why: e.target.value })} />
          <Button type="text" onClick={() => onChange({ blackout: blackout.filter((_, k) => k !== i) })}>Take off</Button>
        </div>
      ))}
      <Button onClick={() => onChange({ blackout: [...blackout, { from: today, to: today, why: '' }] })}>Add dates</Button>
    </fieldset>
  );
}
