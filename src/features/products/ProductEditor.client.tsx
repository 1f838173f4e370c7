'use client';

import { Button, Checkbox, Input, InputNumber, Select } from 'antd';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import {
  ALLERGENS,
  BODIES_OF,
  MANNERS_OF,
  PRODUCT_FORMS,
  productFaults,
  SHIPPED_PRODUCTS,
  type MannerName,
  type Product,
} from '@/core/products';
import type { Catalogue, CatalogueRow } from '@/server/services/catalogue';
import { sendJson } from '@/ui/sendJson';
import { idFrom, keepDraft, readDraft, withValue } from './draft';
import { FigureFields } from './FigureFields.client';
import { FitPanel } from './FitPanel.client';
import { FLOW_FIELDS, HEAT_FIELDS, MANNER_WORDS, mannerFields, SETTING_FIELDS, SHELF_FIELDS } from './fields';
import { Fault } from '@/ui/Fault';
import styles from './Products.module.css';

interface Props {
  /** What is edited, or what a new one begins from. */
  readonly row: CatalogueRow;
  readonly isNew: boolean;
  readonly currency: string;
  readonly roomC: number;
}

const options = (values: readonly string[]) => values.map((value) => ({ value, label: value.replace('-', ' ') }));

const ORIGIN_WORDS: Readonly<Record<CatalogueRow['origin'], string>> = {
  own: 'The studio’s own.',
  changed: 'Shipped, changed by this studio.',
  shipped: 'As shipped: values from memory, the label comes first.',
};

/** Everything a label says and what the engines need of it; saved whole, or kept here as a draft. */
export function ProductEditor({ row, isNew, currency, roomC }: Props) {
  const router = useRouter();
  const first: Product = isNew ? { ...row.product, id: '', name: '' } : row.product;
  const draftKey = isNew ? `new-${row.product.id}` : row.product.id;
  const [product, setProduct] = useState(first);
  const [version, setVersion] = useState(isNew ? null : row.version);
  const [isTouched, setTouched] = useState(false);
  const [tried, setTried] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  useEffect(() => {
    // once the page stands: the server's page does not know of what the tablet kept
    queueMicrotask(() => {
      const kept = readDraft(draftKey);
      if (!kept) return;
      setProduct(kept.product);
      setVersion(kept.version);
      setTouched(true);
    });
  }, [draftKey]);
  const change = (next: Product): void => {
    setProduct(next);
    setTouched(true);
    setRefusal(null);
    keepDraft(draftKey, { product: next, version });
  };
  // a slab for tender skin is the one figure that need not be there
  const set = (path: string, value: unknown): void =>
    change(withValue(product, path, path.endsWith('.tender') && Number.isNaN(value) ? undefined : value));
  const named: Product = isNew ? { ...product, id: idFrom(product.name) } : product;
  const all = productFaults(named);
  // an unfinished new product is not shouted at before it is sent
  const faults = tried || !isNew ? all : all.filter((f) => f.path !== 'name' && f.path !== 'id');
  // the id comes from the name: its fault is said there, after the name's own
  const nameFault = faults.find((f) => f.path === 'name') ?? faults.find((f) => f.path === 'id');
  const names = MANNERS_OF[product.family];
  const shipped = SHIPPED_PRODUCTS.find((p) => p.id === product.id);
  const save = async (): Promise<void> => {
    setTried(true);
    if (all.length > 0) {
      return setRefusal(
        `${all.length === 1 ? 'One field is' : `${all.length} fields are`} not right yet. Nothing was sent; all you wrote is kept here.`,
      );
    }
    const sent = await sendJson<Catalogue>('PUT', '/api/products', { version, product: named, stocked: row.stocked });
    if (!sent.ok) {
      return setRefusal(
        `${sent.error.message} ${sent.error.details.map((d) => `${d.path}: ${d.message}`).join(' ')} What you wrote is kept here${sent.error.code === 'stale' ? '; giving it up shows the newer' : ''}.`,
      );
    }
    keepDraft(draftKey, null);
    router.push('/products');
    router.refresh();
  };
  const giveUp = (): void => {
    keepDraft(draftKey, null);
    setProduct(first);
    setVersion(isNew ? null : row.version);
    setTouched(false);
    setRefusal(null);
  };
  const toggle = (name: MannerName): void => {
    const manner =
      product.manners[name] ??
      row.product.manners[name] ??
      SHIPPED_PRODUCTS.find((p) => p.family === product.family && p.manners[name])?.manners[name];
    const rest = Object.fromEntries(Object.entries(product.manners).filter(([k]) => k !== name));
    // a manner of the same family, taken from a whole product
    change({ ...product, manners: product.manners[name] ? rest : { ...rest, [name]: manner } } as Product);
  };
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <div>
          <p>
            <Link href="/products">Products</Link>
          </p>
          <h1>{isNew ? `New ${product.family} product` : row.product.name}</h1>
          <p className="quiet">{isNew ? `Begun from ${row.product.name.toLowerCase()}.` : ORIGIN_WORDS[row.origin]}</p>
        </div>
        <div className={styles.actions}>
          {isTouched ? <span className="quiet">Not saved yet: kept on this tablet</span> : null}
          {isTouched ? <Button onClick={giveUp}>Give up the changes</Button> : null}
          {!isNew && row.origin === 'changed' && shipped ? (
            <Button onClick={() => change(shipped)}>As shipped</Button>
          ) : null}
          <Button type="primary" onClick={() => void save()} disabled={!isTouched && !isNew}>
            Save
          </Button>
        </div>
      </div>
      <Fault text={refusal} />
      <section aria-label="On the label">
        <h2>On the label</h2>
        <div className={styles.fields}>
          <label className={`${styles.field} ${styles.wide}`}>
            <span>Name</span>
            <Input
              value={product.name}
              maxLength={80}
              status={nameFault ? 'error' : ''}
              onChange={(e) => set('name', e.target.value)}
            />
            {nameFault ? <small role="alert">{nameFault.message}</small> : null}
          </label>
          <label className={styles.field}>
            <span>Body</span>
            <Select
              value={product.body}
              options={options(BODIES_OF[product.family])}
              onChange={(v) => set('body', v)}
              aria-label="Body"
            />
          </label>
          <label className={styles.field}>
            <span>Form</span>
            <Select
              value={product.form}
              options={options(PRODUCT_FORMS)}
              onChange={(v) => set('form', v)}
              aria-label="Form"
            />
          </label>
          <label className={styles.field}>
            <span>Price a kilogram</span>
            <InputNumber<number>
              value={Number.isNaN(product.priceMinorPerKg) ? null : product.priceMinorPerKg / 100}
              step={0.5}
              precision={2}
              suffix={currency}
              controls={false}
              inputMode="decimal"
              onChange={(v) => set('priceMinorPerKg', v === null ? Number.NaN : Math.round(v * 100))}
            />
          </label>
        </div>
        <div className={styles.chips} role="group" aria-label="Contains">
          <span>Contains</span>
          <Checkbox.Group
            options={options(ALLERGENS)}
            value={[...product.allergens]}
            onChange={(has) =>
              set(
                'allergens',
                ALLERGENS.filter((a) => has.includes(a)),
              )
            }
          />
        </div>
        <FigureFields fields={SHELF_FIELDS} product={product} faults={faults} onChange={set} />
      </section>
      {names.map((name) => (
        <section key={name} aria-label={MANNER_WORDS[name]}>
          <div className={styles.line}>
            <h2>{MANNER_WORDS[name]}</h2>
            {names.length > 1 ? (
              <Checkbox checked={product.manners[name] !== undefined} onChange={() => toggle(name)}>
                worked so
              </Checkbox>
            ) : null}
          </div>
          {product.manners[name] ? (
            <FigureFields fields={mannerFields(name)} product={product} faults={faults} onChange={set} />
          ) : null}
        </section>
      ))}
      {faults
        .filter((f) => f.path === 'manners' || f.path === 'viscosity[1]')
        .map((f) => (
          <Fault key={f.path} text={f.message} />
        ))}
      <FitPanel product={product} roomC={roomC} onTake={change} />
      <details className={styles.model}>
        <summary>The figures behind it</summary>
        <h3>Flow and hold</h3>
        <FigureFields fields={FLOW_FIELDS} product={product} faults={faults} onChange={set} />
        {product.setting ? (
          <>
            <h3>Setting</h3>
            <FigureFields fields={SETTING_FIELDS} product={product} faults={faults} onChange={set} />
          </>
        ) : null}
        <h3>Heat</h3>
        <FigureFields fields={HEAT_FIELDS} product={product} faults={faults} onChange={set} />
      </details>
    </section>
  );
}
