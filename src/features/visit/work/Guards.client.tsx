'use client';

import { Button } from 'antd';
import { Link } from '@/ui/Link';
import { useKeys } from '@/ui/useKeys';
import { plural } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import { lookedWord, notLookedAt, useLooked } from '../chart/useLooked';
import { StationFoot } from '../StationFoot.client';
import { namesOf } from '../zoneNames';
import styles from './Work.module.css';

/** The way to the table is closed until every zone has been looked at; one tap or key says it is as charted. */
export function LookFirst() {
  const { bench } = useBench();
  const looked = useLooked();
  const open = notLookedAt(bench.zones);
  // a zone charted here for the first time holds presets only: it is looked at on the chart
  const isKnown = open.every((z) => z.last !== null);
  useKeys(isKnown ? { a: looked } : {});
  return (
    <section className={styles.guard}>
      <h1>Look first</h1>
      <p>
        {plural(open.length, 'zone')} not looked at today: {namesOf(open)}. Marks and sore places change from visit to
        visit.
      </p>
      <StationFoot>
        <Link className={styles.go} href={`/visits/${bench.visit.id}/chart`}>
          To the chart
        </Link>
        {isKnown ? (
          <Button type="primary" onClick={looked} title="( A )">
            {lookedWord(bench.zones)}
          </Button>
        ) : null}
      </StationFoot>
    </section>
  );
}

/** Why the table is not open, and where that is mended. */
export function Guard({
  title,
  text,
  href,
  link,
}: {
  readonly title: string;
  readonly text: string;
  readonly href: string;
  readonly link: string;
}) {
  return (
    <section className={styles.guard}>
      <h1>{title}</h1>
      <p>{text}</p>
      <StationFoot open="">
        <Link className={styles.go} href={href}>
          {link}
        </Link>
      </StationFoot>
    </section>
  );
}
