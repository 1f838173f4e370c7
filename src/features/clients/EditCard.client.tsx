'use client';

import { readSize, sizeSign, sizeTyped } from '@/formats/size';
import { Checkbox, Form, Input, Modal, Radio, Select } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { CARE_LANGUAGES } from '@/core/care';
import type { ClientProfile } from '@/server/db/schema';
import type { ClientCard } from '@/server/services/clients';
import { sendJson } from '@/ui/sendJson';
import { Steps } from '@/ui/Steps.client';
import { AvoidEditor, BlackoutEditor, FactsEditor, ReactionsEditor } from './CardLists.client';
import { cardFault, cleanFact, fieldsOfCard, withProfile, type CardFields } from './cardFields';
import { DateField } from '@/ui/DateField.client';
import { Fault } from '@/ui/Fault';
import styles from './Clients.module.css';

const SKINS: readonly ClientProfile['skin'][] = ['dry', 'normal', 'oily'];
const TENTHS = 10;
const tenths = (value: number): number => Math.round(TENTHS * value) / TENTHS;
/** Height and weight as the studio reads them, to a tenth; nothing where nothing is known. */
const asRead = (kept: number | null, of: 'cm' | 'kg'): number | string =>
  kept === null ? '' : tenths(readSize(kept, of));
const asKept = (text: string, of: 'cm' | 'kg'): number | null =>
  text.trim() === '' ? null : tenths(sizeTyped(Number(text.replace(',', '.')), of));

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
    const sent = await sendJson('PUT', `/api/clients/${card.client.id}`, {
      version: card.client.version,
      ...withProfile(fields, { standing: profile.standing.map(cleanFact) }),
    });
    setSaving(false);
    if (sent.ok) {
      router.refresh();
      onClose();
    } else {
      const isStale = sent.error.code === 'stale';
      const said = isStale
        ? 'Someone else has changed this card meanwhile; close and open it anew.'
        : sent.error.message;
      setFault(`${[said, ...sent.error.details.map((d) => d.message)].join(' ')} What you have typed is kept.`);
    }
  };
  return (
    <Modal
      open
      width={760}
      style={{ top: 24 }}
      title={`Card of ${card.client.name}`}
      okText="Keep the changes"
      cancelText="Leave it as it was"
      onOk={() => void save()}
      onCancel={onClose}
      confirmLoading={saving}
      destroyOnHidden
    >
      <Form layout="vertical" component="div" className={styles.form ?? ''}>
        <div className={styles.two}>
          <Form.Item label="Name" htmlFor="card-name">
            <Input id="card-name" value={fields.name} maxLength={120} onChange={(e) => set({ name: e.target.value })} />
          </Form.Item>
          <Form.Item label="Known by" htmlFor="card-byline">
            <Input
              id="card-byline"
              value={fields.byline}
              maxLength={200}
              onChange={(e) => set({ byline: e.target.value })}
            />
          </Form.Item>
          <Form.Item label="Born on" htmlFor="card-born">
            <DateField
              id="card-born"
              value={fields.bornOn}
              max={card.today}
              onChange={(date) => set({ bornOn: date === '' ? null : date })}
            />
          </Form.Item>
          <Form.Item label="Phone" htmlFor="card-phone">
            <Input
              id="card-phone"
              value={fields.phone}
              maxLength={60}
              onChange={(e) => set({ phone: e.target.value })}
            />
          </Form.Item>
          <Form.Item label={`Height, ${sizeSign('cm')}`} htmlFor="card-stature">
            <Input
              id="card-stature"
              inputMode="decimal"
              defaultValue={asRead(profile.statureCm, 'cm')}
              onChange={(e) => setProfile({ statureCm: asKept(e.target.value, 'cm') })}
            />
          </Form.Item>
          <Form.Item label={`Weight, ${sizeSign('kg')}`} htmlFor="card-mass">
            <Input
              id="card-mass"
              inputMode="decimal"
              defaultValue={asRead(profile.massKg, 'kg')}
              onChange={(e) => setProfile({ massKg: asKept(e.target.value, 'kg') })}
            />
          </Form.Item>
        </div>
        <span id="edit-sensitivity">Sensitivity</span>
        <Steps
          labelledBy="edit-sensitivity"
          value={profile.sensitivity}
          words={['calm', 'a little', 'usual', 'reactive', 'very reactive']}
          onChange={(sensitivity) => setProfile({ sensitivity })}
        />
        <div className={styles.row}>
          <Radio.Group
            aria-label="Skin"
            optionType="button"
            options={SKINS.map((skin) => ({ value: skin, label: `${skin} skin` }))}
            value={profile.skin}
            onChange={(e) => setProfile({ skin: e.target.value as ClientProfile['skin'] })}
          />
          <Checkbox checked={profile.ingrownProne} onChange={(e) => setProfile({ ingrownProne: e.target.checked })}>
            Prone to ingrown hair
          </Checkbox>
        </div>
        <Form.Item label="Language of the care card" htmlFor="card-language">
          <Select
            id="card-language"
            value={profile.language ?? 'en'}
            options={CARE_LANGUAGES.map(({ tag, name }) => ({ value: tag, label: name }))}
            onChange={(language) => setProfile({ language })}
          />
        </Form.Item>
        <FactsEditor profile={profile} today={card.today} onChange={setProfile} />
        <ReactionsEditor profile={profile} card={card} onChange={setProfile} />
        <BlackoutEditor profile={profile} today={card.today} onChange={setProfile} />
        <AvoidEditor profile={profile} today={card.today} onChange={setProfile} />
        <Form.Item label="Note" htmlFor="card-note">
          <Input.TextArea
            id="card-note"
            rows={2}
            value={fields.note}
            maxLength={4000}
            onChange={(e) => set({ note: e.target.value })}
          />
        </Form.Item>
        <Fault text={fault} />
      </Form>
    </Modal>
  );
}
