// What is drawn on the sheet of what is left: a strip's number with its word, a patch with its count.

import type { KeyboardEvent } from 'react';
import type { StripMark } from '@/core/hands';
import type { PlanStrip } from '@/core/plan';
import { MARK_OF, type LeftPatch, type StripPicture } from '@/core/reading';
import type { Vec } from '@/core/shared';
import { ringCentre } from '@/formats/stripsSvg';
import { MarkSign } from '../strips/WaxSlab';
import { MARK_WORDS, PICTURE_WORDS } from './pictureWords';
import styles from './Read.module.css';

const WORD = { clean: 'var(--verdigris)', sparse: 'var(--wax-dark)', broke: 'var(--madder)' } as const;

/** A strip this wide has room for its word; a narrower one has a sign, px. */
const WORD_PX = 52;

interface Said {
  readonly mark: StripMark;
  readonly word: string;
  readonly isRead: boolean;
}

/** What was read of a strip, else what the table marked; null where nothing was said. */
export function wordOf(
  id: string,
  likes: ReadonlyMap<string, StripPicture>,
  table: ReadonlyMap<string, StripMark>,
): Said | null {
  const like = likes.get(id);
  if (like) return { word: PICTURE_WORDS[like].word, mark: MARK_OF[like], isRead: true };
  const mark = table.get(id);
  return mark ? { word: MARK_WORDS[mark], mark, isRead: false } : null;
}

interface DiscProps {
  readonly strip: PlanStrip;
  readonly unit: number;
  readonly isChosen: boolean;
  readonly isOff: boolean;
  readonly word: Said | null;
  readonly onChoose: () => void;
}

/** A strip's number, its word, and a place to touch it. */
export function Disc({ strip, unit, isChosen, isOff, word, onChoose }: DiscProps) {
  const [x, y] = ringCentre(strip.outline);
  const widthCm = strip.widthMm / 10;
  const r = Math.max(9 * unit, Math.min(17 * unit, widthCm * 0.34));
  const hasRoom = widthCm > WORD_PX * unit;
  const inHand = {
    role: 'button',
    tabIndex: 0,
    'aria-label': `Strip ${strip.number}${word ? `, ${word.word}` : ''}`,
    'aria-pressed': isChosen,
    // a touch is told from a stroke by the sheet
    'data-strip': strip.id,
    className: styles.disc,
    onKeyDown: (e: KeyboardEvent) => {
      if (e.key !== 'Enter' && e.key !== ' ') return;
      e.preventDefault();
      e.stopPropagation();
      onChoose();
    },
    style: { cursor: 'pointer' },
  } as const;
  return (
    <g {...(isOff ? inHand : { opacity: 0.4 })}>
      <circle cx={x} cy={y} r={Math.max(r, 15 * unit)} fill="transparent" />
      <circle
        cx={x}
        cy={y}
        r={r}
        fill="var(--disc)"
        stroke={isChosen ? 'var(--disc-ink)' : 'var(--hairline-strong)'}
        strokeWidth={(isChosen ? 3 : 1.4) * unit}
      />
      <text x={x} y={y + r * 0.38} textAnchor="middle" fontSize={r * 1.1} fontWeight="700" fill="var(--disc-ink)">
        {strip.number}
      </text>
      {word && !hasRoom ? <MarkSign mark={word.mark} middle={[x + 1.9 * r, y]} r={0.75 * r} /> : null}
      {word && hasRoom ? (
        <text
          style={{ pointerEvents: 'none' }}
          x={x}
          y={y + r + 14 * unit}
          textAnchor="middle"
          fontSize={14 * unit}
          fontWeight={word.isRead ? 650 : 400}
          fontStyle={word.isRead ? 'normal' : 'italic'}
          fill={word.isRead ? (WORD[word.word as keyof typeof WORD] ?? 'var(--ink)') : 'var(--second-ink)'}
          stroke="var(--skin)"
          strokeWidth={3.5 * unit}
          paintOrder="stroke"
        >
          {word.word}
        </text>
      ) : null}
    </g>
  );
}

interface PatchProps {
  readonly patch: LeftPatch;
  readonly at: Vec;
  readonly unit: number;
  readonly view: readonly [number, number, number, number];
  readonly isAsked: boolean;
}

/** A patch counts itself. */
export function Patch({ patch, at: [x, y], unit, view: [x0, , w], isAsked }: PatchProps) {
  const r = patch.radiusCm + 14 * unit;
  const isRight = x + r + 70 * unit < x0 + w;
  return (
    <g style={{ pointerEvents: 'none' }}>
      <circle
        cx={x}
        cy={y}
        r={r}
        fill="none"
        stroke="var(--madder)"
        strokeWidth={(isAsked ? 3 : 1.8) * unit}
        strokeDasharray={`${5 * unit} ${4 * unit}`}
      />
      <text
        x={isRight ? x + r + 6 * unit : x - r - 6 * unit}
        y={y + 5 * unit}
        textAnchor={isRight ? 'start' : 'end'}
        fontSize={16 * unit}
        fontWeight="700"
        fill="var(--madder)"
        stroke="var(--sheet)"
        strokeWidth={4 * unit}
        paintOrder="stroke"
      >
        {patch.hairs.length} left
      </text>
    </g>
  );
}
