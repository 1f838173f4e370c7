import { Link } from '@/ui/Link';
import { readStep, type Plan } from '@/core/plan';
import { SetSlabs } from './SetSlabs';
import type { Table } from './useTable';
import styles from './Work.module.css';

interface Props {
  readonly t: Table;
  readonly plan: Plan;
  readonly readHref: string;
  readonly productName: (id: string) => string;
}

/** Under the main key: what else sets; of a step what else is open and whether it is left out; on hold the pots. */
export function BelowKey({ t, plan, readHref, productName }: Props) {
  const { act, table, found, nowMs } = t;
  if (act.kind === 'step') {
    const { name } = readStep(act.step);
    return (
      <div className={styles.two}>
        {act.open.length > 1 ? (
          <button type="button" onClick={t.goAll}>
            All {act.open.length} are done
          </button>
        ) : null}
        <button type="button" onClick={t.skip}>
          Left out <kbd>S</kbd>
        </button>
        {name === 'light' ? <Link href={readHref}>Read first</Link> : null}
      </div>
    );
  }
  // with wax on the skin that comes first: the key W tests all the same
  if (act.kind === 'lay' && t.pot?.warning && table.onSkin.length === 0) {
    const { productId } = t.pot.pot;
    return (
      <div className={styles.two}>
        <button type="button" onClick={() => t.testedAnew(productId)}>
          Wrist tested anew <kbd>W</kbd>
        </button>
      </div>
    );
  }
  const here = act.kind === 'lay' ? found.get(act.strip)?.zone.choice : undefined;
  const lump = here && t.lumps.get(here.product);
  if (here?.way === 'moulded' && lump !== undefined && table.onSkin.length === 0) {
    return (
      <div className={styles.two}>
        <button type="button" onClick={() => t.freshLump(here.product)}>
          Lump {lump}: take a fresh one <kbd>L</kbd>
        </button>
      </div>
    );
  }
  const pots = [...new Set(plan.zones.flatMap((z) => (z.strips.length > 0 && z.choice ? [z.choice.product] : [])))];
  return (
    <>
      <SetSlabs table={table} found={found} act={'strip' in act ? act.strip : null} nowMs={nowMs} />
      {act.kind === 'held' && table.onSkin.length === 0 ? (
        <div className={styles.two}>
          {pots.map((id) => (
            <button key={id} type="button" onClick={() => t.reheated(id)}>
              {productName(id)}: warmed or changed
            </button>
          ))}
        </div>
      ) : null}
    </>
  );
}
