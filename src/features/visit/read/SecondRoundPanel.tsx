import { useMemo } from 'react';
import { sheetFor, ZONES } from '@/core/anatomy';
import { exclusionOf } from '@/core/field';
import type { StripMark } from '@/core/hands';
import { secondRound, type PlanZone } from '@/core/plan';
import type { Reading } from '@/server/db/schema';
import type { BenchZone } from '@/server/services/bench';
import { degrees, plural } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import { WAYS } from '../match/wayWords';
import { minutes } from '../strips/playback';
import { StripSheet, type StripLook } from '../strips/StripSheet';
import styles from './Read.module.css';

const NO_LOOKS: ReadonlyMap<string, StripLook> = new Map();

/** Where another round goes, strip by strip: only the ground that was marked at the table. */
export function SecondRoundPanel({
  zone,
  planned,
  reading,
  marks,
}: {
  readonly zone: BenchZone;
  readonly planned: PlanZone;
  readonly reading: Reading;
  readonly marks: ReadonlyMap<string, StripMark>;
}) {
  const { bench } = useBench();
  const { level } = bench.visit;
  const { roomC, walkS, schools } = bench.studio.settings;
  const product = bench.products.find((p) => p.id === planned.choice?.product);
  const round = useMemo(() => {
    const sheet = sheetFor(ZONES[zone.zone], zone.side, {}, planned.sheetCm);
    return sheet.ok && product
      ? secondRound({
          zone: planned,
          sheet: sheet.value,
          strokes: zone.data.strokes,
          exclusions: zone.data.marks.map(exclusionOf),
          densities: zone.data.densities ?? [],
          density: zone.data.hair.density,
          coarseness: zone.data.hair.coarseness,
          product,
          level,
          roomC,
          walkS,
          maxOnSkin: bench.plan.schedule.maxOnSkin,
          marks,
          leftKind: reading.leftKind,
          crossedAllowed: schools.shortHair !== 'none',
        })
      : null;
  }, [
    zone,
    planned,
    product,
    level,
    roomC,
    walkS,
    schools.shortHair,
    bench.plan.schedule.maxOnSkin,
    marks,
    reading.leftKind,
  ]);
  if (!round) {
    return (
      <p className="quiet">
        Mark the strips that left hair as they come off (2 at the table): then the strips of the round stand here.
      </p>
    );
  }
  const [like] = planned.strips;
  const drawn: PlanZone = {
    ...planned,
    strips: like
      ? round.strips.map((s) => ({
          ...like,
          ...s,
          handwork: null,
          pulls: 1,
          touches: [],
          needsBefore: [],
          crossing: null,
        }))
      : [],
  };
  return (
    <section className={styles.round} aria-label="Another round">
      <div className={styles.roundSheet}>
        <StripSheet zone={drawn} data={zone.data} looks={NO_LOOKS} maxHeight={260} />
      </div>
      <div>
        <h2>
          {plural(round.strips.length, 'small strip')}, about {minutes(round.endS)}
        </h2>
        <p>
          Laid {WAYS[round.way] ?? round.way}, {round.thicknessMm} mm thin, pressed firmly
          {round.touchC === null ? '' : `, about ${degrees(round.touchC)} at touch`}. Ready about {round.setS.min}–
          {round.setS.max} s after the lay. Estimates: this skin is warmer and thinner than before, test on your wrist
          first.
        </p>
        <p className="quiet">Only where hair was left. What was sore or broke is not gone over again.</p>
      </div>
    </section>
  );
}
