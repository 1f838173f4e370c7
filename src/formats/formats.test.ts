import { importRequest } from './importRequests';
import { describe, expect, it } from 'vitest';
import {
  archiveRequest,
  chartFileRequest,
  chartRequest,
  clientRequest,
  closeRequest,
  consultRequest,
  formRequest,
  handOverRequest,
  newClientRequest,
  openVisitRequest,
  patchTestRequest,
  putOffRequest,
  ruleRequest,
  signRequest,
  unlockRequest,
  zonesRequest,
} from './requests';
import { journalRequest, readingRequest } from './tableRequests';
import { parseVisitCase, parseWith, pathText } from './visitCaseSchema';

const good = {
  version: 1,
  on: '2027-05-14',
  client: {
    statureCm: 171,
    massKg: 66,
    ageYears: 34,
    sensitivity: 3,
    skin: 'dry',
    ingrownProne: false,
    consent: true,
    guardianConsent: false,
    screening: [{ fact: 'acid-exfoliant', lastOn: '2027-05-11', zones: ['upper-lip'] }, { fact: 'blood-thinner' }],
    overrides: [{ code: 'skin.acid', zone: 'upper-lip/middle', reason: 'seen and tested' }],
    knownProducts: ['film-hard'],
    reactedTo: ['soft'],
    blackout: [{ from: '2027-06-20', to: '2027-06-24', why: 'event' }],
  },
  studio: {
    roomC: 22,
    humidityPct: 50,
    level: 'practised',
    maxOnSkin: 3,
    walkS: 6,
    schools: {
      hardLay: 'with',
      shortHair: 'crossed',
      maxHardPasses: 2,
      sugarWay: 'hand',
      prep: 'powder',
      families: ['hard', 'soft', 'sugar'],
    },
    products: ['film-hard', 'soft'],
    rules: [{ code: 'skin.acid', waitDays: 9, outcome: 'postpone', reason: '' }],
  },
  zones: [
    {
      zone: 'underarm',
      side: 'left',
      hair: {
        lengthMm: 7,
        coarseness: 4,
        density: 3,
        curl: 1,
        history: 'regular',
        lastWaxOn: '2027-04-12',
        past: [{ on: '2027-03-10', lengthMm: 6 }],
      },
      strokes: [{ at: [4, 3], towards: [0, -1] }],
      marks: [{ kind: 'mole', at: [5.2, 6.1], radiusMm: 4 }],
      sheetCm: [10, 14],
      product: 'film-hard',
      way: 'with',
    },
  ],
};
type Loose = Record<string, unknown>;
const paths = (input: unknown): readonly string[] => {
  const parsed = parseVisitCase(input);
  return parsed.ok ? [] : parsed.faults.map((f) => f.path).sort();
};
/** The good case with one place set to a value. */
function changed(path: readonly (string | number)[], value: unknown): unknown {
  const copy = structuredClone(good) as unknown as Loose;
  let at: Loose = copy;
  for (const part of path.slice(0, -1)) at = at[part] as Loose;
  at[path[path.length - 1] as string] = value;
  return copy;
}

describe('the visit case', () => {
  it('takes the full case and the least one', () => {
    expect(paths(good)).toEqual([]);
    expect(
      paths({
        version: 1,
        on: '2027-05-14',
        client: { consent: true },
        zones: [{ zone: 'chin', side: 'middle', hair: { lengthMm: 5, coarseness: 3, density: 2 } }],
      }),
    ).toEqual([]);
  });
  it.each<[readonly (string | number)[], unknown]>([
    [['version'], 2],
    [['on'], '2027-02-30'],
    [['on'], '14.05.2027'],
    [['client', 'consent'], 'yes'],
    [['client', 'sensitivity'], 6],
    [['client', 'sensitivity'], '3'],
    [['client', 'massKg'], -4],
    [['client', 'screening', 0, 'fact'], 'hunger'],
    [['client', 'screening', 0, 'lastOn'], '2027-13-01'],
    [['client', 'blackout', 0, 'from'], null],
    [['studio', 'level'], 'master'],
    [['studio', 'maxOnSkin'], 0],
    [['studio', 'maxOnSkin'], 2.5],
    [['studio', 'schools', 'maxHardPasses'], 9],
    [['studio', 'schools', 'families'], ['wax']],
    [['client', 'overrides', 0, 'reason'], ''],
    [['client', 'knownProducts', 0], 5],
    [['studio', 'rules', 0, 'waitDays'], 0],
    [['studio', 'rules', 0, 'outcome'], 'maybe'],
    [['zones'], []],
    [['zones', 0, 'zone'], 'elbow'],
    [['zones', 0, 'side'], 'both'],
    [['zones', 0, 'hair', 'lengthMm'], 0],
    [['zones', 0, 'hair', 'lengthMm'], Number.NaN],
    [['zones', 0, 'hair', 'coarseness'], 0],
    [['zones', 0, 'hair', 'history'], 'never'],
    [['zones', 0, 'strokes', 0, 'at'], [1]],
    [['zones', 0, 'marks', 0, 'radiusMm'], 0],
    [['zones', 0, 'marks', 0, 'kind'], 'freckle'],
    [['zones', 0, 'marks', 0, 'since'], '2027-02-30'],
    [['zones', 0, 'strokes', 0, 'share'], 0],
    [['zones', 0, 'hair', 'flags'], ['curly']],
    [['zones', 0, 'hair', 'shortestMm'], 0],
    [
      ['zones', 0, 'sheetCm'],
      [0, 14],
    ],
    [['zones', 0, 'way'], 'sideways'],
  ])('refuses %j = %j and names it', (path, value) => {
    const found = paths(changed(path, value));
    expect(found.length).toBeGreaterThan(0);
    expect(found.every((p) => p.startsWith(pathText(path)))).toBe(true);
  });
  it.each([[['extra']], [['client', 'name']], [['zones', 0, 'hair', 'colour']], [['studio', 'schools', 'other']]])(
    'refuses the unknown field %j',
    (path) => {
      expect(paths(changed(path, 1))).toEqual([pathText(path)]);
    },
  );
  it('refuses what is no object at all', () => {
    for (const nothing of [null, [], 'case', 7, undefined]) expect(parseVisitCase(nothing).ok).toBe(false);
  });
  it('never repeats a value in a fault: it may be a health note', () => {
    const parsed = parseVisitCase(changed(['client', 'screening', 0, 'fact'], 'a private word'));
    expect(JSON.stringify(parsed)).not.toContain('a private word');
  });
});

describe('requests', () => {
  const consult = {
    v: 2,
    facts: [],
    asked: ['rash'],
    unsure: [],
    spots: [],
    consent: true,
    guardianConsent: false,
    sensitivity: 3,
    services: [],
    overrides: [],
    judged: null,
    confirmedAtMs: null,
    agreed: {
      howMuch: [{ zone: 'brow', side: 'left', choice: 'tidy' }],
      coldPack: false,
      company: 'quiet',
      tweezing: true,
      words: '',
    },
  };
  const form = {
    v: 1,
    answers: [{ id: 'skin', answer: 'none', facts: [] }],
    noLonger: [],
    spots: [{ figure: 'front', at: [60, 50], kind: 'sore', zone: 'underarm', side: 'left' }],
    bornOn: null,
    words: '',
    guardianName: '',
    page: 3,
  };
  const drawn = {
    kind: 'drawn',
    strokes: [
      [
        [1, 2],
        [3, 4],
      ],
    ],
  };
  const sign = {
    version: 1,
    data: form,
    textVersion: 1,
    signerName: 'Nell Ashgrove',
    signature: drawn,
    guardianSignature: null,
  };
  const data = {
    v: 1,
    hair: {
      lengthMm: 7,
      shortestMm: 4,
      longestMm: 9,
      flags: ['flat'],
      coarseness: 3,
      density: 3,
      curl: 1,
      history: 'regular',
    },
    sheetCm: [9, 13],
    strokes: [{ at: [1, 2], towards: [0, 1], share: 0.25 }],
    marks: [{ kind: 'mole', at: [4, 5], radiusMm: 3, note: 'flat', since: '2027-01-01', unseen: true }],
    product: null,
    way: null,
    reason: '',
    confirmed: true,
  };
  const reading = {
    v: 1,
    removedPct: 95,
    brokenPct: 2,
    left: 'few',
    leftKind: 'short',
    bleeding: 'none',
    skin: 'pink',
    tweezed: 4,
    heatFelt: 'right',
    note: '',
  };
  const fields = {
    name: 'Nell',
    byline: '',
    bornOn: null,
    phone: '',
    note: '',
    profile: {
      v: 2,
      statureCm: null,
      massKg: null,
      sensitivity: 3,
      skin: 'normal',
      ingrownProne: false,
      standing: [{ fact: 'diabetes', since: '2026-01-01' }],
      reactions: [],
      patchTests: [],
      consentOn: null,
      guardianConsentOn: null,
      blackout: [],
    },
  };
  it.each([
    ['consult', consultRequest, { version: 1, consult }, { version: 1, consult: { ...consult, sensitivity: 9 } }],
    ['chart', chartRequest, { version: 1, data }, { version: 1, data: { ...data, way: 'up' } }],
    ['zones', zonesRequest, { version: 1, zones: [{ zone: 'underarm', side: 'left' }] }, { version: 1, zones: [] }],
    [
      'journal',
      journalRequest,
      { events: [{ id: 'a-1', atMs: 5, kind: 'laid', strip: 'A1' }] },
      { events: [{ id: 'a 1', atMs: 5, kind: 'laid' }] },
    ],
    ['reading', readingRequest, { version: 2, data: reading }, { version: 2, data: { ...reading, removedPct: 140 } }],
    ['close', closeRequest, { version: 1, next: null }, { version: 1, next: { startsAtMs: 5, minutes: 2 } }],
    ['open', openVisitRequest, { bookingId: 'b' }, { zones: [] }],
    ['new client', newClientRequest, fields, { ...fields, name: '   ' }],
    ['client', clientRequest, { version: 1, ...fields }, fields],
    [
      'override',
      consultRequest,
      {
        version: 1,
        consult: {
          ...consult,
          overrides: [{ code: 'skin.acid', zone: null, reason: 'doctor’s letter seen', atMs: 5 }],
        },
      },
      { version: 1, consult: { ...consult, overrides: [{ code: 'skin.acid', zone: null, reason: 'no', atMs: 5 }] } },
    ],
    ['put away', archiveRequest, { version: 1, archived: true }, { version: 1, archived: 'yes' }],
    ['hand over', handOverRequest, { personId: 'ines', newPin: '2468' }, { personId: 'ines', newPin: '24a8' }],
    ['unlock', unlockRequest, { pin: '24680' }, { pin: '12' }],
    [
      'form',
      formRequest,
      { version: 1, data: form },
      { version: 1, data: { ...form, answers: [{ id: 'stars', answer: 'none', facts: [] }] } },
    ],
    ['sign', signRequest, sign, { ...sign, signature: { kind: 'drawn', strokes: [[[1, 'x']]] } }],
    [
      'sign by name',
      signRequest,
      { ...sign, signature: { kind: 'typed', name: 'Nell' } },
      { ...sign, signature: { kind: 'typed', name: ' ' } },
    ],
    [
      'put off',
      putOffRequest,
      { version: 1, as: 'postponed', next: null, words: '', post: false },
      { version: 1, as: 'cancelled', next: null, words: '', post: false },
    ],
    [
      'rule',
      ruleRequest,
      { code: 'skin.acid', waitDays: 9, reason: '' },
      { code: 'skin.acid', waitDays: 0, reason: '' },
    ],
    ['import', importRequest, { csv: 'name' }, { csv: 5, commit: false }],
    ['chart file', chartFileRequest, { text: '{}', sheetCm: [9, 13] }, { text: '{}', sheetCm: [9] }],
    [
      'crossing',
      chartRequest,
      { version: 1, data },
      { version: 1, data: { ...data, strokes: [{ at: [1, 2], towards: [0, 1], share: 0.7 }] } },
    ],
    [
      'flags',
      chartRequest,
      { version: 1, data },
      { version: 1, data: { ...data, hair: { ...data.hair, flags: ['flat', 'flat'] } } },
    ],
    ['patch test', patchTestRequest, { lay: { product: 'soft', place: 'inner forearm' } }, {}],
  ])('%s: takes what is right, refuses what is wrong or unknown', (_, schema, right, wrong) => {
    expect(parseWith(schema, right).ok).toBe(true);
    expect(parseWith(schema, wrong).ok).toBe(false);
    expect(parseWith(schema, { ...right, sneaked: true }).ok).toBe(false);
    expect(parseWith(schema, null).ok).toBe(false);
  });
});
