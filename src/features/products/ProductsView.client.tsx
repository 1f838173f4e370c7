'use client';

import { Button, Checkbox, Modal, Slider } from 'antd';
import Link from 'next/link';
import { useRef, useState } from 'react';
import { MOST_WEIGHT_FACTOR, SHIPPED_WEIGHTS, WEIGHT_NAMES, type Weights } from '@/core/matching';
import type { Catalogue, CatalogueRow, ProductImport } from '@/server/services/catalogue';
import { sendJson } from '@/ui/sendJson';
import { plural } from '@/ui/words';
import { MANNER_WORDS } from './fields';
import { Fault } from '@/ui/Fault';
import styles from './Products.module.css';

const FAMILY_WORDS = { hard: 'hard wax', soft: 'soft wax', sugar: 'sugar' } as const;
const WEIGHT_WORDS: Readonly<Record<keyof Weights, readonly [string, string]>> = {
  removed: ['What comes out', 'the share of hair removed'],
  broken: ['What stays whole', 'less breakage, most of all on skin that grows hairs in'],
  load: ['What the skin bears', 'less load on the skin'],
  minutes: ['Time', 'fewer minutes at the table'],
  cost: ['Material', 'cheaper material'],
  coarseHard: ['Hard for coarse hair', 'the school that coarse hair wants hard wax'],
  fineSoft: ['Soft for fine hair', 'the school that fine hair wants soft wax'],
  paste: ['Paste to the room', 'a paste that suits the room’s heat'],
};

const DOES_WORDS: Readonly<Record<ProductImport['lines'][number]['does'], string>> = {
  new: 'new',
  changes: 'replaces what stands here',
  same: 'as it stands here',
};
const ORIGIN_WORDS: Readonly<Record<CatalogueRow['origin'], string>> = {
  shipped: '',
  own: ' · the studio’s own',
  changed: ' · changed here',
};

/** The studio's catalogue: what each label says, on the shelf or not, and what counts when products are compared. */
export function ProductsView({ first }: { readonly first: Catalogue }) {
  const [catalogue, setCatalogue] = useState(first);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [incoming, setIncoming] = useState<{ readonly text: string; readonly lines: ProductImport['lines'] } | null>(
    null,
  );
  const file = useRef<HTMLInputElement>(null);
  const money = new Intl.NumberFormat('en-GB', { style: 'currency', currency: catalogue.currency });
  const answer = (sent: Awaited<ReturnType<typeof sendJson<Catalogue>>>): void => {
    if (sent.ok) setCatalogue(sent.value);
    setRefusal(sent.ok ? null : `${sent.error.message}${sent.error.code === 'stale' ? ' Load the page again.' : ''}`);
  };
  const shelf = async (row: CatalogueRow): Promise<void> =>
    answer(
      await sendJson<Catalogue>('PUT', '/api/products', {
        version: row.version,
        product: row.product,
        stocked: !row.stocked,
      }),
    );
  const look = async (chosen: File): Promise<void> => {
    const text = await chosen.text();
    const sent = await sendJson<ProductImport>('POST', '/api/products/import', { text, commit: false });
    if (sent.ok) {
      setIncoming({ text, lines: sent.value.lines });
      setRefusal(null);
    } else {
      setRefusal(
        `${sent.error.message} ${sent.error.details
          .slice(0, 6)
          .map((d) => `${d.path}: ${d.message}`)
          .join(' ')}${sent.error.details.length > 6 ? ` And ${sent.error.details.length - 6} more.` : ''}`,
      );
    }
  };
  const takeIn = async (): Promise<void> => {
    if (!incoming) return;
    const sent = await sendJson<ProductImport>('POST', '/api/products/import', { text: incoming.text, commit: true });
    if (sent.ok && sent.value.catalogue) setCatalogue(sent.value.catalogue);
    setRefusal(sent.ok ? null : sent.error.message);
    setIncoming(null);
  };
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <div>
          <h1>Products</h1>
          <p className="quiet">
            What the planner knows of each product. The label of the pack in the hand always comes first; what stands
            here was entered from it or ships from memory.
          </p>
        </div>
        <div className={styles.actions}>
          <Button onClick={() => file.current?.click()}>From a file</Button>
          <a className={styles.out} href="/api/products/export" download>
            To a file
          </a>
          <input
            ref={file}
            type="file"
            accept="application/json,.json"
            hidden
            aria-label="Products from a file"
            onChange={(e) => {
              const [chosen] = e.target.files ?? [];
              if (chosen) void look(chosen);
              e.target.value = '';
            }}
          />
        </div>
      </div>
      <Fault text={refusal} />
      <div className={styles.list}>
        {catalogue.rows.map((row) => (
          <ProductRow
            key={row.product.id}
            row={row}
            price={money.format(row.product.priceMinorPerKg / 100)}
            onShelf={() => void shelf(row)}
          />
        ))}
      </div>
      <Weighing catalogue={catalogue} onAnswer={answer} />
      {incoming ? (
        <Modal
          open
          title={plural(incoming.lines.length, 'product') + ' in the file'}
          okText={incoming.lines.every((l) => l.does === 'same') ? 'Nothing to take in' : 'Take in'}
          okButtonProps={{ disabled: incoming.lines.every((l) => l.does === 'same') }}
          onOk={() => void takeIn()}
          onCancel={() => setIncoming(null)}
          destroyOnHidden
        >
          <ul className={styles.incoming}>
            {incoming.lines.map((l) => (
              <li key={l.id}>
                <strong>{l.name}</strong> <span className="quiet">{DOES_WORDS[l.does]}</span>
              </li>
            ))}
          </ul>
        </Modal>
      ) : null}
    </section>
  );
}

function ProductRow({
  row,
  price,
  onShelf,
}: {
  readonly row: CatalogueRow;
  readonly price: string;
  readonly onShelf: () => void;
}) {
  const { product: p, stocked, origin } = row;
  return (
    <article className={styles.row} data-stocked={stocked}>
      <div>
        <h2>
          <Link href={`/products/${p.id}`}>{p.name}</Link>
        </h2>
        <p className="quiet">
          {FAMILY_WORDS[p.family]}, {p.body.replace('-', ' ')}, {p.form}
          {ORIGIN_WORDS[origin]}
        </p>
      </div>
      <div>
        {Object.entries(p.manners).map(([name, m]) => (
          <p key={name}>
            {Object.keys(p.manners).length > 1 ? `${MANNER_WORDS[name as keyof typeof MANNER_WORDS]}: ` : ''}
            <strong>
              {m.labelC.min}–{m.labelC.max} °C
            </strong>
            , {m.thicknessMm.usual} mm, hair {m.shortestMm}–{m.longestMm} mm
          </p>
        ))}
        <p className="quiet">
          {p.allergens.length === 0
            ? 'None of the named allergens'
            : `Contains ${p.allergens.map((a) => a.replace('-', ' ')).join(', ')}`}{' '}
          · {p.passes.max === 1 ? 'one pass' : `at most ${p.passes.max} passes`} · {price} a kg
        </p>
      </div>
      <div className={styles.rowActions}>
        <Checkbox checked={stocked} onChange={onShelf}>
          on the shelf
        </Checkbox>
        <Link className={styles.out} href={`/products/new?from=${p.id}`}>
          New from it
        </Link>
      </div>
    </article>
  );
}

function Weighing({
  catalogue,
  onAnswer,
}: {
  readonly catalogue: Catalogue;
  readonly onAnswer: (sent: Awaited<ReturnType<typeof sendJson<Catalogue>>>) => void;
}) {
  const [weights, setWeights] = useState(catalogue.weights);
  const wanted = useRef<Weights | null>(null);
  const version = useRef(catalogue.studioVersion);
  const busy = useRef(false);
  // one save after the other, each with the version that the last one gave; of quick steps only the latest goes
  const send = async (next: Weights): Promise<void> => {
    setWeights(next);
    wanted.current = next;
    if (busy.current) return;
    busy.current = true;
    while (wanted.current) {
      const going: Weights = wanted.current;
      wanted.current = null;
      const sent = await sendJson<Catalogue>('PUT', '/api/products/weights', {
        version: version.current,
        weights: going,
      });
      if (sent.ok) version.current = sent.value.studioVersion;
      onAnswer(sent);
    }
    busy.current = false;
  };
  const isShipped = WEIGHT_NAMES.every((n) => weights[n] === SHIPPED_WEIGHTS[n]);
  return (
    <section className={styles.weighing} aria-label="What counts">
      <div className={styles.line}>
        <h2>What counts when products are compared</h2>
        {isShipped ? null : <Button onClick={() => void send(SHIPPED_WEIGHTS)}>As shipped</Button>}
      </div>
      <p className="quiet">
        What is left out stays out whatever counts here: allergies, the screening, the zone, the label, hair that is too
        short. 1 × is as shipped.
      </p>
      <div className={styles.weights}>
        {WEIGHT_NAMES.map((n) => (
          <label key={n} id={`weight-${n}`} className={styles.weight}>
            <span>
              <strong>{WEIGHT_WORDS[n][0]}</strong> {(weights[n] / SHIPPED_WEIGHTS[n]).toFixed(1)} ×
              <small>{WEIGHT_WORDS[n][1]}</small>
            </span>
            <Slider
              min={0}
              max={MOST_WEIGHT_FACTOR}
              step={0.25}
              value={weights[n] / SHIPPED_WEIGHTS[n]}
              onChange={(f) => setWeights({ ...weights, [n]: f * SHIPPED_WEIGHTS[n] })}
              onChangeComplete={(f) => void send({ ...weights, [n]: f * SHIPPED_WEIGHTS[n] })}
              tooltip={{ open: false }}
              ariaLabelledByForHandle={`weight-${n}`}
            />
          </label>
        ))}
      </div>
    </section>
  );
}
