// A line of the trail in words: what was written or looked at, from method and path alone.

const WORDS: readonly (readonly [RegExp, string])[] = [
  [/^GET \/clients\/[\w-]+\/progress$/, 'Progress looked at'],
  [/^GET (\/api)?\/clients\/[\w-]+$/, 'Card looked at'],
  [/^GET \/api\/clients\/[\w-]+\/(record|progress)$/, 'Record taken out'],
  [/^GET \/api\/clients\/export$/, 'All clients taken out'],
  [/^GET (\/api)?\/visits\/[\w-]+(\/case|\/record|\/incident)?$/, 'Visit looked at'],
  [/^GET (\/api)?\/form(s)?\/[\w-]+$/, 'Form looked at'],
  [/^POST \/api\/clients$/, 'Client added'],
  [/^POST \/api\/clients\/import/, 'Clients taken in'],
  [/^(POST|PUT) \/api\/clients\/[\w-]+\/archive$/, 'Card put away or taken out'],
  [/^(POST|PUT) \/api\/clients\/[\w-]+\/patch-tests$/, 'Patch test noted'],
  [/^(POST|PUT) \/api\/clients\/[\w-]+/, 'Card changed'],
  [/^(POST|PUT) \/api\/visits\/[\w-]+\/consult$/, 'Consultation written'],
  [/^(POST|PUT) \/api\/visits\/[\w-]+\/charts/, 'Chart written'],
  [/^(POST|PUT) \/api\/visits\/[\w-]+\/readings/, 'Reading written'],
  [/^(POST|PUT) \/api\/visits\/[\w-]+\/close$/, 'Visit closed'],
  [/^(POST|PUT) \/api\/visits\/[\w-]+\/put-off$/, 'Visit put off'],
  [/^(POST|PUT) \/api\/visits\/[\w-]+\/incident$/, 'Incident written'],
  [/^(POST|PUT) \/api\/visits/, 'Visit written'],
  [/^(POST|PUT) \/api\/forms\/[\w-]+\/sign$/, 'Form signed'],
  [/^(POST|PUT) \/api\/forms\/[\w-]+\/unlock$/, 'Tablet taken back'],
  [/^(POST|PUT) \/api\/forms/, 'Form filled in'],
  [/^(POST|PUT) \/api\/(bookings|waiting|week|absences)/, 'Booking or time written'],
  [/^(POST|PUT) \/api\/ledger/, 'Ledger written'],
  [/^(POST|PUT) \/api\/(pots|kitchen|shelf)/, 'Pots, kitchen or shelf written'],
  [/^(POST|PUT) \/api\/practice/, 'Practice written'],
  [/^(POST|PUT) \/api\/(studio|prices|products|rules|hours|people|first)/, 'Studio changed'],
  [/^(POST|PUT) \/api\/post/, 'Message written'],
  [/^(POST|PUT) \/api\/door/, 'PIN given'],
];

/** @param what method and path, as `POST /api/clients/saoirse` */
export const trailWords = (what: string): string => WORDS.find(([r]) => r.test(what))?.[1] ?? what;
