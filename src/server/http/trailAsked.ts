import 'server-only';
import { parseWith } from '../../formats/visitCaseSchema';
import { trailQuery } from '../../formats/studioRequests';
import type { TrailAsked } from '../services/trailView';
import { errorResponse } from './answers';

/** What of the trail is asked for; its ids stand in the address, no names. */
export function trailAsked(request: Request): TrailAsked | Response {
  const parsed = parseWith<TrailAsked>(trailQuery, Object.fromEntries(new URL(request.url).searchParams));
  return parsed.ok ? parsed.value : errorResponse(422, 'invalid', 'Some fields are not right.', parsed.faults);
}
