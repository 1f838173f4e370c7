'use client';

import { Link } from '@/ui/Link';
import { useEffect, useState } from 'react';
import { ZONES } from '@/core/anatomy';
import { bandOf, signalOf, standing } from '@/core/hands';
import { CurtainButton } from '@/ui/Curtain.client';
import { RoomButton } from '@/ui/Room.client';
import { loadWords } from '@/features/live/potWords';
import { useKeys } from '@/ui/useKeys';
import { useBench } from '../BenchContext.client';
import { productName } from '../stations';
import { NotTaken } from '../SyncWords.client';
import { actWords } from './actWords';
import { alertsToday } from './alertsToday';
import { Band } from './Band';
import { BelowKey } from './BelowKey';
import { faultAsked } from './faultAsked';
import { FaultList } from './FaultList';
import { lettersOf } from './lettersOf';
import { FullScreenButton } from './FullScreenButton';
import { MARKS, MarksBar } from './MarksBar.client';
import { OtherStrip } from './OtherStrip';
import { StoppedPanel } from './StoppedPanel';
import { thenWords } from './thenWords';
import { SoundButton } from './SoundButton';
import { useCues } from './useCues';
import { useTable } from './useTable';
import { useWakeLock } from './useWakeLock';
import { WorkSheet } from './WorkSheet';
import styles from './Work.module.css';

/** The table as a signal: one word, one number, one drawing, one key. */
export function AtTheTable() {
  const { bench } = useBench();
  const { visit, client } = bench;
  const { settings } = bench.studio;
  const t = useTable();
  const { plan, table, act, nowMs, found } = t;
  const [panel, setPanel] = useState<'other' | 'problem' | null>(null);
  const toggle = (which: 'other' | 'problem') => (): void => setPanel(panel === which ? null : which);
  useWakeLock();
  // what lies behind the table can neither be reached by key nor be read out
  useEffect(() => {
    const behind = [...document.querySelectorAll<HTMLElement>('[data-behind]')];
    for (const element of behind) element.inert = true;
    return () => {
      for (const element of behind) element.inert = false;
    };
  }, []);
  const go = (e: KeyboardEvent): void => {
    e.preventDefault();
    if (!e.repeat) t.go();
  };
  const signal = signalOf(act, nowMs);
  const nextLay = [act, ...table.ahead].find((a) => a.kind === 'lay');
  const words = actWords(act, {
    plan,
    found,
    alerts: alertsToday(client.alerts, plan),
    consult: visit.consult,
    prep: settings.schools.prep ?? 'powder',
    isDrySkin: client.skin === 'dry',
    productName: (id) => productName(bench, id),
    readySign: settings.readySign,
    signal,
    nextLay: nextLay && 'strip' in nextLay ? nextLay.strip : null,
    pot: t.pot,
  });
  // what the voice says stands on the screen too, once
  const isSaid = words.say === '' || words.more.includes(words.say);
  const cues = useCues(signal.state, nowMs === 0 ? '' : [words.title, words.say].filter(Boolean).join('. '));
  useKeys({
    Space: (e) => {
      if (e.target instanceof HTMLElement && e.target.closest('button:not([data-main]), a')) return;
      go(e);
    },
    PageDown: go,
    PageUp: (e) => {
      e.preventDefault();
      if (!e.repeat) t.undo();
    },
    w: () => {
      if (act.kind === 'wrist') t.go();
      else if (act.kind === 'lay' && t.pot?.warning) t.testedAnew(t.pot.pot.productId);
    },
    s: t.skip,
    l: () => {
      const choice = 'strip' in act ? found.get(act.strip)?.zone.choice : undefined;
      if (choice?.way === 'moulded') t.freshLump(choice.product);
    },
    v: cues.toggle,
    h: t.hold,
    a: toggle('other'),
    0: t.stop,
    f: toggle('problem'),
    ...Object.fromEntries(MARKS.map(([kind], i) => [String(i + 1), () => t.mark(kind)])),
    Escape: () => setPanel(null),
  });
  const strip = 'strip' in act ? found.get(act.strip) : undefined;
  const firstStrip = 'firstStrip' in act ? act.firstStrip : '';
  const zone =
    strip?.zone ??
    found.get(firstStrip)?.zone ??
    found.get(table.onSkin[0] ?? table.lastPulled ?? '')?.zone ??
    plan.zones.find((z) => z.strips.length > 0);
  const last = found.get(table.lastPulled ?? '');
  const lastMark = table.lastPulled ? table.strips.get(table.lastPulled)?.mark : null;
  const pass = strip?.strip.pass ?? 1;
  const passes = Math.max(pass, strip?.zone.choice?.passes ?? 1);
  const readHref = `/visits/${visit.id}/read`;
  if (act.kind === 'stopped') {
    return (
      <StoppedPanel
        t={t}
        timeZone={bench.studio.timeZone}
        recordHref={`/visits/${visit.id}/incident`}
        productName={(id) => productName(bench, id)}
        sheet={
          zone ? (
            <WorkSheet
              zone={zone}
              bench={bench}
              table={table}
              groups={t.groups}
              act={act}
              state="do"
              nowMs={nowMs}
              small
            />
          ) : null
        }
      />
    );
  }
  return (
    <div className={styles.work} data-state={signal.state} data-act={act.kind}>
      <section className={styles.sheet} aria-label="The zone">
        <div className={styles.keys}>
          <button type="button" onClick={t.hold} data-on={act.kind === 'held'}>
            {act.kind === 'held' ? 'Go on' : 'Hold all'}
            <kbd>H</kbd>
          </button>
          <button type="button" onClick={t.undo} disabled={!table.undoable}>
            Undo <kbd>↑</kbd>
          </button>
          <button
            type="button"
            onClick={toggle('other')}
            disabled={table.layable.length + table.onSkin.length === 0}
            aria-expanded={panel === 'other'}
          >
            Other strip <kbd>A</kbd>
          </button>
          <button type="button" onClick={toggle('problem')} aria-expanded={panel === 'problem'}>
            Problem <kbd>F</kbd>
          </button>
        </div>
        {zone ? (
          <WorkSheet
            zone={zone}
            bench={bench}
            table={table}
            groups={t.groups}
            act={act}
            state={signal.state}
            nowMs={nowMs}
          />
        ) : null}
        <MarksBar last={last} mark={lastMark ?? null} onMark={t.mark} leaveHref={`/visits/${visit.id}/strips`} />
      </section>
      <div className={styles.band}>
        {act.kind === 'pull' && nowMs > 0 ? (
          <>
            <Band band={bandOf(act, nowMs)} state={signal.state} upright />
            <Band band={bandOf(act, nowMs)} state={signal.state} upright={false} />
          </>
        ) : null}
      </div>
      <div className={styles.panel}>
        <div className={styles.meta}>
          <p>
            {words.where === '' && zone ? ZONES[zone.zone].name : words.where}
            <br />
            {act.kind === 'lay' || act.kind === 'pull' ? (
              <>
                {Array.from({ length: passes }, (_, i) => (
                  <i key={i} className={styles.pass} data-on={i < pass} />
                ))}
                pass {pass} of {passes}
              </>
            ) : null}
          </p>
          <SoundButton on={cues.on} onToggle={cues.toggle} />
          <FullScreenButton />
          <RoomButton className={styles.bare} />
          <CurtainButton className={styles.bare} drawn />
        </div>
        <h1 className={styles.word} data-letters={lettersOf(words.word)} aria-label={words.title}>
          {words.word}
        </h1>
        <div className={styles.big}>
          {words.figure ? (
            <p className={styles.figure}>
              {words.figure[0]}
              <small>{words.figure[1]}</small>
            </p>
          ) : null}
          {words.disc ? <p className={styles.disc}>{words.disc}</p> : null}
          {words.beside ? (
            <p className={styles.beside} role="timer">
              {words.beside[0]}
              <b>{words.beside[1]}</b>
              {isSaid ? null : <span>“{words.say}”</span>}
            </p>
          ) : null}
          {words.list.length > 1 ? (
            <ol className={styles.open}>
              {words.list.map((name) => (
                <li key={name}>{name}</li>
              ))}
            </ol>
          ) : null}
          {words.beside || isSaid ? null : <p className={styles.say}>“{words.say}”</p>}
        </div>
        <div className={styles.lines}>
          <strong>{words.strong}</strong>
          <span data-warns={words.warns}>{words.more}</span>
          {table.leavesOrder ? <span>Out of order for a moment: a strip would come off too late.</span> : null}
        </div>
        {words.button ? (
          <button
            key={t.flashes}
            type="button"
            data-main
            data-flash={t.flashes > 0}
            className={styles.next}
            data-wait={signal.state === 'wait'}
            onClick={t.go}
            onKeyDown={(e) => {
              // a key held down is one press
              if (e.repeat) e.preventDefault();
            }}
            autoFocus
          >
            {t.armed ? 'Press once more' : words.button}
            {signal.state === 'wait' ? null : <small>or pedal</small>}
          </button>
        ) : null}
        {act.kind === 'done' ? (
          <Link className={styles.next} href={readHref}>
            Read strip and skin
          </Link>
        ) : null}
        <BelowKey t={t} plan={plan} readHref={readHref} productName={(id) => productName(bench, id)} />
        <p className={styles.then}>
          {thenWords(table, found, strip?.zone)}
          <small>
            {table.pulledCount} of {table.stripCount} off
          </small>
        </p>
        <button type="button" className={styles.stop} onClick={t.stop}>
          Stop
        </button>
      </div>
      {panel === 'other' ? (
        <OtherStrip
          table={table}
          found={found}
          onLaid={(id) => {
            setPanel(null);
            t.laid(id);
          }}
          onPulled={(id) => {
            setPanel(null);
            t.pulled(id);
          }}
          warningOf={(id) => {
            const warning = t.potOf(id)?.warning;
            return warning ? loadWords(warning) : null;
          }}
          onClose={() => setPanel(null)}
        />
      ) : null}
      {panel === 'problem' ? (
        <FaultList
          asked={faultAsked(zone, standing(bench.journal), lastMark ?? null, bench.products)}
          strip={strip?.strip.number ?? last?.strip.number ?? null}
          onStop={t.stop}
          onClose={() => setPanel(null)}
        />
      ) : null}
      <div className={styles.told}>
        <NotTaken />
      </div>
      <p className="visually-hidden" role="status">
        {words.title}
      </p>
    </div>
  );
}
