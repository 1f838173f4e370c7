'use client';

import { heatSign, withHeat } from '@/formats/heat';
import { HeatField } from '@/ui/HeatField.client';
import { Input } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { zoneKey } from '@/core/anatomy';
import {
  DONE_WORDS,
  INCIDENT_DONE,
  INCIDENT_KINDS,
  INCIDENT_TOLD,
  INCIDENT_WORDS,
  incidentLines,
  TOLD_WORDS,
  type Incident,
} from '@/core/hands';
import { DateField } from '@/ui/DateField.client';
import { tabletNow } from '@/ui/tabletClock';
import { timeOfDay } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import { StationFoot } from '../StationFoot.client';
import { productName } from '../stations';
import { IncidentPlace } from './IncidentPlace';
import { incidentsOf, startingIncident, waterMinutes } from './startingIncident';
import { Toggles } from './Toggles';
import styles from './Incident.module.css';

/** The record of what went wrong: what is known stands in it already, the rest is said; nothing is written over. */
export function IncidentForm() {
  const { bench, sendEvents } = useBench();
  const written = incidentsOf(bench.journal);
  const last = written.at(-1);
  const [draft, setDraft] = useState<Incident | null>(() => (last ? null : startingIncident(bench)));
  const { timeZone } = bench.studio;
  const names = {
    product: (id: string) => productName(bench, id).toLowerCase(),
    time: (atMs: number) => timeOfDay(atMs, timeZone),
  };
  if (!draft) {
    return (
      <div className={styles.record}>
        <h1>Incident record</h1>
        {written.toReversed().map((e) => (
          <section key={e.id} className={styles.written} data-old={e.id !== last?.id}>
            <h2>
              Written at {timeOfDay(e.atMs, timeZone)}
              {written.some((o) => o.incident.corrects === e.id) ? ', corrected since' : ''}
            </h2>
            {incidentLines(e.incident, names).map((line) => (
              <p key={line}>{withHeat(line)}</p>
            ))}
          </section>
        ))}
        <p className="quiet">It stands on the client’s card and is shown at the next consultation.</p>
        <StationFoot open="">
          <a className={styles.plain} href={`/api/visits/${bench.visit.id}/incident`}>
            Print (PDF)
          </a>
          <button
            type="button"
            className={styles.main}
            onClick={() => last && setDraft({ ...last.incident, corrects: last.id })}
          >
            Add or correct
          </button>
        </StationFoot>
      </div>
    );
  }
  const change = (more: Partial<Incident>): void => setDraft({ ...draft, ...more });
  const known = incidentLines(
    { ...draft, what: [], done: [], told: [], words: '', zone: null, followUpOn: null },
    names,
  );
  const zone = bench.plan.zones.find((z) => draft.zone !== null && zoneKey(z) === `${draft.zone}/${draft.side}`);
  return (
    <div className={styles.record}>
      <h1>{draft.corrects === null ? 'Incident record' : 'Add to the record, or correct it'}</h1>
      {known.length > 0 ? <p className={styles.known}>Noted: {withHeat(known.join(' '))}</p> : null}
      <Toggles
        name="What happened"
        all={INCIDENT_KINDS}
        words={INCIDENT_WORDS}
        value={draft.what}
        onChange={(what) => change({ what })}
      />
      <IncidentPlace bench={bench} zone={zone} draft={draft} onChange={change} />
      <Toggles
        name="What was done"
        all={INCIDENT_DONE}
        words={DONE_WORDS}
        value={draft.done}
        onChange={(done) => change({ done })}
      />
      <Toggles
        name="Who was told"
        all={INCIDENT_TOLD}
        words={TOLD_WORDS}
        value={draft.told}
        onChange={(told) => change({ told })}
      />
      <div className={styles.fields}>
        <label>
          Lot on the pot
          <Input value={draft.lot} maxLength={60} onChange={(e) => change({ lot: e.target.value })} />
        </label>
        <label>
          Measured, {heatSign()}
          <HeatField
            sign={false}
            value={draft.measuredC}
            min={0}
            max={200}
            precision={1}
            placeholder="not measured"
            onChange={(measuredC) => change({ measuredC })}
          />
        </label>
        <div>
          <span>Looked at again on</span>
          <DateField
            aria-label="Looked at again on"
            value={draft.followUpOn}
            placeholder="no day yet"
            min={bench.visit.onDate}
            onChange={(on) => change({ followUpOn: on === '' ? null : on })}
          />
        </div>
      </div>
      <label className={styles.words}>
        In your own words
        <Input.TextArea
          value={draft.words}
          rows={3}
          maxLength={2000}
          onChange={(e) => change({ words: e.target.value })}
        />
      </label>
      <StationFoot open={draft.what.length === 0 ? 'Say what happened first.' : ''}>
        {last ? (
          <button type="button" className={styles.plain} onClick={() => setDraft(null)}>
            Leave as it is
          </button>
        ) : (
          <Link className={styles.plain} href={`/visits/${bench.visit.id}/work`}>
            Back to the table
          </Link>
        )}
        <button
          type="button"
          className={styles.main}
          disabled={draft.what.length === 0}
          onClick={() => {
            const atMs = tabletNow();
            // water that still runs has run until now
            const waterMin = draft.done.includes('water')
              ? (draft.waterMin ?? waterMinutes(bench.journal, atMs))
              : null;
            const incident = { ...draft, waterMin };
            sendEvents([{ id: crypto.randomUUID(), atMs, kind: 'incident', incident }]);
            setDraft(null);
          }}
        >
          Write it down
        </button>
      </StationFoot>
    </div>
  );
}
