'use client';

import { useState } from 'react';
import { zoneKey } from '@/core/anatomy';
import type { PlanZone } from '@/core/plan';
import type { LeftHair, LeftPatch, StripPicture } from '@/core/reading';
import type { BenchZone } from '@/server/services/bench';
import { useNarrow } from '@/ui/useNarrow';
import { plural, sideWord } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { StationLeft } from '../StationFoot.client';
import { ZoneTabs } from '../ZoneTabs.client';
import { Choice } from './Choice.client';
import { HowItFelt } from './HowItFelt.client';
import { LeftSheet } from './LeftSheet.client';
import { NextPanel } from './NextPanel.client';
import { PatchPanel } from './PatchPanel.client';
import { StripPictures } from './StripPictures.client';
import { useZoneReading, type ZoneReading } from './useZoneReading';
import styles from './Read.module.css';

/** Touches that can be taken back. */
const MOST_BACK = 50;

/** What the strips and the skin say, by picture, and what to do with what is left. */
export function ReadStation() {
  const { bench } = useBench();
  const { zone } = useZone();
  const planned = bench.plan.zones.find((z) => zone && zoneKey(z) === zoneKey(zone));
  if (!zone || !planned) return <p>No zone yet: choose one under Consult.</p>;
  return (
    <div className={styles.station}>
      <OneZone key={zoneKey(zone)} zone={zone} planned={planned} />
    </div>
  );
}

function OneZone({ zone, planned }: { readonly zone: BenchZone; readonly planned: PlanZone }) {
  const { bench } = useBench();
  const read = useZoneReading(zone, planned);
  const closed = bench.visit.status === 'closed';
  const likes = new Map<string, StripPicture>((read.reading.likes ?? []).map((l) => [l.strip, l.like]));
  const open = read.off.filter((s) => !likes.has(s.id));
  const isNarrow = useNarrow();
  const skin = <SkinColumn read={read} disabled={closed} />;
  const [picked, setPicked] = useState<string | null>(null);
  const [patchAt, setPatchAt] = useState<number | null>(null);
  const chosen = read.off.find((s) => s.id === picked) ?? open[0] ?? read.off[0] ?? null;
  const asked = askedPatch(read.patches, patchAt);
  const where = sideWord(zone.name, zone.side).toLowerCase();
  // what was tapped before each touch, so that each can be taken back
  const [before, setBefore] = useState<readonly (readonly LeftHair[])[]>([]);
  const remember = (): void => setBefore([...before, read.hairs].slice(-MOST_BACK));
  // hair taken away again is no answer that nothing is left: that has a key of its own
  const put = (hairs: readonly LeftHair[]): void => (hairs.length > 0 ? read.leave(hairs) : read.unsay(hairs));
  const tap = (hairs: readonly LeftHair[]): void => {
    remember();
    put(hairs);
  };
  return (
    <>
      {isNarrow ? null : <StationLeft>{skin}</StationLeft>}
      <div className={styles.screen}>
        <ZoneTabs note={(key) => (bench.readings.some((r) => zoneKey(r) === key) ? 'read' : '')} />
        <div className={styles.words}>
          <h1>{chosen && !closed ? `Which is strip ${chosen.number} like?` : 'Strip and skin'}</h1>
          <p className="quiet" role="status">
            {chosen
              ? `${where} · ${open.length === 0 ? 'all looked at' : `${open.length} of ${read.off.length} still to look at`}`
              : `${where}: the table noted no strip here.`}
          </p>
          {read.isStored && read.reading.likes === undefined && read.reading.hairs === undefined ? (
            <p className="quiet">{notedWords(read)}</p>
          ) : null}
        </div>
        {chosen ? (
          <StripPictures
            label={`Strip ${chosen.number} is like`}
            value={likes.get(chosen.id) ?? null}
            disabled={closed}
            onChange={(like) => {
              const isSame = likes.get(chosen.id) === like;
              read.like(chosen, isSame ? null : like);
              if (isSame) return setPicked(chosen.id);
              // on to the next that was not looked at
              const next =
                open.find((s) => s.id !== chosen.id && s.number > chosen.number) ?? open.find((s) => s !== chosen);
              return setPicked(next && !likes.has(chosen.id) ? next.id : chosen.id);
            }}
          />
        ) : null}
        <section className={styles.card} aria-label="What is left">
          <div className={styles.sheet}>
            <h2>{closed ? 'What was left' : 'Tap what is left'}</h2>
            <div className={styles.drawing}>
              <LeftSheet
                zone={read.zone}
                off={read.off}
                chosen={chosen?.id ?? null}
                likes={likes}
                table={read.table}
                hairs={read.hairs}
                patches={read.patches}
                asked={asked}
                disabled={closed}
                onStrip={setPicked}
                onHairs={tap}
              />
            </div>
            <div className={styles.under}>
              <button
                type="button"
                aria-pressed={read.said('left') && read.reading.left === 'none'}
                disabled={closed}
                onClick={() => {
                  remember();
                  read.leave([]);
                }}
              >
                Nothing left
              </button>
              <button
                type="button"
                disabled={closed || before.length === 0}
                onClick={() => {
                  setBefore(before.slice(0, -1));
                  put(before.at(-1) ?? []);
                }}
              >
                Undo
              </button>
              <span className="quiet">
                {read.hairs.length > 0
                  ? `${plural(read.hairs.length, 'hair')} left`
                  : closed || 'Stroke along hair to show its way.'}
              </span>
            </div>
          </div>
          <PatchPanel
            read={read}
            patch={asked}
            zone={zone}
            disabled={closed}
            onStay={(at) => setPatchAt(at)}
            onNext={() => setPatchAt((asked ? read.patches.indexOf(asked) : -1) + 1)}
          />
        </section>
      </div>
      {isNarrow ? skin : null}
      <HowItFelt read={read} disabled={closed} />
      <NextPanel zone={zone} planned={planned} read={read} />
    </>
  );
}

const LEFT = { none: 'nothing left', few: 'a few left', patch: 'a patch left', many: 'much left' } as const;

/** A reading of before strips were read by picture: what was said then; empty where it was only the skin or a note. */
function notedWords({ reading, said }: ZoneReading): string {
  const words = [
    reading.removedSaid ? `${reading.removedPct} % came out` : '',
    said('broken') ? `${reading.brokenPct} % broken` : '',
    said('left') ? LEFT[reading.left] : '',
  ].filter(Boolean);
  return words.length > 0 ? `Noted: ${words.join(', ')}.` : '';
}

/** The patch to ask about: the one that was gone to, else the largest whose kind is not said. */
function askedPatch(patches: readonly LeftPatch[], at: number | null): LeftPatch | null {
  if (at !== null) return patches[at % Math.max(1, patches.length)] ?? null;
  return patches.find((p) => p.kind === null) ?? patches[0] ?? null;
}

const SKIN = [
  ['calm', 'calm'],
  ['pink', 'pink'],
  ['red', 'very red'],
  ['shiny', 'raw, shiny'],
  ['blister', 'blister'],
] as const;
const BLEEDING = [
  ['none', 'none'],
  ['points', 'points'],
  ['keeps-on', 'does not stop'],
] as const;

function SkinColumn({ read, disabled }: { readonly read: ZoneReading; readonly disabled: boolean }) {
  const { reading, said, say } = read;
  return (
    <div className={styles.skin}>
      <TableWords read={read} />
      <Choice
        name="Skin"
        value={said('skin') ? reading.skin : null}
        disabled={disabled}
        options={SKIN}
        onChange={(skin) => say('skin', { skin })}
      />
      <Choice
        name="Bleeding"
        value={said('bleeding') ? reading.bleeding : null}
        disabled={disabled}
        options={BLEEDING}
        onChange={(bleeding) => say('bleeding', { bleeding })}
      />
    </div>
  );
}

/** What the table has marked already, in one line. */
function TableWords({ read: { off, table } }: { readonly read: ZoneReading }) {
  const WORDS = { 'some-left': 'some left', broke: 'broke', sore: 'sore' } as const;
  const marked = (['some-left', 'broke', 'sore'] as const).flatMap((mark) => {
    const numbers = off.filter((s) => table.get(s.id) === mark).map((s) => s.number);
    return numbers.length > 0 ? [`${numbers.join(', ')} ${WORDS[mark]}`] : [];
  });
  if (off.length === 0) return null;
  return (
    <section>
      <h3>At the table</h3>
      <p className="quiet">
        {plural(off.length, 'strip')} off.{' '}
        {marked.length > 0 ? `Marked: ${marked.join('; ')}.` : 'No strip was marked.'}
      </p>
    </section>
  );
}
