// What is decided before wax touches skin: the product and its way, the heat, the wrist.

import { Button, Select } from 'antd';
import { ZONES } from '@/core/anatomy';
import { WAY_WORDS } from '@/core/matching';
import { LEVEL_FACTS, wristAt } from '@/core/practice';
import { isLaterOnly, mannerOf, waysOf, type Product, type Way } from '@/core/products';
import { degrees } from '@/formats/heat';
import { tabletNow } from '@/ui/tabletClock';
import { HeatField } from '@/ui/HeatField.client';
import type { Chosen } from './practiceState';
import { FLOW_WORDS, WRIST_WORDS } from './practiceWords';
import type { Practising } from './usePractice';
import styles from './Practice.module.css';

const COLDEST_C = 25;
const HOTTEST_C = 95;

/** A pot is first set to the middle of its label. */
const labelMiddle = (product: Product, way: Way): number => {
  const label = mannerOf(product, way)?.labelC;
  return label ? Math.round((label.min + label.max) / 2) : 50;
};

/** Products of the zone's families, each in the ways that a first strip is laid in. */
export function ChoosePanel({
  practising: { practice, step },
  products,
}: {
  readonly practising: Practising;
  readonly products: readonly Product[];
}) {
  const { chosen } = practice;
  const { families } = ZONES[LEVEL_FACTS[practice.level].zone];
  const here = products.filter((p) => families.includes(p.family));
  const own = here.find((p) => p.id === chosen?.productId);
  const ways = own ? waysOf(own).filter((w) => !isLaterOnly(w) && w !== 'free') : [];
  const choose = (next: Chosen): void => step({ do: 'choose', chosen: next });
  const take = (p: Product): void => {
    const [way] = waysOf(p);
    if (way) choose({ productId: p.id, way, coats: 1, setC: labelMiddle(p, way) });
  };
  return (
    <div className={styles.panel}>
      <h2 id="products">Product</h2>
      <div role="group" aria-labelledby="products" className={styles.list}>
        {here.map((p) => (
          <button key={p.id} aria-pressed={p.id === chosen?.productId} onClick={() => take(p)}>
            {p.name}
          </button>
        ))}
      </div>
      {here.length === 0 ? <p>Nothing on the shelf may be used here: see Products.</p> : null}
      {own && chosen ? (
        <>
          {ways.length > 1 ? (
            <Select<Way>
              aria-label="Way of laying"
              size="large"
              value={chosen.way}
              onChange={(way) => choose({ ...chosen, way })}
              options={ways.map((value) => ({ value, label: WAY_WORDS[value] ?? value }))}
            />
          ) : null}
          {own.body === 'film' ? (
            <div role="group" aria-label="Coats" className={styles.row}>
              {([1, 2] as const).map((coats) => (
                <button key={coats} aria-pressed={coats === chosen.coats} onClick={() => choose({ ...chosen, coats })}>
                  {coats === 1 ? 'one coat' : 'two coats'}
                </button>
              ))}
            </div>
          ) : null}
          <label className={styles.field}>
            Pot set to
            <HeatField
              value={chosen.setC}
              min={COLDEST_C}
              max={HOTTEST_C}
              onChange={(setC) => {
                if (setC !== null) choose({ ...chosen, setC });
              }}
            />
          </label>
          <Button type="primary" size="large" onClick={() => step({ do: 'go', to: 'wrist', atMs: tabletNow() })}>
            To the wrist
          </Button>
        </>
      ) : null}
    </div>
  );
}

/** What the wrist and the stick say; the pot may be warmer or cooler than it is set to. */
export function WristPanel({
  practising: { practice, step, answer, touchC, isFresh },
}: {
  readonly practising: Practising;
}) {
  const { chosen, testedC } = practice;
  if (!chosen) return null;
  const slab = isFresh ? answer?.slab : null;
  const tested = testedC !== null && testedC === chosen.setC && slab && touchC !== null;
  const says = tested ? wristAt(touchC, { window: slab.heat.window, overLimitK: slab.overLimitK }) : null;
  const set = (by: number): void => step({ do: 'choose', chosen: { ...chosen, setC: chosen.setC + by } });
  return (
    <div className={styles.panel}>
      <h2>The inner wrist first</h2>
      <p>Pot set to {degrees(chosen.setC)}. Stir, load the stick, and try it on yourself.</p>
      <Button size="large" type={says ? 'default' : 'primary'} onClick={() => step({ do: 'test' })}>
        Try it on my wrist
      </Button>
      <div className={styles.says} role="status">
        {says ? (
          <>
            <b data-bad={says.wrist === 'burns' || says.wrist === 'too-warm'}>{WRIST_WORDS[says.wrist]}</b>
            <span>{FLOW_WORDS[says.flow]}</span>
          </>
        ) : (
          <span>{testedC === null ? 'Not tried at this heat yet.' : 'Trying …'}</span>
        )}
      </div>
      <div className={styles.row} role="group" aria-label="Set the pot">
        <Button onClick={() => set(-1)}>A degree cooler</Button>
        <Button onClick={() => set(1)}>A degree warmer</Button>
      </div>
      <p className={styles.small}>
        Every heat here is an estimate. At the table the wrist decides, and the label goes first.
      </p>
      <Button
        type="primary"
        size="large"
        disabled={!says || says.wrist === 'burns'}
        onClick={() => step({ do: 'go', to: 'lay', atMs: tabletNow() })}
      >
        Lay a strip
      </Button>
    </div>
  );
}
