import { heatInside } from '@/formats/heat';
import { sized } from '@/formats/size';
import { zoneKey } from '@/core/anatomy';
import type { Bench } from '@/server/services/bench';
import { dayMonth, degrees, plural, span, withDates } from '@/ui/words';
import { isPlanning, productName } from './stations';
import styles from './Bench.module.css';

const WAYS: Readonly<Record<string, string>> = {
  with: 'with the growth',
  against: 'against the growth',
  free: 'two directions in turn',
  crossed: 'crossed lay',
  counter: 'counter lay',
  across: 'across',
  moulded: 'moulded by hand',
  strip: 'thin under cloth',
};

/** The plan filling as the stations are done. No cost here: the client can see this side. */
export function PlanSlip({ bench, at }: { readonly bench: Bench; readonly at: string }) {
  const { plan, faults } = bench;
  const zone = plan.zones.find((z) => zoneKey(z) === at);
  const lessons = bench.client.lessons.filter((l) => zoneKey(l) === at).slice(0, 2);
  const strips = plan.zones.reduce((n, z) => n + z.strips.length, 0);
  const grams = plan.materials.filter((m) => m.unit === 'g' && m.item !== 'powder');
  const ready = plan.regrowth.find((r) => zoneKey(r) === at)?.ready.find((r) => r.family === zone?.choice?.family);
  return (
    <div className={styles.slip}>
      <div className={styles.plan}>
        <h2>Plan</h2>
        {lessons.map((l) => (
          <p key={l.words} className={styles.lesson}>
            {l.words} <span className="quiet">Remarked {l.times} times.</span>
          </p>
        ))}
        {bench.planComing && !isPlanning(bench) ? (
          <p className="quiet" role="status">
            Being planned anew …
          </p>
        ) : null}
        {zone?.choice && zone.heat ? (
          <dl>
            {(zone.keep.length > 0 || zone.fade) && zone.hairs > 0 ? (
              <Row name="Comes off">
                <strong>About {zone.hairs} hairs</strong>
                {zone.line.hairs > 0 ? (
                  <span className="quiet">, {zone.line.hairs} of them within a millimetre of the line</span>
                ) : null}
              </Row>
            ) : null}
            <Row name="Product and way">
              <strong>{productName(bench, zone.choice.product)}</strong>, {WAYS[zone.choice.way]}
              {zone.choice.coats === 2 ? ', two coats' : ''}
            </Row>
            <Row name="At touch">
              <strong>{degrees(zone.heat.workingC.target)}</strong>{' '}
              <span className="quiet">
                {heatInside(zone.heat.workingC.min, zone.heat.workingC.max)}, estimate: test on your wrist
              </span>
            </Row>
            <Row name="Strips">
              <strong>{zone.strips.length}</strong> here, {strips} in all
              {zone.choice.passes > 1 ? `, ${plural(zone.choice.passes, 'pass', 'passes')} at most` : ', one pass'}
            </Row>
            <Row name="On the table">
              <strong>{Math.round(plan.time.allMinutes)} min</strong>
              <span className="quiet">
                {plan.zones.length > 1 ? ', all zones' : ''}; {Math.round(plan.time.layPullMinutes)} laying and pulling,{' '}
                {plan.time.bookingMinutes} booked
              </span>
            </Row>
            {grams.map((m) => (
              <Row key={m.item} name={`${productName(bench, m.item)} needed`}>
                about <strong>{sized(Math.ceil(m.amount), 'g')}</strong>
              </Row>
            ))}
            {ready ? (
              <Row name="Ready again">
                <strong>{span(ready.fromOn, ready.toOn)}</strong>
              </Row>
            ) : null}
            {plan.returnOn ? (
              <Row name="Comes back">
                <strong>{dayMonth(plan.returnOn.on)}</strong>
              </Row>
            ) : null}
          </dl>
        ) : (
          <p>
            {(faults[0] ? withDates(faults[0].message) : undefined) ??
              (zone?.reasons[0] ? withDates(zone.reasons[0]) : undefined) ??
              nothingYet(bench)}
          </p>
        )}
      </div>
    </div>
  );
}

function nothingYet(bench: Bench): string {
  if (bench.zones.length === 0) return 'Choose the zones under Consult.';
  return isPlanning(bench) ? 'Planning …' : 'Nothing planned yet.';
}

function Row({ name, children }: { readonly name: string; readonly children: React.ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
