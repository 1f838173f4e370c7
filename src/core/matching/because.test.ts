import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from '../products';
import { becauseOf, figuresFor, forWords, nextKind } from './because';
import type { VisitChoice } from './chooseTogether';
import type { ZoneMatch } from './matchZone';
import type { Option } from './types';

const NONE = { minutes: 0, load: 0, broken: 0, left: 0, tweezed: 0, material: 0 };
/** An option by the figures that a reason looks at; the rest of it is not read here. */
const made = (id: string, more: Partial<Option> = {}): Option => {
  const product = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!product) throw new Error(id);
  const figures = { allMinutes: 20, skinLoad: 0.3, brokenShare: 0.02, leftHairs: 10, tweezed: 10 };
  const rest = { way: 'with', coats: 1, eligible: true, excludedBy: [], cost: 20, parts: NONE };
  return { product, family: product.family, ...rest, ...figures, ...more } as unknown as Option;
};
const match = (options: readonly Option[], more: Partial<ZoneMatch> = {}): ZoneMatch =>
  ({ options, within: options, best: options[0] ?? null, decided: [], yielded: [], ...more }) as unknown as ZoneMatch;
const chosen = (option: Option, moved: VisitChoice['moved'] = null): VisitChoice =>
  ({ option, moved }) as unknown as VisitChoice;
const texts = (...of: Parameters<typeof becauseOf>): readonly string[] => becauseOf(...of).map((b) => b.text);

const film = made('film-hard');
const cream = made('cream-hard', { cost: 22 });
const soft = made('soft', { cost: 24 });
const sugar = made('sugar-firm', { cost: 23 });

describe('the next of another kind', () => {
  it('is the cheapest that can be used; film and cream are two kinds, the pastes are one', () => {
    const all = [film, soft, sugar, cream];
    expect(nextKind(film, all)).toBe(cream);
    expect(nextKind(sugar, [sugar, made('sugar-soft', { cost: 1 }), soft])).toBe(soft);
    expect(nextKind(film, [film, made('cream-hard', { cost: 1, eligible: false }), sugar, soft])).toBe(sugar);
    expect(nextKind(film, [film, made('film-hard', { cost: 1 })])).toBeNull();
  });
});

describe('figures for one option against another', () => {
  it('are two at most, the weightiest first, and never one that speaks against it or is alike as shown', () => {
    const mine = made('film-hard', { allMinutes: 18, skinLoad: 0.25, brokenShare: 0.01, tweezed: 4, leftHairs: 4 });
    const other = made('soft', {
      ...{ allMinutes: 25, skinLoad: 0.41, brokenShare: 0.05, tweezed: 30, leftHairs: 50 },
      parts: { ...NONE, minutes: 3, load: 9, broken: 1, left: 5, tweezed: 2 },
    });
    expect(figuresFor(mine, other)).toEqual([
      { name: 'skinLoad', mine: 0.25, other: 0.41 },
      { name: 'staysHairs', mine: 0, other: 20 },
    ]);
    expect(figuresFor(other, mine)).toEqual([]);
    expect(forWords(mine, other)).toBe(
      'easier on the skin (load 0.25 against 0.41), nothing left for next time against 20 hairs',
    );
    // 18.2 and 18.4 minutes are both 18: no reason, whatever they weigh
    const alike = made('soft', { allMinutes: 18.4, parts: { ...NONE, minutes: 9 } });
    expect(figuresFor(made('film-hard', { allMinutes: 18.2 }), alike)).toEqual([]);
    // better as shown, but it costs nothing here
    expect(figuresFor(made('film-hard', { allMinutes: 10 }), made('soft', { allMinutes: 30 }))).toEqual([]);
  });
  it.each([
    ['allMinutes', { allMinutes: 12.4 }, { allMinutes: 30.6 }, 'minutes', '12 min against 31'],
    ['brokenShare', { brokenShare: 0.021 }, { brokenShare: 0.049 }, 'broken', '2 % broken against 5'],
    ['tweezed', { tweezed: 3, leftHairs: 3 }, { tweezed: 9, leftHairs: 9 }, 'tweezed', '3 to tweeze against 9'],
    [
      'staysHairs',
      { leftHairs: 15, tweezed: 10 },
      { leftHairs: 40, tweezed: 10 },
      'left',
      '5 left for next time against 30',
    ],
  ] as const)('say %s in its own words', (name, mine, other, part, words) => {
    const dearer = made('soft', { ...other, parts: { ...NONE, [part]: 2 } });
    expect(figuresFor(made('film-hard', mine), dearer).map((f) => f.name)).toEqual([name]);
    expect(forWords(made('film-hard', mine), dearer)).toBe(words);
  });
});

describe('why an option is chosen', () => {
  const dear = made('soft', { cost: 24, allMinutes: 30, parts: { ...NONE, minutes: 5 } });
  it('is its figures against the next kind, or that there is none, or that all are alike', () => {
    expect(becauseOf(chosen(film), match([film, dear]))).toEqual([
      {
        code: 'best.figures',
        text: 'Against soft strip wax: 20 min against 30.',
        figures: [{ name: 'allMinutes', mine: 20, other: 30 }],
      },
    ]);
    expect(becauseOf(chosen(film), match([film]))).toEqual([
      { code: 'only.kind', text: 'Film hard wax: the only kind that can be used here today.', figures: [] },
    ]);
    expect(texts(chosen(made('film-hard', { coats: 2 })), match([film]))[0]).toMatch(/^Film hard wax in two coats: /);
    expect(becauseOf(chosen(film), match([film, soft]))).toMatchObject([
      { code: 'best.cost', text: 'As good as soft strip wax in every figure shown, and a little less in all.' },
    ]);
  });
  it.each([
    ['client.worked', 'Worked well here last time'],
    ['ingrown.sugar', 'Skin that grows hairs in, sugar first'],
    ['coarse.hard', 'Coarse hair, hard wax first'],
    ['fine-large.soft', 'Fine hair on a large area, soft wax first'],
    ['house.favourite', 'The favourite of this house here'],
    ['house.first', 'This house reaches for wax first'],
  ] as const)('is the preference %s, with both times', (code, words) => {
    const decided = [{ code, instead: made('soft', { allMinutes: 17 }) }] as unknown as ZoneMatch['decided'];
    expect(becauseOf(chosen(film), match([film, dear], { decided }))).toEqual([
      { code, text: `${words}: film hard wax, 20 min, soft strip wax 17.`, figures: [] },
    ]);
  });
  it('says one time where both are alike, and sugar where sugar is reached for', () => {
    const decided = [{ code: 'house.first', instead: film }] as unknown as ZoneMatch['decided'];
    expect(texts(chosen(sugar), match([sugar, film], { decided }))).toEqual([
      'This house reaches for sugar first: firm sugar paste, about 20 min, as film hard wax.',
    ]);
  });
  it('names what yielded and what it would have cost, after what decided', () => {
    const yielded = [{ code: 'coarse.hard', option: cream }] as unknown as ZoneMatch['yielded'];
    expect(becauseOf(chosen(sugar), match([sugar], { yielded }))).toMatchObject([
      { code: 'only.kind' },
      {
        code: 'yielded',
        text: 'Coarse hair, hard wax first, but not at this cost; against cream hard wax: more in all, with every figure alike.',
      },
    ]);
    const slow = { ...cream, allMinutes: 40, parts: { ...NONE, minutes: 9 } };
    const more = [{ code: 'coarse.hard', option: slow }] as unknown as ZoneMatch['yielded'];
    expect(texts(chosen(sugar), match([sugar], { yielded: more }))[1]).toContain(
      'against cream hard wax: 20 min against 40.',
    );
  });
  it('says that the plain lay holds, beside a preference or alone', () => {
    const plain = { code: 'plain.lay', instead: made('film-hard', { way: 'crossed', allMinutes: 15.4 }) };
    const decided = [{ code: 'coarse.hard', instead: dear }, plain] as unknown as ZoneMatch['decided'];
    const words = 'In the crossed lay film hard wax would take 15 min; it presses, and the plain lay holds here.';
    expect(becauseOf(chosen(film), match([film], { decided })).map((b) => b.code)).toEqual([
      'coarse.hard',
      'plain.lay',
    ]);
    const alone = [plain] as unknown as ZoneMatch['decided'];
    expect(texts(chosen(film), match([film], { decided: alone }))).toEqual([
      'Film hard wax: the only kind that can be used here today.',
      words,
    ]);
  });
  it('is the hand’s own, and names the proposal only where that was another product', () => {
    expect(becauseOf(chosen(soft, 'by-hand'), match([film, soft]))).toEqual([
      { code: 'by-hand', text: 'Chosen by hand. Film hard wax was the proposal.', figures: [] },
    ]);
    expect(texts(chosen(film, 'by-hand'), match([film]))).toEqual(['Chosen by hand.']);
    expect(texts(chosen(film, 'by-hand'), match([], { best: null }))).toEqual(['Chosen by hand.']);
  });
  it('is the other side or the one pot where the visit moved it', () => {
    expect(becauseOf(chosen(soft, 'both-sides'), match([film, soft]))).toMatchObject([
      { code: 'visit.both-sides', text: 'Both sides alike; here alone film hard wax would do as well.' },
    ]);
    const yielded = [{ code: 'coarse.hard', option: cream }] as unknown as ZoneMatch['yielded'];
    expect(becauseOf(chosen(soft, 'one-pot'), match([film, soft], { yielded })).map((b) => b.code)).toEqual([
      'visit.one-pot',
      'yielded',
    ]);
    expect(texts(chosen(soft, 'one-pot'), match([film, soft]))).toEqual([
      'One pot and one product for more zones; here alone film hard wax would go first.',
    ]);
  });
});
