'use client';

import { sizedPair, squareCm } from '@/formats/size';
import { Button, Dropdown } from 'antd';
import { useMemo, useState } from 'react';
import { sheetFor, ZONES, zoneKey } from '@/core/anatomy';
import { hasBegun } from '@/core/hands';
import { fitChart, mirrorDensity, mirrorStrokes } from '@/core/field';
import { fitLine } from '@/core/outcomes';
import { fitStrips } from '@/core/strips';
import type { ReadChart } from '@/formats/chartFile';
import type { ChartData, ChartMark, Spot } from '@/server/db/schema';
import type { BenchZone } from '@/server/services/bench';
import { dayMonth, sideWord } from '@/ui/words';
import { useKeys } from '@/ui/useKeys';
import { useBench } from '../BenchContext.client';
import { BarePlaces } from './BarePlaces';
import { ChartList } from './ChartList';
import { choiceOf, withChoice } from '../agreed';
import { ZoneTabs } from '../ZoneTabs.client';
import { Assessment } from './Assessment.client';
import { BodyPick } from './BodyPick.client';
import { useChartFiles } from './ChartFiles.client';
import { brushFor, BRUSHES_CM, ChartTools, MARKS_MM, resized, thicker, type ToolChoice } from './ChartTools';
import { type SheetContent, type Tool } from './combTool';
import { familyLimits } from './familyLimits';
import { FindGrowth } from './FindGrowth.client';
import { KeepSheet } from './keep/KeepSheet.client';
import { MarkList } from './MarkList.client';
import { MarksAgain, type SheetLies } from './MarksAgain.client';
import { MeasureSheet } from './MeasureSheet.client';
import { markOfSpot, notCharted } from './tappedSpots';
import { useChartEdits } from './useChartEdits';
import { useSheet } from './useSheet';
import styles from './Chart.module.css';

const BASIS = { measured: 'measured', 'body-surface': '', 'reference-adult': 'average size' } as const;
const NOWHERE: SheetContent['densities'] = [];
/** Whether a zone has been looked at today, under its name. */
const SEEN: Readonly<Record<string, string>> = { true: 'looked at', false: 'to look at' };

/** One zone's chart: the sheet, the tools, marks and the assessment of its hair. */
export function ZoneChart({ zone }: { readonly zone: BenchZone }) {
  const { bench, saveChart, saveConsult } = useBench();
  const { consult } = bench.visit;
  const outcome = choiceOf(consult.agreed, zone);
  const planned = bench.plan.zones.find((z) => zoneKey(z) === zoneKey(zone));
  const facts = ZONES[zone.zone];
  const [choice, setChoice] = useState<ToolChoice>({
    tool: 'comb',
    brush: brushFor(facts.sheetCm[0]),
    markKind: 'mole',
    markSize: 2,
    share: 0.25,
    density: 2,
  });
  const [panel, setPanel] = useState<'find' | 'measure' | 'body' | null>(null);
  const [lies, setLies] = useState<SheetLies | null>(null);
  const closed = bench.visit.status === 'closed';
  const [width, height] = zone.data.sheetCm ?? zone.data.drawnOnCm ?? planned?.sheetCm ?? facts.sheetCm;
  const sheet = useSheet(facts, zone.side, width, height);
  const content = useMemo(
    (): SheetContent => ({
      strokes: zone.data.strokes,
      marks: zone.data.marks,
      densities: zone.data.densities ?? NOWHERE,
      // what was drawn for another agreement waits until that stands again
      keep: zone.data.keep?.outcome === outcome ? zone.data.keep : { outcome },
    }),
    [zone.data.strokes, zone.data.marks, zone.data.densities, zone.data.keep, outcome],
  );
  const save = (more: Partial<ChartData>): void => {
    saveChart(zone, { ...zone.data, confirmed: true, ...more });
    const { keep } = more;
    if (!keep || keep.outcome === outcome) return;
    saveConsult({ ...consult, agreed: withChoice(consult.agreed, bench.zones, zone.zone, keep.outcome) });
  };
  const edits = useChartEdits(content, closed, save);
  const put = (next: SheetContent): void => edits.done(content, next);
  const putMarks = (marks: readonly ChartMark[]): void => put({ ...content, marks });
  const size = (by: number): void => setChoice((c) => resized(c, by));
  const hold = (tool: Tool) => (): void => {
    if (!closed) setChoice((c) => ({ ...c, tool }));
  };
  const felt = (by: number) => (): void => setChoice((c) => thicker(c, by));
  useKeys({
    c: hold('comb'),
    x: hold('cross'),
    d: hold('density'),
    m: hold('mark'),
    e: hold('erase'),
    z: edits.undo,
    'Shift+Z': edits.redo,
    '[': () => size(-1),
    ']': () => size(1),
    '-': felt(-1),
    '+': felt(1),
    'Shift++': felt(1),
    '=': felt(1),
  });
  const other = bench.zones.find((z) => z.zone === zone.zone && z.side !== zone.side);
  const lost = planned ? planned.areaCm2 - planned.hairAreaCm2 : 0;
  const tapped = notCharted(bench.visit.consult.spots, zone, content.marks);
  const putTapped = (spot: Spot): void => {
    putMarks([...content.marks, markOfSpot(spot, [width, height], bench.visit.onDate)]);
  };
  const measure = (to: readonly [number, number] | null): void => {
    const scaled = sheetFor(facts, zone.side, bench.client.body);
    const size = to ?? (scaled.ok ? ([scaled.value.widthCm, scaled.value.heightCm] as const) : null);
    if (!size) return;
    // an undo would put marks where they lay on the other sheet
    edits.clear();
    const { handStrips } = zone.data;
    const { keep } = content;
    save({
      ...fitChart(content, [width, height], size),
      ...(keep?.lines ? { keep: { ...keep, lines: keep.lines.map((l) => fitLine(l, [width, height], size)) } } : {}),
      sheetCm: to ?? undefined,
      drawnOnCm: size,
      ...(handStrips
        ? { handStrips: { ...handStrips, strips: fitStrips(handStrips.strips, [width, height], size) } }
        : {}),
    });
  };
  const readIn = (read: ReadChart): void => {
    const {
      shortestMm,
      longestMm,
      flags,
      lengthMm,
      coarseness,
      density,
      curl = zone.data.hair.curl,
      history = zone.data.hair.history,
    } = read.hair;
    const chart = {
      strokes: read.strokes,
      marks: read.marks,
      densities: read.densities ?? NOWHERE,
      // a line drawn for something else than was agreed today is not taken over
      keep: read.keep?.outcome === outcome ? read.keep : content.keep,
    };
    put(chart);
    save({
      ...chart,
      hair: {
        lengthMm,
        coarseness,
        density,
        curl,
        history,
        ...(shortestMm === undefined ? {} : { shortestMm }),
        ...(longestMm === undefined ? {} : { longestMm }),
        ...(flags === undefined ? {} : { flags }),
      },
    });
  };
  const files = useChartFiles({
    visitId: bench.visit.id,
    zone,
    facts,
    sheet,
    keep: (planned?.keep ?? []).map((k) => k.outline),
    onRead: readIn,
  });
  const asOther = (): void => {
    if (!other) return;
    put({
      strokes: mirrorStrokes(other.data.strokes, width),
      marks: content.marks,
      densities: mirrorDensity(other.data.densities ?? NOWHERE, width),
    });
  };
  const canMirror = other !== undefined && other.data.strokes.length + (other.data.densities?.length ?? 0) > 0;
  const acts: readonly (readonly [string, string, () => void, boolean])[] = [
    ['find', 'Find growth by touch', () => setPanel('find'), !closed],
    ['measure', 'Measure', () => setPanel('measure'), !closed],
    ['mirror', `As the ${other?.side ?? 'other'} side`, asOther, canMirror && !closed],
    ['body', 'Zones on the body', () => setPanel('body'), true],
    ['export', 'Export', files.download, sheet !== null],
    ['import', 'Import', files.choose, !closed],
  ];
  const basis = planned ? BASIS[planned.basis] : '';
  return (
    <>
      <div className={styles.head}>
        <ZoneTabs note={(key) => SEEN[String(bench.zones.find((z) => zoneKey(z) === key)?.data.confirmed)] ?? ''} />
        <div className={styles.headActs}>
          <Button disabled={closed || edits.undos === 0} onClick={edits.undo} title="Undo ( Z )">
            Undo
          </Button>
          {edits.redos > 0 && !closed ? (
            <Button onClick={edits.redo} title="Redo ( Shift Z )">
              Redo
            </Button>
          ) : null}
          <Dropdown
            trigger={['click']}
            menu={{
              items: acts.flatMap(([key, label, , can]) => (can ? [{ key, label }] : [])),
              onClick: ({ key }) => acts.find(([k]) => k === key)?.[2](),
            }}
          >
            <Button>More</Button>
          </Dropdown>
        </div>
      </div>
      <div className={styles.words}>
        <h1>{sideWord(zone.name, zone.side)}</h1>
        <p className="quiet">
          {sizedPair(width, ' × ', height, 'cm', 1)}
          {basis === '' ? '' : `, ${basis}`} · {squareCm(Math.round(planned?.hairAreaCm2 ?? 0))} of hair
          {lost > 0.5
            ? `, ${squareCm(Math.round(lost))} ${planned?.keep.length || planned?.fade ? 'left' : 'kept clear'}`
            : ''}
          {zone.last ? ` · chart of ${dayMonth(zone.last.on)}` : ' · usual growth, comb it to fit'}
        </p>
      </div>
      {files.node}
      <div className={styles.surface}>
        <ChartTools choice={choice} onChange={setChoice} disabled={closed} />
        {sheet ? (
          <KeepSheet
            zone={facts}
            side={zone.side}
            sheet={sheet}
            hair={zone.data.hair}
            content={content}
            readOnly={closed}
            onDone={edits.done}
            outcome={outcome}
            stands={hasBegun(bench.journal)}
            other={other}
            besides={(view) => <BarePlaces view={view} places={zone.data.bare ?? []} />}
            onView={(view, frame) => setLies({ view, frame })}
            onKeep={(keep) => put({ ...content, keep })}
            held={{
              tool: choice.tool,
              radiusCm: BRUSHES_CM[choice.brush] ?? 1,
              markKind: choice.markKind,
              markMm: MARKS_MM[choice.markSize] ?? 3,
              share: choice.share,
              density: choice.density,
              today: bench.visit.onDate,
            }}
          />
        ) : null}
        <MarksAgain
          marks={content.marks}
          tapped={tapped}
          disabled={closed}
          onMarks={putMarks}
          onTapped={putTapped}
          lies={lies}
        />
        <Assessment
          hair={zone.data.hair}
          zone={facts}
          limits={familyLimits(bench, facts)}
          disabled={closed}
          onChange={(hair) => save({ hair })}
        />
      </div>
      {panel === 'find' ? (
        <FindGrowth
          sheetCm={[width, height]}
          onClose={() => setPanel(null)}
          onFound={(found) => put({ ...content, strokes: [...content.strokes, ...found.strokes] })}
        />
      ) : null}
      {panel === 'measure' ? (
        <MeasureSheet
          sheetCm={[width, height]}
          measured={zone.data.sheetCm !== undefined}
          onSize={measure}
          onClose={() => setPanel(null)}
        />
      ) : null}
      {panel === 'body' ? <BodyPick onClose={() => setPanel(null)} /> : null}
      {sheet ? (
        <MarkList
          zone={zone.zone}
          side={zone.side}
          sheet={sheet}
          marks={content.marks}
          disabled={closed}
          onMarks={putMarks}
        />
      ) : null}
      <ChartList content={content} hairs={facts.hairsPerCm2} />
    </>
  );
}
