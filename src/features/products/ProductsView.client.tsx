'use client';

import { sized, sizedPair } from '@/formats/size';
import { degrees, heatNumber } from '@/formats/heat';
import { Button, Checkbox, Modal } from 'antd';
import { Link } from '@/ui/Link';
import { useRef, useState } from 'react';
import type { Catalogue, CatalogueRow, ProductImport } from '@/server/services/catalogue';
import { sendJson } from '@/ui/sendJson';
import { plural } from '@/ui/words';
import { Choosing } from './Choosing.client';
import { MANNER_WORDS } from './fields';
import { Fault } from '@/ui/Fault';
import styles from './Products.module.css';

const FAMILY_WORDS = { hard: 'hard wax', soft: 'soft wax', sugar: 'sugar' } as const;
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

/** What the strips read in this studio say of a product's body; a body never read has a part of what others say. */
function holdWords({ shift, strips }: CatalogueRow['hold']): string {
  const read =
    strips === 0 ? 'No strips of its kind read here yet' : `${plural(strips, 'strip')} of its kind read here`;
  if (shift === 0) return strips === 0 ? `${read}: counted as shipped.` : `${read}: it leaves as much as shipped.`;
  const percent = `about ${Math.round(100 * Math.abs(Math.exp(shift) - 1))} % ${shift > 0 ? 'more' : 'less'} than shipped`;
  return strips === 0
    ? `${read}; by what others leave here it is counted with ${percent} left.`
    : `${read}: it leaves ${percent}; plans count with that.`;
}

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
          <Button onClick={() => file.current?.click()}>Import</Button>
          <a className={styles.out} href="/api/products/export" download>
            Export
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
      <Choosing catalogue={catalogue} onAnswer={answer} />
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
              {heatNumber(m.labelC.min)}–{degrees(m.labelC.max)}
            </strong>
            , {sized(m.thicknessMm.usual, 'mm')}, hair {sizedPair(m.shortestMm, '–', m.longestMm, 'mm')}
          </p>
        ))}
        <p className="quiet">
          {p.allergens.length === 0
            ? 'None of the named allergens'
            : `Contains ${p.allergens.map((a) => a.replace('-', ' ')).join(', ')}`}{' '}
          · {p.passes.max === 1 ? 'one pass' : `at most ${p.passes.max} passes`} · {price} a kg
        </p>
        <p className="quiet">{holdWords(row.hold)}</p>
      </div>
      <div className={styles.rowActions}>
        <Checkbox checked={stocked} onChange={onShelf}>
          on the shelf
        </Checkbox>
        <Link className={styles.out} href={`/products/new?from=${p.id}`}>
          Copy
        </Link>
      </div>
    </article>
  );
}
