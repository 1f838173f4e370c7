import Link from 'next/link';
import type { ReactNode } from 'react';
import type { Act, LiveTable } from '@/core/hands';
import { POSITION_NAMES, poseWords, ZONES, type Position } from '@/core/anatomy';
import { USUAL_PRESS_S, type Plan } from '@/core/plan';
import type { StudioSettings } from '@/server/db/schema';
import { degrees, sideWord } from '@/ui/words';
import { towards } from './bodyWords';
import { clothAsk, layWords } from './layWords';
import { SetRing } from './SetRing';
import type { FoundStrip } from './WorkStation.client';
import styles from './Work.module.css';

/** How often a strip is taken off, in a word. */
const GOES: Readonly<Record<number, string>> = { 2: 'two', 3: 'three', 4: 'four' };
const SIGNS: Readonly<Record<StudioSettings['readySign'], string>> = {
  'no-thread': 'No thread when you touch it?',
  'no-dent': 'Hardly a dent from a fingernail?',
  'taps-hard': 'Does it tap hard?',
  'no-catch': 'Does it not catch the glove?',
};

const ACT_WORDS = { pull: 'Pull', coat: 'Second coat on', lay: 'Lay' } as const;
/** The usual short press needs no number. */
const pressWords = (pressS: number): string =>
  pressS > USUAL_PRESS_S ? `Press at once and stay on it for ${pressS} s.` : 'Press at once.';

interface Props {
  readonly act: Act;
  readonly table: LiveTable;
  readonly found: ReadonlyMap<string, FoundStrip>;
  readonly plan: Plan;
  readonly productName: (id: string) => string;
  readonly nowMs: number;
  readonly readySign: StudioSettings['readySign'];
  readonly visitId: string;
  readonly sheet: ReactNode;
  readonly onNext: () => void;
  readonly onHold: () => void;
  readonly onAnother: () => void;
}

interface Words {
  readonly where: string;
  readonly title: string;
  readonly how: ReactNode;
  readonly say: string;
  readonly button: string | null;
  readonly ask: string;
}

/** The act as a sentence that can be read across the room, what is asked, what else sets, what comes then. */
export function ActPanel(props: Props) {
  const { act, table, found, nowMs, sheet, onNext, onHold, onAnother } = props;
  const words = wordsOf(props);
  const others = table.onSkin.filter((id) => !('strip' in act) || act.strip !== id);
  const here = 'strip' in act ? found.get(act.strip)?.zone : undefined;
  /** `3`, with its side and zone where these are not those of the act. */
  const stripName = (id: string): string => {
    const info = found.get(id);
    if (!info) return '';
    const { strip, zone } = info;
    const side = zone.side === 'middle' || zone.side === here?.side ? '' : ` ${zone.side}`;
    const name = zone.zone === here?.zone ? '' : `, ${ZONES[zone.zone].name.toLowerCase()}`;
    return `${strip.number}${side}${name}`;
  };
  const next = table.ahead
    .slice(0, 2)
    .map((a) => `${a.walkS > 0 ? 'Walk round. ' : ''}${ACT_WORDS[a.kind]} ${stripName(a.strip)}.`)
    .join(' ');
  return (
    <>
      <div className={styles.main}>
        <p className={styles.where}>
          {words.where} · {table.pulledCount} of {table.stripCount} off
        </p>
        <h1 className={styles.title}>{words.title}</h1>
        <p className={styles.how}>{words.how}</p>
        {words.say !== '' ? <p className={styles.cue}>Say: {words.say}</p> : null}
        <div className={styles.sheet}>{sheet}</div>
      </div>
      <div className={styles.side}>
        {act.kind === 'pull' ? (
          <SetRing laidAtMs={act.laidAtMs} readyAtMs={act.readyAtMs} dueAtMs={act.dueAtMs} nowMs={nowMs} />
        ) : null}
        {table.leavesOrder ? (
          <p className={styles.rest}>Out of the order for a moment: in it a strip would come off too late.</p>
        ) : null}
        {act.kind === 'lay' ? <Rest notBeforeMs={act.notBeforeMs} notAfterMs={act.notAfterMs} nowMs={nowMs} /> : null}
        <p className={styles.ask}>{words.ask}</p>
        {words.button ? (
          <button type="button" className={styles.next} onClick={onNext} autoFocus>
            {words.button}
          </button>
        ) : null}
        {act.kind === 'done' ? (
          <Link className={styles.next} href={`/visits/${props.visitId}/read`}>
            Read strip and skin
          </Link>
        ) : null}
        {act.kind === 'lay' || act.kind === 'pull' || act.kind === 'held' ? (
          <div className={styles.pair}>
            <button type="button" onClick={onAnother} disabled={table.layable.length === 0 || act.kind === 'held'}>
              Other strip
            </button>
            <button type="button" onClick={onHold}>
              {act.kind === 'held' ? 'Go on' : 'Hold all'}
            </button>
          </div>
        ) : null}
        {others.length > 0 ? (
          <section className={styles.also}>
            <h2>Also setting</h2>
            {others.map((id) => {
              const live = table.strips.get(id);
              const set = Math.max(0, Math.round((nowMs - (live?.laidAtMs ?? nowMs)) / 1000));
              const left = Math.ceil(((table.readyAtMs.get(id) ?? nowMs) - nowMs) / 1000);
              return (
                <p key={id}>
                  <strong>{stripName(id)}</strong>
                  <span>
                    {live?.stage === 1 ? 'first coat on' : `${set} s, ${left > 0 ? `ready in about ${left}` : 'ready'}`}
                  </span>
                </p>
              );
            })}
          </section>
        ) : null}
        {next !== '' ? (
          <section className={styles.also}>
            <h2>Then</h2>
            <p>{next}</p>
          </section>
        ) : null}
      </div>
    </>
  );
}

/** How a first coat rests, and until when it takes the second well. */
function Rest({
  notBeforeMs,
  notAfterMs,
  nowMs,
}: {
  readonly notBeforeMs: number | null;
  readonly notAfterMs: number | null;
  readonly nowMs: number;
}) {
  if (notBeforeMs === null || notAfterMs === null || nowMs === 0) return null;
  const inS = (atMs: number): number => Math.ceil((atMs - nowMs) / 1000);
  if (nowMs < notBeforeMs) return <p className={styles.rest}>First coat rests: {inS(notBeforeMs)} s</p>;
  return (
    <p className={styles.rest}>
      {nowMs < notAfterMs
        ? `Second coat within ${inS(notAfterMs)} s`
        : 'First coat is cool: the second at once, and pull early'}
    </p>
  );
}

function wordsOf({ act, found, plan, productName, readySign, nowMs }: Props): Words {
  if (act.kind === 'wrist') {
    const zone = found.get(act.firstStrip)?.zone ?? plan.zones.find((z) => z.choice?.product === act.product);
    return {
      where: productName(act.product),
      title: act.again ? 'Cooler now: test again' : 'Test on your wrist',
      ask: 'Comfortable on the inside of your wrist?',
      button: 'Wrist test done',
      say: '',
      how: (
        <>
          {act.again
            ? 'The pot comes down for this skin: turn it down, stir, wait. '
            : 'Stir first: pots are not even. '}
          The plan says about <strong>{zone?.heat ? degrees(zone.heat.workingC.target) : 'warm'}</strong> at touch, the
          pot near {zone?.heat ? degrees(zone.heat.potC) : ''}. That is an estimate: the wrist decides.
        </>
      ),
    };
  }
  if (act.kind === 'turn') {
    const position = POSITION_NAMES[act.position as Position];
    return {
      where: 'Nothing is on the skin',
      title: `Turn: ${position}`,
      ask: `Residue off, draped, lying ${position}?`,
      button: 'Turned',
      say: 'Take your time turning over.',
      how: <>Then: {plan.schedule.rounds.find((r) => r.strips.includes(act.firstStrip))?.stands.toLowerCase() ?? ''}</>,
    };
  }
  if (act.kind === 'held') {
    return {
      where: 'On hold',
      title: 'All held',
      ask: '',
      button: 'Go on',
      say: '',
      how: 'Wax on the skin keeps setting: look at what sets beside this.',
    };
  }
  if (act.kind === 'done') {
    return {
      where: 'All strips are off',
      title: 'Check by eye and hand',
      ask: '',
      button: null,
      say: '',
      how: 'Residue off, soothe, bright light for tiny hairs; the closing massage feels in every direction.',
    };
  }
  if (act.kind === 'stopped') return { where: '', title: 'Stopped', ask: '', button: null, say: '', how: '' };
  const info = found.get(act.strip);
  if (!info) {
    return {
      where: '',
      title: 'Strip not in this plan',
      ask: '',
      button: null,
      say: '',
      how: 'Step back one, or leave the table and look at the plan.',
    };
  }
  const { strip, zone } = info;
  const facts = ZONES[zone.zone];
  const where = `${sideWord(facts.name, zone.side)}${strip.place ? `, ${strip.place}` : ''} · pass 1 of ${zone.choice?.passes ?? 1}`;
  const of = (v: PlanVec): string => towards(zone.zone, zone.side, v);
  if (act.kind === 'lay') {
    const pose = act.pose ? poseWords(zone.zone) : null;
    const { before, way, after, ...words } = layWords({ zone, strip, coat: act.coat, towards: of });
    return {
      ...words,
      where,
      how: (
        <>
          {act.walk ? <strong>Walk round. </strong> : null}
          {pose === null ? null : <strong>{`${pose.charAt(0).toUpperCase()}${pose.slice(1)}. `}</strong>}
          {zone.keep.length > 0 ? <strong>Up to the line, never over it. </strong> : null}
          {before}
          <strong>{way}</strong>
          {after}
        </>
      ),
    };
  }
  const early = nowMs > 0 && nowMs < act.readyAtMs;
  return {
    where,
    title: `Pull ${strip.number}${strip.pulls > 1 ? `, in ${GOES[strip.pulls] ?? `${strip.pulls}`} goes` : ''}`,
    ask: zone.choice?.family === 'hard' ? SIGNS[readySign] : clothAsk(zone.choice, facts.face),
    button: zone.choice?.family === 'hard' ? 'It is ready, pulled' : 'Pulled and pressed',
    say: isLastOfNewLine(zone, strip) ? `${facts.cue} Then the mirror: is the line as agreed?` : facts.cue,
    how: (
      <>
        {strip.handwork === null ? '' : `${strip.handwork} `}
        {facts.stretch} Low and {strip.tabOn === 'hair' ? 'gently, the tab lies on hair' : strip.pace},{' '}
        <strong>{of(strip.pull)}</strong>. {pressWords(zone.hands.pressS)}
        {early && zone.choice?.family === 'hard' ? ' Still setting: tweeze or powder meanwhile.' : ''}
      </>
    ),
  };
}

/** A new shape is shown in the mirror after every step (common practice, no source). */
const isLastOfNewLine = (zone: FoundStrip['zone'], strip: FoundStrip['strip']): boolean =>
  zone.agreed === 'reshape' && zone.strips.every((s) => s.order <= strip.order);

type PlanVec = FoundStrip['strip']['pull'];
