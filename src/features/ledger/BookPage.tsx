import { Link } from '@/ui/Link';
import { ROUNDING_RULE } from '@/core/ledger';
import type { BookRow, LedgerBook } from '@/server/services/ledgerBook';
import { moneyIn, type Money } from '@/ui/money';
import { Rooms } from '@/ui/Rooms';
import { dayMonth, plural } from '@/ui/words';
import { KIND_WORDS } from './ledgerWords';
import styles from './Ledger.module.css';

const monthName = (month: string): string => dayMonth(`${month}-01`).replace(/^1 /, '');

/** A year in months, and by service, person and product; what is owed to clients; the days closed; as tables. */
export function BookPage({ book }: { readonly book: LedgerBook }) {
  const { year, thisYear, currency, months, total, credits, closings } = book;
  const money = moneyIn(currency);
  const csv = (table: string): string => `/api/ledger/csv?table=${table}&from=${year}-01-01&to=${year}-12-31`;
  const hasTax = total.vatMinor !== 0;
  const shown = months.filter((m) => m.sums.lines > 0);
  const row = (name: string, s: LedgerBook['total']) => (
    <>
      <th scope="row">{name}</th>
      {[
        s.servicesMinor,
        s.goodsMinor,
        s.earnedMinor,
        ...(hasTax ? [s.vatMinor] : []),
        s.cashMinor,
        s.cardMinor,
        s.transferMinor,
        s.unsaidMinor,
        s.creditMinor,
      ].map((minor, i) => (
        <td key={i} className={styles.amount}>
          {minor === 0 ? '' : money.say(minor)}
        </td>
      ))}
    </>
  );
  const heads = [
    'Services',
    'Goods',
    'Earned',
    ...(hasTax ? ['tax in it'] : []),
    'Cash',
    'Card',
    'Transfer',
    'not said',
    'credits',
  ];
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>
          {year}: {money.say(total.earnedMinor)} earned
        </h1>
        <Link href={`/ledger/book?year=${year - 1}`}>{year - 1}</Link>
        {year < thisYear ? <Link href={`/ledger/book?year=${year + 1}`}>{year + 1}</Link> : null}
        <Rooms of="ledger" here="/ledger/book" />
      </div>
      <p className="quiet">
        Rounded by one rule: {ROUNDING_RULE}. As CSV: <a href={csv('lines')}>all lines</a>,{' '}
        <a href={csv('months')}>months</a>, <a href={csv('closings')}>closed days</a>.
      </p>
      {shown.length === 0 ? (
        <p className={styles.none}>
          Nothing is entered in {year}. Visits are entered under <Link href="/ledger/day">Day</Link>.
        </p>
      ) : (
        <div className={styles.wide}>
          <table className={styles.table}>
            <thead>
              <tr>
                <th>Month</th>
                {heads.map((h) => (
                  <th key={h} className={styles.amount}>
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {shown.map((m) => (
                <tr key={m.month}>{row(monthName(m.month), m.sums)}</tr>
              ))}
              <tr className={styles.totalRow}>{row('All of it', total)}</tr>
            </tbody>
          </table>
        </div>
      )}
      <div className={styles.thirds}>
        <Rows title="By service" rows={book.services} money={money} />
        <Rows title="By who did it" rows={book.persons} money={money} />
        <Rows title="By product" rows={book.products} money={money} />
      </div>
      <div className={styles.thirds}>
        <div>
          <h2>Owed to clients</h2>
          {credits.length === 0 ? <p className="quiet">Nothing.</p> : null}
          <ul>
            {credits.map((c) => (
              <li key={c.id}>
                {KIND_WORDS[c.kind]} {c.clientName || 'for whoever brings it'}: {money.say(c.leftMinor)}
                {c.kind === 'package' ? `, ${c.usesLeft} of ${c.uses} visits` : ''}
              </li>
            ))}
          </ul>
        </div>
        <div>
          <h2>Closed days</h2>
          <p className="quiet">
            {closings.length === 0 ? 'None yet.' : `${plural(closings.length, 'day')}, the last ones:`}
          </p>
          <ul>
            {closings.slice(-6).map((c) => (
              <li key={c.onDate}>
                <Link href={`/ledger/day?on=${c.onDate}`}>{dayMonth(c.onDate)}</Link>: {plural(c.lines, 'line')},{' '}
                {money.say(c.earnedMinor)}
                {c.countedMinor === null || c.countedMinor === c.cashMinor
                  ? ''
                  : `, cash ${money.say(c.countedMinor - c.cashMinor)} off`}
              </li>
            ))}
          </ul>
        </div>
      </div>
    </section>
  );
}

interface RowsProps {
  readonly title: string;
  readonly rows: readonly BookRow[];
  readonly money: Money;
}

function Rows({ title, rows, money }: RowsProps) {
  return (
    <div>
      <h2>{title}</h2>
      {rows.length === 0 ? <p className="quiet">Nothing yet.</p> : null}
      <table className={styles.table}>
        <tbody>
          {rows.map((r) => (
            <tr key={r.name}>
              <td>{r.name}</td>
              <td className={styles.amount}>{r.lines}</td>
              <td className={styles.amount}>{money.say(r.earnedMinor)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
