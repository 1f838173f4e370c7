export { studio, people, products, services, ruleChanges, studioTexts, wayChanges } from './studio';
export { absences, clients, bookings, clientEdits, waiting } from './clients';
export { visits, charts, outlooks, plans, tableJournal, readings, careTold, homeCare, worked } from './visits';
export { forms, consents, consentEnds, messages, postTexts } from './forms';
export { merges, pastVisits } from './elsewhere';
export { imports, importTexts, requests, tablets } from './ground';
export { pots, potNotes, potHeats } from './pots';
export { batches, batchNotes } from './kitchen';
export { drillAnswers, examBoards, examEvents, exams, practiceStrips } from './practice';
export { ledgerClosings, ledgerEntries, visitParts } from './ledger';
export { shelfItems, shelfLots, shelfMoves, visitUses } from './shelf';
export type {
  Agreed,
  CardBefore,
  CardFact,
  CardReaction,
  ChartData,
  ChartMark,
  ChartHair,
  ClientProfile,
  Consult,
  ConsultOverride,
  FormData,
  JudgedBy,
  KeepingSettings,
  KitchenSettings,
  MergeUndo,
  PatchTest,
  Reading,
  Signature,
  Spot,
  StudioMoney,
  StudioSettings,
  ZoneRef,
} from './documents';
export { pairings, recoveryCodes, sessions } from './doors';
export { erasing, erasures } from './erasing';
export { trail } from './trail';
