// Shapes of the JSON columns. Each carries its version `v`; an older shape gets an up-step before it is read
// (upSteps.ts).

import type { Figure, Position, Side, ZoneId } from '../../../core/anatomy';
import type { AvoidedDays, ClosedDays, WeekHours } from '../../../core/calendar';
import type { BarePlace, DensityPlace, Mark, Stroke } from '../../../core/field';
import type { HairFlag, HairHistory } from '../../../core/hair';
import type { Hands, Kettle } from '../../../core/kitchen';
import type { Matters, Preferences } from '../../../core/matching';
import type { DrawnKeep } from '../../../core/outcomes';
import type { HandStrips, StudioCase } from '../../../core/plan';
import type { LeftHair, ReadField, StripLike, Tried } from '../../../core/reading';
import type { Fact, FormAnswers, FoundFact, Outcome } from '../../../core/screening';

export interface StudioSettings {
  readonly v: 1;
  readonly roomC: number;
  readonly humidityPct: number;
  readonly walkS: number;
  readonly schools: NonNullable<StudioCase['schools']>;
  /** What counts when products are compared; absent = as shipped. */
  readonly choosing?: Choosing | undefined;
  /** Prices of services by their id, and what an hour costs, minor units; absent = not entered. */
  readonly money?: StudioMoney | undefined;
  /** When it is open; absent = nobody has said so: weekdays and Saturday, nine to six. */
  readonly hours?: WeekHours | undefined;
  readonly closed?: readonly ClosedDays[] | undefined;
  /** Whose week differs from the studio's; absent = as the studio. */
  readonly hoursOf?: Readonly<Record<string, WeekHours>> | undefined;
  /** Names of the treatment tables; absent or empty = nobody has said how many: no limit. */
  readonly tables?: readonly string[] | undefined;
  /** How long a service is booked with nothing known of the client, min; absent = as shipped. */
  readonly serviceMinutes?: Readonly<Record<string, number>> | undefined;
  /** Where the paste is cooked; absent = at the sea, in a usual pot. */
  readonly kitchen?: KitchenSettings | undefined;
  /** Civil date on which a backup was last put back as a try; absent = never. */
  readonly drilledOn?: string | undefined;
  /** True where the file has to be written anew: somebody was erased from it. */
  readonly sweepDue?: boolean | undefined;
  /** True where everybody signs in; absent = nobody does: one machine, one pair of hands. */
  readonly signsIn?: boolean | undefined;
  /** For how long what is no longer needed is kept; absent = nobody has said so: for good. */
  readonly keeping?: KeepingSettings | undefined;
  /** How far the first run has come; absent = it is over. */
  readonly firstRun?: FirstRunSaid | undefined;
  /** Services that a person does, by their id; absent = all. */
  readonly servicesOf?: Readonly<Record<string, readonly string[]>> | undefined;
  /** In which heat is read; absent = °C. */
  readonly heatUnit?: 'C' | 'F' | undefined;
  /** In which lengths and weights are read; absent = mm and g. */
  readonly lengthUnit?: 'mm' | 'in' | undefined;
  readonly weightUnit?: 'g' | 'oz' | undefined;
  /** Weekday that a week begins with on the page, 0 Monday … 6 Sunday; absent = Monday. */
  readonly firstWeekday?: number | undefined;
  /** How the studio tells that hard wax is ready. */
  readonly readySign: 'no-thread' | 'no-dent' | 'taps-hard' | 'no-catch';
}

export interface KeepingSettings {
  /** A card whose person has not come for so many years is named to be erased; null = never. */
  readonly cardYears: number | null;
  /** A message in the post box goes by itself after so many months; null = never. */
  readonly messageMonths: number | null;
}

/** Steps of the first run that were taken, and the client of the fifth. */
export interface FirstRunSaid {
  readonly done: readonly ('name' | 'you' | 'shelf' | 'hours' | 'client')[];
  readonly clientId: string | null;
}

export interface KitchenSettings {
  /** Height above the sea, m; null = not said. */
  readonly heightM: number | null;
  /** Where the studio's own water boiled by its own thermometer, °C; before the height. Null = not tried. */
  readonly boilsC: number | null;
  readonly kettle: Kettle;
  readonly hands: Hands;
}

/** What differs from what is shipped. */
export interface Choosing {
  readonly counts?: StudioCase['counts'];
  readonly preferences?: StudioCase['preferences'];
  readonly leftovers?: StudioCase['leftovers'];
  /** Orders of laying that can be remembered, or the quickest; absent = to remember. */
  readonly order?: StudioCase['order'];
  /** What a practitioner reaches for first, by person; absent = as the house. */
  readonly firstOf?: Readonly<Record<string, Preferences['first']>> | undefined;
}

export interface StudioMoney {
  readonly labourMinorPerHour: number;
  readonly roomMinorPerHour: number;
  readonly priceMinor: Readonly<Record<string, number>>;
  /** What goods on the shelf are sold for, by their id; absent = asked at every sale. */
  readonly goodsMinor?: Readonly<Record<string, number>> | undefined;
  /** Tax inside of the prices, basis points; absent = none. */
  readonly vatBp?: { readonly services: number; readonly goods: number } | undefined;
  /** What the honest year is told; absent = by the studio's own visits. */
  readonly year?: YearSaid | undefined;
}

/** Null = by the studio's own visits, hours and closures. */
export interface YearSaid {
  readonly placesAWeek: number | null;
  readonly priceMinor: number | null;
  readonly weeksOff: number | null;
  readonly turnoverMin: number | null;
  readonly noShowPermille: number | null;
  readonly materialsMinor: number | null;
  readonly roomYearMinor: number | null;
  readonly taxPermille: number | null;
}

/** A lasting fact of the card, with the time for which it is true. */
export interface CardFact extends FoundFact {
  readonly since?: string | undefined;
  /** Last day on which it is true; absent = it still is. */
  readonly until?: string | undefined;
}

export interface CardReaction {
  readonly id: string;
  /** The visit whose incident record it comes from. */
  readonly visitId?: string | undefined;
  readonly on: string;
  readonly what: 'redness' | 'bumps' | 'blister' | 'lifted' | 'bruise' | 'burn' | 'ingrown' | 'other';
  readonly product: string | null;
  readonly words: string;
}

export interface PatchTest {
  readonly id: string;
  readonly product: string;
  readonly place: string;
  readonly laidOn: string;
  readonly readOn: string | null;
  readonly result: 'calm' | 'reacted' | null;
}

export interface ClientProfile {
  readonly v: 2;
  readonly statureCm: number | null;
  readonly massKg: number | null;
  readonly sensitivity: number;
  readonly skin: 'dry' | 'normal' | 'oily';
  readonly ingrownProne: boolean;
  /** Lasting facts of the card; health notes, confidential. */
  readonly standing: readonly CardFact[];
  readonly reactions: readonly CardReaction[];
  readonly patchTests: readonly PatchTest[];
  readonly consentOn: string | null;
  readonly guardianConsentOn: string | null;
  /** Day on which consent was last taken back; counts where none was given since. */
  readonly consentEndedOn?: string | undefined;
  readonly blackout: readonly { readonly from: string; readonly to: string; readonly why: string }[];
  /** Days of the cycle that the client would rather avoid; absent = no such wish. */
  readonly avoid?: AvoidedDays | undefined;
  /** Language of what they take home (BCP 47); absent = English. */
  readonly language?: string | undefined;
}

/** What it takes to part two cards again: which rows came over, and how both cards were. */
export interface MergeUndo {
  readonly v: 1;
  /** Ids (or numbers) of the rows that came over, by table. */
  readonly moved: Readonly<Record<string, readonly (string | number)[]>>;
  readonly kept: CardBefore;
  readonly gone: CardBefore;
}
export interface CardBefore {
  readonly name: string;
  readonly byline: string;
  readonly bornOn: string | null;
  readonly phone: string;
  readonly note: string;
  readonly profile: ClientProfile;
  readonly archivedAtMs: number | null;
}

export interface ZoneRef {
  readonly zone: ZoneId;
  readonly side: Side;
}

/** What the client has tapped on the body map. */
export interface Spot {
  readonly figure: Figure;
  readonly at: readonly [number, number];
  readonly kind: 'sore' | 'mark';
  readonly zone: ZoneId;
  readonly side: Side;
}

export interface ConsultOverride {
  readonly code: string;
  readonly zone: string | null;
  readonly reason: string;
  readonly atMs: number;
  /** Name of who said so beside a trainee; absent = nobody had to. */
  readonly by?: string | undefined;
}

/** The answer as it stood when it was confirmed, and the rules that gave it. */
export interface JudgedBy {
  readonly ruleSet: string;
  readonly atMs: number;
  readonly outcome: Outcome;
  readonly earliestOn: string | null;
  readonly reasons: readonly {
    readonly code: string;
    readonly outcome: Outcome;
    readonly zone: string | null;
    readonly text: string;
  }[];
}

export interface Agreed {
  readonly howMuch: readonly (ZoneRef & { readonly choice: string })[];
  readonly coldPack: boolean;
  readonly company: 'either' | 'talk' | 'quiet';
  readonly tweezing: boolean;
  readonly words: string;
}

export interface Consult {
  readonly v: 2;
  readonly facts: readonly FoundFact[];
  /** Facts asked for, whatever the answer. */
  readonly asked: readonly Fact[];
  /** Facts the client was not sure about. */
  readonly unsure: readonly Fact[];
  readonly spots: readonly Spot[];
  readonly consent: boolean;
  readonly guardianConsent: boolean;
  readonly sensitivity: number;
  /** What matters most today; absent: nothing more than usual. */
  readonly matters?: Matters | undefined;
  /** Zone keys to be worked before the others; what is no zone of the visit any more is passed over. */
  readonly order?: readonly string[] | undefined;
  readonly services: readonly string[];
  readonly agreed: Agreed;
  readonly overrides: readonly ConsultOverride[];
  /** Set by the server when the answers are confirmed. */
  readonly judged: JudgedBy | null;
  /** Instant at which the practitioner confirmed the answers; null = still open. */
  readonly confirmedAtMs: number | null;
}

export type Signature =
  | { readonly kind: 'drawn'; readonly strokes: readonly (readonly (readonly [number, number])[])[] }
  | { readonly kind: 'typed'; readonly name: string };

/** What the client has filled in so far. */
export interface FormData {
  readonly v: 1;
  readonly answers: FormAnswers;
  /** Lasting facts of the card that the client says are no longer true. */
  readonly noLonger: readonly Fact[];
  readonly spots: readonly Spot[];
  readonly bornOn: string | null;
  readonly words: string;
  readonly guardianName: string;
  /** Page the client is on. */
  readonly page: number;
}

/** A mark as it lies on a visit's chart. */
export interface ChartMark extends Mark {
  /** Carried over from an earlier visit and not looked at yet; it counts all the same. */
  readonly unseen?: boolean | undefined;
}

export interface ChartHair {
  readonly lengthMm: number;
  /** Shortest and longest found today; absent = the usual spread. */
  readonly shortestMm?: number | undefined;
  readonly longestMm?: number | undefined;
  readonly flags?: readonly HairFlag[] | undefined;
  readonly coarseness: number;
  readonly density: number;
  readonly curl: number;
  readonly history: HairHistory;
}

export interface ChartData {
  readonly v: 1;
  readonly hair: ChartHair;
  readonly strokes: readonly Stroke[];
  readonly marks: readonly ChartMark[];
  /** Where hair is thinner or thicker than the zone; absent = nowhere. */
  readonly densities?: readonly DensityPlace[] | undefined;
  /** Where strips came off without hair at earlier visits; absent = nowhere. */
  readonly bare?: readonly BarePlace[] | undefined;
  /** Width and height as measured on the client; absent = scaled. */
  readonly sheetCm?: readonly [number, number] | undefined;
  /** Size of the sheet that it was drawn on; absent on charts of before it was kept. */
  readonly drawnOnCm?: readonly [number, number] | undefined;
  /** Chosen by hand instead of the proposal, with the reason. */
  readonly product: string | null;
  readonly way: string | null;
  readonly reason: string;
  /** Slab and touch taken by hand for one product, with the reason; absent = as planned. */
  readonly heat?:
    | {
        readonly product: string;
        readonly thicknessMm?: number | undefined;
        readonly touchC?: number | undefined;
        readonly reason: string;
      }
    | undefined;
  /** What stays, as drawn; absent = as what was agreed draws it, or as on the other side. */
  readonly keep?: DrawnKeep | undefined;
  /** Of charts from before the agreement decided it; kept, and read by nothing. */
  readonly fade?: boolean | undefined;
  /** How the client is to lie for it; absent = as it turns the client least. */
  readonly position?: Position | undefined;
  /** Strips laid out by hand for this visit; absent = as planned. */
  readonly handStrips?: HandStrips | undefined;
  /** Seen and confirmed today, not only carried over. */
  readonly confirmed: boolean;
}

export interface Reading {
  readonly v: 1;
  readonly removedPct: number;
  /** Said by the practitioner; absent = it only follows from the table's marks, and nothing is learned from it. */
  readonly removedSaid?: true | undefined;
  readonly brokenPct: number;
  readonly left: 'none' | 'few' | 'patch' | 'many';
  readonly leftKind: 'none' | 'short' | 'flat' | 'other-way' | 'anywhere';
  readonly bleeding: 'none' | 'points' | 'keeps-on';
  readonly skin: 'calm' | 'pink' | 'red' | 'shiny' | 'blister';
  readonly tweezed: number;
  readonly heatFelt: 'too-warm' | 'right' | 'too-cool';
  /** What was said of the fields above; the rest are presets. Absent in readings of before it was kept: all were. */
  readonly said?: readonly ReadField[] | undefined;
  /** The picture that each strip was like; strips that were not looked at are not in it. */
  readonly likes?: readonly StripLike[] | undefined;
  /** Hairs that were tapped as left. */
  readonly hairs?: readonly LeftHair[] | undefined;
  /** What was taken over for the next chart. */
  readonly combed?: readonly Stroke[] | undefined;
  /** Places where strips came off without hair. */
  readonly bare?: readonly Omit<BarePlace, 'on'>[] | undefined;
  /** Tweezed by the clock instead of by count, min. */
  readonly tweezedMin?: number | undefined;
  /** What is left is left for next time, and that was said. */
  readonly leave?: true | undefined;
  /** Pain as the client gave it, 0–10. */
  readonly pain?: number | undefined;
  /** What the client had tried against it. */
  readonly tried?: readonly Tried[] | undefined;
  readonly note: string;
}
